import type { SpeciesId } from '#core/eye/species'
import type { Sound } from '#core/lure/manner'
import type { Span } from '#core/senses/feel'
import type { Wind } from '#core/sky/weather'

/** Speed of sound in water, m/s. */
const SOUND_MPS = 1480
/** A bed between soft and hard raises the cut-off of shallow water by so much beside a rigid one; 1.3 to 2. */
const BED = 1.6
/** The part of a knock that a bass can hear lies about here, Hz. */
const KNOCK_HZ = 300

/**
 * Levels at a metre between 100 and 600 Hz, dB re 1 µPa. Lures are not measured there: ours, within ten decibels. Most
 * of a rattle lies above 1-2 kHz, where a bass is deaf; what is left of it is weaker than a knock.
 */
const LEVEL_DB: Readonly<Record<Sound, readonly [number, number] | null>> = {
  silent: null,
  // Blades beat at some ten a second: they are felt, and make next to no sound.
  thump: null,
  knock: [120, 135],
  rattle: [112, 127],
  pop: [115, 132],
}

/**
 * Least level heard, dB re 1 µPa: keenest, dullest. Black bass and sunfish have no link from bladder to ear (Scholik &
 * Yan 2002; Holt & Johnston 2011); drums and seatrout hear better, and higher (Ramcharitar, Higgs & Popper 2006;
 * Horodysky et al. 2008).
 */
const BASS_DB = [110, 120] as const
const DRUM_DB = [90, 105] as const
/** Whether a fish hears above what black bass do. */
export const hearsHigher = (id: SpeciesId) => id === 'red-drum' || id === 'seatrout'

/** Noise of the water between 100 and 600 Hz, dB, quiet and loud; a sound must stand so far above it. Ours. */
const NOISE_DB: Readonly<Record<Wind, readonly [number, number]>> = {
  calm: [78, 88],
  ripple: [80, 90],
  chop: [88, 98],
  strong: [95, 105],
}
const ABOVE_NOISE_DB = 20
/** Nobody has followed a lure's sound farther than this, m. */
const FARTHEST_M = 60

/** Frequency under which sound does not travel in water so shallow, Hz (Rogers & Cox 1988). */
export const cutOffHz = (waterM: number) => (BED * SOUND_MPS) / (4 * waterM)

/** What a sound loses to the bed beside spreading, dB per metre: none above the cut-off. */
export function lostToBed(waterM: number, hz: number): number {
  const cut = cutOffHz(waterM)
  if (hz >= cut) return 0
  return (20 / Math.LN10) * (Math.PI / (2 * waterM)) * Math.sqrt(1 - (hz / cut) ** 2)
}

/** Where a level has fallen by so many decibels, m. */
function reach(spareDb: number, lossDbPerM: number): number {
  let [near, far] = [0.01, FARTHEST_M]
  for (let i = 0; i < 40; i++) {
    const r = Math.sqrt(near * far)
    if (20 * Math.log10(r) + lossDbPerM * r < spareDb) near = r
    else far = r
  }
  return near
}

/**
 * From how far a sound is heard: SL - 20 lg r - α r at least the ear's threshold, and 20 dB above the noise.
 * @param waterM depth of the water, m; null where it is deep
 * @returns null for what makes no sound
 */
export function heardRange(sound: Sound, id: SpeciesId, waterM: number | null, wind: Wind): Span | null {
  const level = LEVEL_DB[sound]
  if (!level) return null
  const [keen, dull] = hearsHigher(id) ? DRUM_DB : BASS_DB
  const [quiet, loud] = NOISE_DB[wind]
  const loss = waterM === null ? 0 : lostToBed(waterM, KNOCK_HZ)
  return {
    lowM: reach(level[0] - Math.max(dull, loud + ABOVE_NOISE_DB), loss),
    highM: reach(level[1] - Math.max(keen, quiet + ABOVE_NOISE_DB), loss),
  }
}
