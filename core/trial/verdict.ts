import type { TrialSide } from '#core/trial/order'

/** Casts made with one of the two in a block, and how many of them had a bite. */
export interface Casts {
  casts: number
  bites: number
}
export type Block = Record<TrialSide, Casts>

export interface Rate {
  best: number
  low: number
  high: number
}
export interface Verdict {
  /** An e-value against the two being equal. */
  evidence: number
  verdict: 'a' | 'b' | 'too-soon' | 'alike'
  /** About how many more casts settle it if things go on as they have; 0 once settled, null: more than a season's. */
  moreCasts: number | null
  /** Bites a cast: median, 5th and 95th percentile. */
  rate: Record<TrialSide, Rate>
  /** Probability that a's rate is the higher. */
  chanceABetter: number
  /** Blocks left out because one side has had more casts than the other so far. */
  open: number
}

/** Evidence that settles: reached by chance alone in fewer than one test of twenty, however often one looks (Ville). */
export const SETTLES = 20
/** Two are alike when the worse has more than this share of the better's rate. */
const ALIKE = 2 / 3
/** More casts than this are more than a season's. */
const MOST_CASTS = 10_000
/** Forecasts are rounded to so many casts. */
const ROUNDED = 10

/** How many times as often one of the two may be bitten, in either direction: the alternatives weighed. */
const RATIOS = [1.3, 1.6, 2, 3, 5] as const
/** Half the logarithm of each ratio, for a and for b. */
export const LEANINGS = RATIOS.flatMap(r => [0.5 * Math.log(r), -0.5 * Math.log(r)])

/** Logarithm of the likelihood of so many bites in so many casts at a rate. */
const lnLikely = ({ casts, bites }: Casts, p: number) => bites * Math.log(p) + (casts - bites) * Math.log1p(-p)

/** Logarithm of Σ exp. */
export function lnSum(values: readonly number[]): number {
  const most = Math.max(...values)
  return most === -Infinity ? -Infinity : most + Math.log(values.reduce((s, v) => s + Math.exp(v - most), 0))
}

/** ln cosh x, without overflow. */
const lnCosh = (x: number) => Math.abs(x) + Math.log1p(Math.exp(-2 * Math.abs(x))) - Math.LN2

/** Σ kD − ln cosh(kD) over gaps D, how many more bites a has than b in a block: what tells the signs by a leaning k. */
export const signEvidence = (gaps: readonly number[], k: number): number =>
  gaps.reduce((s, gap) => s + k * gap - lnCosh(k * gap), 0)
/** That for each leaning. */
function leanings(blocks: readonly Block[]): number[] {
  const gaps = blocks.map(({ a, b }) => a.bites - b.bites)
  return LEANINGS.map(k => signEvidence(gaps, k))
}

/** Logarithm of the mean of the leanings' evidence, each block as often again. */
const lnMean = (each: readonly number[], times = 1) => lnSum(each.map(v => times * v)) - Math.log(each.length)

/**
 * Logarithm of the evidence that the two differ, which rests on the drawn order alone. Were they equal, each block's
 * difference of bites might as well have had the other sign, for a coin decided which was fished first;
 * exp(kD)/cosh(kD) then has the mean 1 whatever the fish do, in bursts or not, and so has the product over blocks, and
 * the mean over leanings: a test martingale (Ramdas, Ruf, Larsson & Koolen 2020, Admissible anytime-valid sequential
 * inference). Its blocks have equal casts on both sides, and none is left out after its bites were seen.
 */
export const lnEvidence = (blocks: readonly Block[]): number => lnMean(leanings(blocks))

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

const sumOf = (blocks: readonly Block[], side: TrialSide): Casts => ({
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
 * About how many more casts settle it, if blocks go on as those so far; null where that is more than a season's.
 * Evidence may fall before it grows, but once it grows it goes on, so its crossing is found by halving.
 */
function moreCasts(blocks: readonly Block[], a: Casts, b: Casts): number | null {
  const total = a.casts + b.casts
  const each = leanings(blocks)
  const grown = (c: Casts, k: number) => ({ casts: c.casts * k, bites: c.bites * k })
  const settled = (k: number) =>
    lnMean(each, k) >= Math.log(SETTLES) || lnAlike(grown(a, k), grown(b, k)) >= Math.log(SETTLES)
  let [low, high] = [1, 1 + MOST_CASTS / total]
  if (!settled(high)) return null
  while (high / low > FORECAST_RATIO) {
    const middle = Math.sqrt(low * high)
    if (settled(middle)) high = middle
    else low = middle
  }
  return Math.max(ROUNDED, Math.round((total * (high - 1)) / ROUNDED) * ROUNDED)
}

/** Evidence is told up to here: beyond it no number says more. */
const MOST_EVIDENCE = 1e300

/**
 * What a fair test of two shows so far; may be asked after every whole block, for ever. A block with unequal casts is
 * open: it is left out, and said.
 */
export function trialVerdict(all: readonly Block[]): Verdict {
  const blocks = all.filter(({ a, b }) => a.casts === b.casts)
  const [a, b] = [sumOf(blocks, 'a'), sumOf(blocks, 'b')]
  const [pa, pb] = [posterior(a), posterior(b)]
  let below = 0
  let chanceABetter = 0
  GRID.forEach((_, i) => {
    chanceABetter += pa[i]! * (below + 0.5 * pb[i]!)
    below += pb[i]!
  })
  const evidence = Math.min(MOST_EVIDENCE, Math.exp(lnEvidence(blocks)))
  const differ = evidence >= SETTLES
  const alike = !differ && lnAlike(a, b) >= Math.log(SETTLES)
  return {
    evidence,
    verdict: differ ? (a.bites >= b.bites ? 'a' : 'b') : alike ? 'alike' : 'too-soon',
    moreCasts: differ || alike ? 0 : a.casts > 0 ? moreCasts(blocks, a, b) : null,
    rate: { a: rateOf(pa), b: rateOf(pb) },
    chanceABetter: Math.min(1, chanceABetter),
    open: all.length - blocks.length,
  }
}
