import type { TintOdds } from '#core/evidence/answer'
import { type Evidence, evidenceOf } from '#core/evidence/likelihood'
import { type Possible, possibleWaters } from '#core/evidence/possible'
import { type Thinned, thinned } from '#core/evidence/thin'
import type { Reading } from '#core/request/readings'
import type { SkyLight } from '#core/sky/light'
import { TINTS, type TintId } from '#core/water/tints'

/** Odds too small to count: ten thousand such make a thousandth. */
export const NEGLIGIBLE = 1e-7

/** The possible waters with how likely the readings leave each. */
export interface Posterior {
  waters: Possible
  /** Sums to 1. */
  odds: Float64Array
  evidence: readonly Evidence[]
  /** Long casts of which some samples alone were worked at. */
  thinned: readonly Thinned[]
}

/**
 * Which water it is, by Bayes: what was likely before, times how likely each reading is in each water.
 * @param sky over the water while it was read; where it is not known, the one that discs are meant under
 */
export function posteriorOf(readings: readonly Reading[], salt: boolean, sky?: SkyLight): Posterior {
  const usual = possibleWaters(salt)
  const waters = sky ? usual.under(sky) : usual
  const { readings: worked, thinned: less } = thinned(readings)
  return weighed(
    waters,
    worked.map(r => evidenceOf(r, waters)),
    less,
  )
}

/** What one of the readings says on its own. */
export const byOneAlone = ({ waters, evidence }: Posterior, i: number): Posterior => weighed(waters, [evidence[i]!])

function weighed(waters: Possible, evidence: readonly Evidence[], less: readonly Thinned[] = []): Posterior {
  const ln = waters.prior.map((p, i) => Math.log(p) + evidence.reduce((s, e) => s + e.lnLikely[i]!, 0))
  const most = ln.reduce((a, b) => Math.max(a, b), -Infinity)
  const odds = ln.map(v => Math.exp(v - most))
  const total = odds.reduce((s, v) => s + v, 0)
  return { waters, odds: odds.map(v => v / total), evidence, thinned: less }
}

/** Disc depths below which given shares of the odds lie, m; the shares in ascending order. */
export function discAt({ waters, odds }: Posterior, shares: readonly number[]): number[] {
  const order = Array.from(odds.keys())
    .filter(i => odds[i]! > NEGLIGIBLE)
    .sort((a, b) => waters.discM[a]! - waters.discM[b]!)
  const out: number[] = []
  let sum = 0
  for (const i of order) {
    sum += odds[i]!
    while (out.length < shares.length && sum >= shares[out.length]!) out.push(waters.discM[i]!)
  }
  while (out.length < shares.length) out.push(waters.discM[order.at(-1)!]!)
  return out
}

/** Odds of every tint, likeliest first; they sum to 1. */
export function tintOdds({ waters, odds }: Posterior): TintOdds[] {
  const by = new Map((Object.keys(TINTS) as TintId[]).map(t => [t, 0]))
  odds.forEach((p, i) => by.set(waters.tint[i]!, by.get(waters.tint[i]!)! + p))
  return [...by].map(([tint, p]) => ({ tint, odds: Math.min(1, p) })).sort((a, b) => b.odds - a.odds)
}
