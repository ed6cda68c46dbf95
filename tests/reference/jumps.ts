import { type SceneInput, buildScene } from '#core/sight/scene'
import { look } from '#core/sight/look'
import { SIDES, type Side } from '#core/lure/types'
import { finishesOf } from '#core/lure/finish'
import { TINTS, type TintId } from '#core/water/tints'
import { dice } from './dice'
import { NOON } from './scenes'

/** One range that moved by more than it should between two scenes that are hardly different. */
export interface Jump {
  reading: string
  side: string
  finish: string
  fromM: number
  toM: number
  input: SceneInput
}

/** A nudge of one reading by one part in a hundred of itself, or of its own scale where it may be nought. */
const NUDGES: Record<string, (i: SceneInput) => Partial<SceneInput>> = {
  visibility: i => ({ visibilityM: i.visibilityM * 1.01 }),
  depth: i => ({ depthM: i.depthM * 1.01 }),
  fish: i => ({ fishM: i.fishM * 1.01 }),
  sun: i => ({ sky: { ...i.sky, sunElevationDeg: i.sky.sunElevationDeg * 1.01 } }),
  cloud: i => ({ sky: { ...i.sky, cloud: Math.min(1, i.sky.cloud + 0.01) } }),
  moon: i => ({ sky: { ...i.sky, moonFraction: i.sky.moonFraction * 0.99 } }),
  bottom: i => (i.waterM === null ? {} : { waterM: i.waterM * 1.01 }),
}
/** Ranges shorter than this are felt, not seen, and may move as they like, m. */
const FELT_M = 0.05

/** A range that ends where the water does. */
const ends = (rangeM: number, side: Side, { depthM, waterM }: SceneInput) =>
  Math.abs(rangeM - (side === 'above' ? depthM : (waterM ?? Infinity) - depthM)) < 1e-9 && side !== 'level'

/**
 * Random pairs of scenes that differ by one part in a hundred of one reading: the ranges that moved by more than
 * `most` of themselves.
 */
export function jumps(pairs: number, seed: number, most: number): Jump[] {
  const { even } = dice(seed)
  const between = (lo: number, hi: number) => lo * (hi / lo) ** even()
  const of = <T>(list: readonly T[]) => list[Math.floor(even() * list.length)]!
  const lures = ['swimbait', 'jerkbait', 'stick-worm', 'walking-topwater', 'spinnerbait', 'inshore-spoon'] as const
  const found: Jump[] = []
  for (let n = 0; n < pairs; n++) {
    const depthM = between(0.1, 8)
    const input: SceneInput = {
      ...NOON,
      lure: of(lures),
      tint: of(Object.keys(TINTS) as TintId[]),
      visibilityM: between(0.1, 10),
      depthM,
      waterM: even() < 0.5 ? null : depthM * between(1.1, 4),
      fishM: between(0.15, 3),
      facing: of(['any', 'sun-in-face', 'sun-at-back', 'across'] as const),
      sky: {
        ...NOON.sky,
        sunElevationDeg: -20 + 100 * even(),
        cloud: even(),
        moonFraction: even(),
        moonElevationDeg: -10 + 80 * even(),
      },
    }
    const reading = of(Object.keys(NUDGES))
    const after = { ...input, ...NUDGES[reading]!(input) }
    const [a, b] = [buildScene(input), buildScene(after)]
    for (const f of finishesOf(input.lure).filter((_, i) => i % 9 === 0)) {
      const [was, is] = [look(f, a.stage), look(f, b.stage)]
      for (const side of SIDES) {
        const [fromM, toM] = [was[side].sightM, is[side].sightM]
        if (Math.max(fromM, toM) < FELT_M) continue
        // What ends at the bottom or the surface moves as they do, faster than the reading the closer they are.
        if (ends(fromM, side, input) || ends(toM, side, after)) continue
        if (Math.abs(toM / fromM - 1) > most) found.push({ reading, side, finish: f.id, fromM, toM, input })
      }
    }
  }
  return found
}
