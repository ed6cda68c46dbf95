import type { Side } from '#core/trial/order'

/** Casts made with one of the two in a block, and how many of them had a bite. */
export interface Casts {
  casts: number
  bites: number
}
export type Block = Record<Side, Casts>

export interface Rate {
  best: number
  low: number
  high: number
}
export interface Verdict {
  /** An e-value against the two being equal. */
  evidence: number
  verdict: 'a' | 'b' | 'too-soon' | 'alike'
  /** About how many more casts settle it if things go on as they have; 0 once settled. */
  moreCasts: number
  /** Bites a cast: median, 5th and 95th percentile. */
  rate: Record<Side, Rate>
  /** Probability that a's rate is the higher. */
  chanceABetter: number
}

/** Evidence that settles: reached by chance alone in fewer than one test of twenty, however often one looks (Ville). */
export const SETTLES = 20
/** Two are alike when the worse has more than this share of the better's rate. */
const ALIKE = 2 / 3
/** No forecast of casts goes beyond this. */
const MOST_CASTS = 20_000
/** Forecasts are rounded to so many casts. */
const ROUNDED = 10

/** Alternatives weighed: how often either is bitten, and how many times the odds of one are the other's. */
const LEVELS = Array.from({ length: 24 }, (_, i) => 0.004 * (0.6 / 0.004) ** (i / 23))
const RATIOS = [1.3, 1.6, 2, 3, 5].flatMap(r => [r, 1 / r])
const oddsOf = (p: number) => p / (1 - p)
const shareOf = (odds: number) => odds / (1 + odds)
const ALTERNATIVES = LEVELS.flatMap(level =>
  RATIOS.map(r => {
    const [a, b] = [Math.sqrt(r), 1 / Math.sqrt(r)].map(k => shareOf(oddsOf(level) * k))
    return { a: a!, b: b! }
  }),
)

/** Logarithm of the likelihood of so many bites in so many casts at a rate. */
const lnLikely = ({ casts, bites }: Casts, p: number) => bites * Math.log(p) + (casts - bites) * Math.log1p(-p)

/** Logarithm of Σ exp. */
function lnSum(values: readonly number[]): number {
  const most = Math.max(...values)
  return most === -Infinity ? -Infinity : most + Math.log(values.reduce((s, v) => s + Math.exp(v - most), 0))
}

/**
 * Logarithm of the evidence that the two differ: for each alternative the product over blocks of the e-variable of
 * Turner, Ly & Grünwald (2024, J. Stat. Plan. Inference 230, eq. 2) for two proportions, its null the mean of the
 * two rates weighted by casts; then the mean over alternatives, which is a test martingale again.
 */
export function lnEvidence(blocks: readonly Block[]): number {
  // Blocks shared out alike have the same null, and their likelihoods depend on their sums alone.
  const alike = new Map<number, Block>()
  for (const { a, b } of blocks) {
    const casts = a.casts + b.casts
    if (casts === 0) continue
    const share = a.casts / casts
    const sum = alike.get(share)
    alike.set(share, sum ? { a: added(sum.a, a), b: added(sum.b, b) } : { a, b })
  }
  const each = ALTERNATIVES.map(({ a, b }) => {
    let sum = 0
    for (const [share, of] of alike)
      sum += lnLikely(of.a, a) + lnLikely(of.b, b) - lnLikely(added(of.a, of.b), share * a + (1 - share) * b)
    return sum
  })
  return lnSum(each) - Math.log(ALTERNATIVES.length)
}
const added = (x: Casts, y: Casts): Casts => ({ casts: x.casts + y.casts, bites: x.bites + y.bites })

/** A rate with the logarithms of it and of the rest, so that a likelihood on it is two products. */
const rateAt = (p: number) => ({ p, lnBite: Math.log(p), lnNone: Math.log1p(-p) })
const lnOn = ({ casts, bites }: Casts, { lnBite, lnNone }: ReturnType<typeof rateAt>) =>
  bites * lnBite + (casts - bites) * lnNone
/** Rates worked over, evenly in their logit. */
const GRID = Array.from({ length: 600 }, (_, i) => rateAt(1 / (1 + Math.exp(-(-9 + (12 * i) / 599)))))
/** The rate to each that is just too low to be alike. */
const UNDER = GRID.map(({ p }) => rateAt(ALIKE * p))
/** Jeffreys' prior for a proportion, on that grid: p^½ (1-p)^½ by the logit. */
const PRIOR = GRID.map(({ lnBite, lnNone }) => 0.5 * lnBite + 0.5 * lnNone)
const PRIOR_TOTAL = lnSum(PRIOR)

const posterior = (c: Casts): number[] => {
  const ln = GRID.map((r, i) => lnOn(c, r) + PRIOR[i]!)
  const total = lnSum(ln)
  return ln.map(v => Math.exp(v - total))
}
/** Logarithm of the likelihood of what was cast, averaged over Jeffreys' prior. */
const lnMarginal = (c: Casts) => lnSum(GRID.map((r, i) => lnOn(c, r) + PRIOR[i]!)) - PRIOR_TOTAL

/**
 * Logarithm of the evidence that the two are alike: how much likelier what was cast is, averaged over all rates, than
 * at the best pair of rates of which one is at most two thirds of the other (universal inference, Wasserman, Ramdas &
 * Balakrishnan 2020, PNAS 117).
 */
export function lnAlike(a: Casts, b: Casts): number {
  const apart = (high: Casts, low: Casts) => {
    // Where the best of all rates are that far apart they are the best here too; else the best lie on the edge.
    const [h, l] = [high, low].map(c => Math.min(0.999, Math.max(1e-4, c.bites / Math.max(1, c.casts)))) as [
      number,
      number,
    ]
    if (l <= ALIKE * h) return lnLikely(high, h) + lnLikely(low, l)
    return GRID.reduce((best, r, i) => Math.max(best, lnOn(high, r) + lnOn(low, UNDER[i]!)), -Infinity)
  }
  return lnMarginal(a) + lnMarginal(b) - Math.max(apart(a, b), apart(b, a))
}

const sumOf = (blocks: readonly Block[], side: Side): Casts => ({
  casts: blocks.reduce((s, b) => s + b[side].casts, 0),
  bites: blocks.reduce((s, b) => s + b[side].bites, 0),
})

function rateOf(share: readonly number[]): Rate {
  let sum = 0
  const at: number[] = []
  share.forEach((p, i) => {
    sum += p
    while (at.length < 3 && sum >= [0.05, 0.5, 0.95][at.length]!) at.push(GRID[i]!.p)
  })
  return { low: at[0]!, best: at[1]!, high: at[2]! }
}

/** How finely the forecast is searched, as a ratio of casts. */
const FORECAST_RATIO = 1.02

/**
 * About how many more casts settle it, if bites go on in the same shares. Evidence may fall before it grows, but once
 * it grows it goes on, so its crossing is found by halving.
 */
function moreCasts(a: Casts, b: Casts): number {
  const total = a.casts + b.casts
  const grown = (c: Casts, k: number) => ({ casts: c.casts * k, bites: c.bites * k })
  const settled = (k: number) => {
    const [x, y] = [grown(a, k), grown(b, k)]
    return lnEvidence([{ a: x, b: y }]) >= Math.log(SETTLES) || lnAlike(x, y) >= Math.log(SETTLES)
  }
  let [low, high] = [1, MOST_CASTS / total]
  if (high <= 1 || !settled(high)) return MOST_CASTS
  while (high / low > FORECAST_RATIO) {
    const middle = Math.sqrt(low * high)
    if (settled(middle)) high = middle
    else low = middle
  }
  return Math.max(ROUNDED, Math.round((total * (high - 1)) / ROUNDED) * ROUNDED)
}

/** What a fair test of two shows so far; may be asked after every whole block, for ever. */
export function trialVerdict(blocks: readonly Block[]): Verdict {
  const [a, b] = [sumOf(blocks, 'a'), sumOf(blocks, 'b')]
  const [pa, pb] = [posterior(a), posterior(b)]
  let below = 0
  let chanceABetter = 0
  GRID.forEach((_, i) => {
    chanceABetter += pa[i]! * (below + 0.5 * pb[i]!)
    below += pb[i]!
  })
  const evidence = Math.exp(lnEvidence(blocks))
  const differ = evidence >= SETTLES
  const alike = !differ && lnAlike(a, b) >= Math.log(SETTLES)
  return {
    evidence,
    verdict: differ ? (chanceABetter >= 0.5 ? 'a' : 'b') : alike ? 'alike' : 'too-soon',
    moreCasts: differ || alike ? 0 : moreCasts(a, b),
    rate: { a: rateOf(pa), b: rateOf(pb) },
    chanceABetter,
  }
}
