import type { LureId } from '#core/lure/types'

/** Low and high of what was not measured for the lure itself. */
export type Band = readonly [number, number]

/** How a lure shakes water: a body of some radius that beats with an amplitude so many times a second. */
export interface Shake {
  radiusM: Band
  amplitudeM: Band
  frequencyHz: Band
}
/** What it sounds like; `thump` is felt more than heard. */
export const SOUNDS = ['silent', 'knock', 'rattle', 'thump', 'pop'] as const
export type Sound = (typeof SOUNDS)[number]

export interface Manner {
  /** Speed along its path while it is fished, pauses included, m/s. */
  speedMs: number
  /** Seconds from one place it is put to the next. */
  castS: number
  /** Held straight under the boat at the depth of the fish, and not cast out and drawn up again. */
  vertical: boolean
  /** How long a look it bears before it is told for what it is, 0-1. */
  bearsLook: number
  /** Below this surface temperature, °C, it works ever less; null where cold does not stop it. */
  worksFromC: number | null
  /** Lives in brackish and salt water too, or only there. */
  coast: 'no' | 'too' | 'only'
  shake: Shake
  sound: Sound
}

const band = (middle: number, share: number): Band => [middle * (1 - share), middle * (1 + share)]
/**
 * A body so wide that beats so far and so often: the radius, of the water it carries along, within a tenth, the others
 * within fifteen hundredths. Lures' motions are not in the literature we know: sizes are of common lures, beats counted
 * by eye and ear; ours.
 */
const shakes = (radiusMm: number, amplitudeMm: number, hz: number): Shake => ({
  radiusM: band(radiusMm / 1000, 0.1),
  amplitudeM: band(amplitudeMm / 1000, 0.15),
  frequencyHz: band(hz, 0.15),
})
const manner = (
  speedMs: number,
  castS: number,
  bearsLook: number,
  worksFromC: number | null,
  coast: Manner['coast'],
  shake: Shake,
  sound: Sound,
): Manner => ({ speedMs, castS, vertical: false, bearsLook, worksFromC, coast, shake, sound })

/** How each type is fished and what it does to the water. Ours, for a common mid-size lure of each type. */
export const MANNER: Readonly<Record<LureId, Manner>> = {
  'shallow-crankbait': manner(0.7, 32, 0.4, null, 'no', shakes(18, 9, 8), 'rattle'),
  'deep-crankbait': manner(0.7, 40, 0.45, null, 'no', shakes(19, 10, 7), 'rattle'),
  'lipless-crankbait': manner(0.8, 30, 0.35, null, 'no', shakes(18, 7, 14), 'rattle'),
  'jerkbait': manner(0.28, 60, 0.75, null, 'no', shakes(15, 10, 3), 'silent'),
  'spinnerbait': manner(0.7, 30, 0.3, null, 'no', shakes(24, 14, 8), 'thump'),
  'bladed-jig': manner(0.7, 30, 0.35, null, 'no', shakes(24, 12, 9), 'thump'),
  'swim-jig': manner(0.5, 35, 0.6, null, 'no', shakes(14, 6, 3), 'silent'),
  'casting-jig': manner(0.08, 25, 0.78, null, 'no', shakes(16, 12, 1.5), 'silent'),
  'stick-worm': manner(0.06, 30, 0.95, null, 'no', shakes(6, 8, 1.5), 'silent'),
  'craw': manner(0.08, 22, 0.82, null, 'no', shakes(13, 8, 2), 'silent'),
  'worm': manner(0.07, 40, 0.9, null, 'no', shakes(6, 10, 1.5), 'silent'),
  'tube': manner(0.1, 40, 0.88, null, 'no', shakes(12, 8, 1.5), 'silent'),
  'grub': manner(0.35, 45, 0.8, null, 'too', shakes(13, 8, 4), 'silent'),
  'swimbait': manner(0.4, 45, 0.8, null, 'too', shakes(22, 8, 3), 'silent'),
  'walking-frog': manner(0.22, 40, 0.55, 15, 'no', shakes(25, 10, 1.5), 'silent'),
  'popping-frog': manner(0.22, 40, 0.45, 15, 'no', shakes(25, 10, 1.5), 'pop'),
  'walking-topwater': manner(0.5, 40, 0.5, 13, 'too', shakes(21, 20, 1.5), 'knock'),
  'popper': manner(0.25, 50, 0.55, 13, 'too', shakes(19, 14, 1.5), 'pop'),
  'buzzbait': manner(0.9, 28, 0.2, 13, 'no', shakes(30, 18, 7), 'thump'),
  'jigging-spoon': { ...manner(0.06, 12, 0.6, null, 'too', shakes(15, 20, 2), 'silent'), vertical: true },
  'crappie-jig': { ...manner(0.05, 20, 0.92, null, 'no', shakes(5, 5, 2), 'silent'), vertical: true },
  'inshore-paddletail': manner(0.42, 40, 0.8, null, 'only', shakes(19, 7, 3), 'silent'),
  'inshore-twitchbait': manner(0.3, 50, 0.7, null, 'only', shakes(15, 10, 3), 'rattle'),
  'inshore-spoon': manner(0.6, 35, 0.55, null, 'only', shakes(16, 9, 5), 'silent'),
}
