import { nearest } from '#core/numeric/nearest'

/** The sky in words of the contract; each is a record the light is computed from. */
export const SKIES = {
  clear: { words: 'clear', cloud: 0.05, rain: false },
  partly: { words: 'partly cloudy', cloud: 0.5, rain: false },
  overcast: { words: 'overcast', cloud: 1, rain: false },
  rain: { words: 'rain', cloud: 1, rain: true },
} as const
export type SkyKind = keyof typeof SKIES

/**
 * Wind on the surface. `slope` is the rms slope of the waves (after Cox & Munk 1954), which spreads and flickers the
 * light.
 */
export const WINDS = {
  calm: { words: 'calm', slope: 0.03, speedMps: 0.5 },
  ripple: { words: 'ripple', slope: 0.1, speedMps: 2.5 },
  chop: { words: 'chop', slope: 0.17, speedMps: 5.5 },
  strong: { words: 'whitecaps', slope: 0.23, speedMps: 9.5 },
} as const
export type Wind = keyof typeof WINDS

/**
 * What stands between sky and lure. `direct` and `diffuse` are the shares let through; a weed mat leaves a fiftieth
 * of the light, shore trees about a seventh (field light-meter readings under canopies spread by a factor of two
 * round these).
 */
export const CANOPIES = {
  'open': { words: 'open water', direct: 1, diffuse: 1 },
  'bank-shade': { words: 'shade of the bank', direct: 0, diffuse: 0.55 },
  'trees-or-dock': { words: 'under trees or a dock', direct: 0.03, diffuse: 0.15 },
  'mat': { words: 'under a mat', direct: 0, diffuse: 0.02 },
} as const
export type Canopy = keyof typeof CANOPIES

/** The word for a wind of so many m/s: the nearest of the four. */
export function windWord(mps: number): Wind {
  return nearest(Object.keys(WINDS) as Wind[], mps, w => WINDS[w].speedMps)!
}

/**
 * Cover up to which the sky counts as clear, and from which as overcast: near the two and seven eighths at which
 * weather reports go over from "few" to "scattered" and from "broken" to "overcast" (WMO-No. 306, FM 15).
 */
const CLEAR = 0.2
const OVERCAST = 0.85

/** The word for a sky of so much cloud, 0 to 1. */
export function skyWord(cloud: number, rain: boolean): SkyKind {
  if (rain) return 'rain'
  return cloud < CLEAR ? 'clear' : cloud < OVERCAST ? 'partly' : 'overcast'
}
