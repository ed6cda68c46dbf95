import type { Spectrum } from '#core/spectrum/grid'
import { vanishingDepthM } from '#core/water/disc'
import { waterOptics } from '#core/water/optics'
import { TINTS, type TintId, scaled } from '#core/water/tints'

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
const READING_ERROR = 0.13
/** Readings shallower than this cannot be told from none, m. */
const SHALLOWEST_M = 0.04
/** Amounts of each recipe tried, evenly in their logarithm, and the disc depths that count, m. */
const STEPS = 90
const AMOUNTS = [2e-4, 2e2] as const
const RANGE_M = [0.06, 20] as const

/** How likely a tint is at a disc depth before any reading: as any other, but for one that needs clear water. */
function priorOf(tint: TintId, discM: number): number {
  const { clearFromM } = TINTS[tint]
  return clearFromM === null ? 1 : Math.min(1, (discM / clearFromM) ** 3)
}

/**
 * Clarity and tint from two targets of known colour, by Bayes over tints and disc depths. White against black tells
 * most: in tea black is lost almost at once, in silt it stays visible for a good share of white's depth, because the
 * water behind it is pale. The interval is honest about hand readings; where tints cannot be told apart their odds
 * stay even.
 */
export function waterFromTwoTargets(a: Lowered, b: Lowered, salt = false): TwoTargetReading {
  const log = (m: number) => Math.log(Math.max(SHALLOWEST_M, m))
  const cells: { tint: TintId; discM: number; weight: number }[] = []
  for (const tint of Object.keys(TINTS) as TintId[]) {
    for (let i = 0; i < STEPS; i++) {
      // The amount is run directly, so no cell needs a search; its disc depth comes out with the others.
      const amount = AMOUNTS[0] * (AMOUNTS[1] / AMOUNTS[0]) ** (i / (STEPS - 1))
      const w = waterOptics(scaled(TINTS[tint].recipe, amount), salt)
      const discM = vanishingDepthM(w)
      if (discM < RANGE_M[0] || discM > RANGE_M[1]) continue
      const miss = (t: Lowered) => (log(vanishingDepthM(w, t.target)) - log(t.depthM)) / READING_ERROR
      cells.push({ tint, discM, weight: priorOf(tint, discM) * Math.exp(-0.5 * (miss(a) ** 2 + miss(b) ** 2)) })
    }
  }
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
