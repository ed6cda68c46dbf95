import type { Spectrum } from '#core/spectrum/grid'
import { readingColumn, vanishingDepthM } from '#core/reading/disc'
import { waterOptics } from '#core/water/optics'
import { type Constituents, TINTS, type TintId, scaled } from '#core/water/tints'

/**
 * A target lowered until it vanished: its reflectance (number or spectrum) and the depth, m; 0 when it was lost at
 * once.
 */
export interface Lowered {
  target: number | Spectrum
  depthM: number
}

export interface TwoTargetReading {
  /** Odds of each tint, most likely first; they sum to 1. */
  tints: { tint: TintId; odds: number }[]
  /** White-disc depth, m: the middle, and the bounds between which it lies nine times in ten. */
  discM: number
  lowM: number
  highM: number
}

/** Scatter of a vanishing depth read by hand, as a share of it (repeat readings differ by 10-15 %). */
export const READING_ERROR = 0.13
/** The same with the spacing of the waters tried. */
const SPREAD = Math.hypot(READING_ERROR, 0.03)
/** Readings shallower than this cannot be told from none, m. */
const SHALLOWEST_M = 0.04
/** Disc depths that count, m. */
const RANGE_M = [0.06, 20] as const
/** Amounts of each recipe tried, evenly in their logarithm: as close as a reading can tell. */
const STEPS = 44
const AMOUNTS = [2e-3, 60] as const
/**
 * How far nature strays from a recipe, and a lure from its paint's reflectance: standard deviations of the logarithms
 * (light-model section 8, point 7).
 */
export const STRAYS = { constituent: 0.5, reflectance: 0.25 } as const

/** Waters tried for each tint and amount. */
const STRAYS_COUNT = 12
/** Standard normal values spread evenly over five directions: a rotated lattice through the inverse normal. */
const STRAYS_TRIED: readonly (readonly number[])[] = Array.from({ length: STRAYS_COUNT }, (_, k) =>
  [0.5, 0.7549, 0.5698, 0.6711, 0.8567].map((step, i) =>
    normalAt((0.5 / STRAYS_COUNT + (k + 1) * step + 0.13 * i) % 1),
  ),
)

/** Inverse of the normal distribution, to 0.005 (Shore 1982 by the logistic; enough for six points). */
function normalAt(p: number): number {
  const x = Math.min(0.995, Math.max(0.005, p))
  return Math.sign(x - 0.5) * 5.5556 * (1 - (Math.min(x, 1 - x) / Math.max(x, 1 - x)) ** 0.1186)
}

/** Constituents of a recipe that have strayed, each by its own standard normal value. */
export function strayed(c: Constituents, z: readonly number[]): Constituents {
  const by = (v: number, i: number) => v * Math.exp(STRAYS.constituent * z[i]!)
  return { chlorophyll: by(c.chlorophyll, 0), tannin: by(c.tannin, 1), silt: by(c.silt, 2) }
}
/** Reflectance of a target that has strayed. */
export function repainted(target: number | Spectrum, z: number): number | Spectrum {
  // What is nearly white cannot stray upwards: the dark share of it does.
  const one = (r: number) => {
    const dark = (1 - r) / Math.max(1e-6, r)
    return 1 / (1 + dark * Math.exp(-STRAYS.reflectance * z))
  }
  return typeof target === 'number' ? one(target) : target.map(one)
}

/** A water that may be: its tint, disc depth, where the two targets vanish in it, and how likely it was before. */
interface Possible {
  tint: TintId
  discM: number
  a: number
  b: number
  prior: number
}

/**
 * Waters of every tint and amount, strayed: even in the logarithm of the disc depth, the less likely the murkier for a
 * tint that needs clear water.
 */
function possibleWaters(a: number | Spectrum, b: number | Spectrum, salt: boolean): Possible[] {
  const all: Possible[] = []
  for (const tint of Object.keys(TINTS) as TintId[]) {
    const { clearFromM, recipe } = TINTS[tint]
    for (const z of STRAYS_TRIED) {
      let last: number | null = null
      for (let i = 0; i < STEPS; i++) {
        const amount = AMOUNTS[0] * (AMOUNTS[1] / AMOUNTS[0]) ** (i / (STEPS - 1))
        const column = readingColumn(waterOptics(strayed(scaled(recipe, amount), z), salt))
        const discM = vanishingDepthM(column)
        const width: number = last === null ? 0 : Math.log(last / discM)
        last = discM
        if (discM < RANGE_M[0] || discM > RANGE_M[1]) continue
        all.push({
          tint,
          discM,
          a: vanishingDepthM(column, repainted(a, z[3]!)),
          b: vanishingDepthM(column, repainted(b, z[4]!)),
          prior: width * (clearFromM === null ? 1 : Math.min(1, (discM / clearFromM) ** 3)),
        })
      }
    }
  }
  return all
}

/** The possible waters of the last pair of targets: readings are taken with the same two lures. */
let known: { a: number | Spectrum; b: number | Spectrum; salt: boolean; waters: Possible[] } | null = null
function watersFor(a: number | Spectrum, b: number | Spectrum, salt: boolean): Possible[] {
  if (known?.a !== a || known.b !== b || known.salt !== salt) {
    known = { a, b, salt, waters: possibleWaters(a, b, salt) }
  }
  return known.waters
}

/**
 * Clarity and tint from two targets of known colour, by Bayes over tints, disc depths and how nature strays from a
 * recipe. White against black tells most: in tea black is lost almost at once, in silt it stays visible for a good
 * share of white's depth, because the water behind it is pale. The interval is honest about hand readings; where
 * tints cannot be told apart their odds stay even.
 */
export function waterFromTwoTargets(a: Lowered, b: Lowered, salt = false): TwoTargetReading {
  const log = (m: number) => Math.log(Math.max(SHALLOWEST_M, m))
  // A hand slips now and then, and the waters tried stand as far apart as this: without it an odd pair of readings
  // would be pinned on whichever of them comes nearest.
  const likely = (at: number, read: number) => {
    const miss = (log(at) - log(read)) ** 2
    return 0.97 * Math.exp((-0.5 * miss) / SPREAD ** 2) + 0.03 * Math.exp((-0.5 * miss) / (3 * SPREAD) ** 2)
  }
  const cells = watersFor(a.target, b.target, salt).map(w => ({
    tint: w.tint,
    discM: w.discM,
    weight: w.prior * likely(w.a, a.depthM) * likely(w.b, b.depthM),
  }))
  const total = cells.reduce((s, c) => s + c.weight, 0) || 1
  const byTint = new Map<TintId, number>()
  for (const c of cells) byTint.set(c.tint, (byTint.get(c.tint) ?? 0) + c.weight / total)
  const sorted = [...cells].sort((x, y) => x.discM - y.discM)
  const at = (share: number) => {
    let sum = 0
    for (const c of sorted) if ((sum += c.weight / total) >= share) return c.discM
    return sorted.at(-1)!.discM
  }
  return {
    tints: [...byTint].map(([tint, odds]) => ({ tint, odds })).sort((x, y) => y.odds - x.odds),
    discM: at(0.5),
    lowM: at(0.05),
    highM: at(0.95),
  }
}
