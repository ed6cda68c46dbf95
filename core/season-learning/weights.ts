import { choleskyInPlace, choleskySolve } from '#core/numeric/cholesky'
import { type ArrowFit, type Group, type Prior, eliminated, fitArrow } from '#core/season-learning/arrow'
import { type Layout, WIDTHS, priorOf, weighed, withTripSd } from '#core/season-learning/rigs'
import { COVARIATES } from '#core/season-learning/stands'

const SCHOOLS = COVARIATES - 1
/** Widths of a trip's own luck, and of the slope, under which the schools' evidence is weighed. */
const TRIP_SDS = [0.3, 0.6] as const
const SLOPE_SD = 1.5
/** How far schools may be off, if they are: the alternatives weighed. */
const TAUS = [0.15, 0.3, 0.6] as const
/** As good as held at nought. */
const HELD = 1e9

/** Slope and information of some effects where they are held, all else eliminated. */
export interface Score {
  slope: Float64Array
  information: Float64Array
}

/**
 * Slope and information of some of the shared effects with all the others eliminated: the Schur complement of what
 * all share.
 */
export function schurOf(
  { slope, curvature }: { slope: Float64Array; curvature: Float64Array },
  kept: readonly number[],
): Score {
  const p = slope.length
  const others = [...Array(p).keys()].filter(i => !kept.includes(i))
  const n = others.length
  const rest = new Float64Array(n * n)
  others.forEach((i, a) => others.forEach((j, b) => (rest[a * n + b] = curvature[i * p + j]!)))
  if (n) choleskyInPlace(rest, n)
  const solve = (of: (i: number) => number) => (n ? choleskySolve(rest, n, Float64Array.from(others, of)) : others)
  const solved = kept.map(s => solve(i => curvature[i * p + s]!))
  const restSlope = solve(i => slope[i]!)
  const k = kept.length
  const out: Score = { slope: new Float64Array(k), information: new Float64Array(k * k) }
  kept.forEach((s, a) => {
    out.slope[a] = slope[s]! - others.reduce((sum, i, m) => sum + curvature[i * p + s]! * restSlope[m]!, 0)
    kept.forEach((t, b) => {
      const through = others.reduce((sum, i, m) => sum + curvature[i * p + t]! * solved[a]![m]!, 0)
      out.information[a * k + b] = curvature[s * p + t]! - through
    })
  })
  return out
}

/** The score of some effects where they are held at the prior's mean, all else fitted and eliminated. */
export function scoreHeld(
  prior: Prior,
  groups: readonly Group[],
  kept: readonly number[],
  near?: ArrowFit,
): Score & { fit: ArrowFit } {
  const held: Prior = { mean: prior.mean, precision: Float64Array.from(prior.precision) }
  for (const s of kept) held.precision[s] = HELD
  const fit = fitArrow(held, groups, near)
  const free: Prior = { mean: prior.mean, precision: Float64Array.from(prior.precision) }
  for (const s of kept) free.precision[s] = 0
  return { ...schurOf(eliminated(fit.mean, fit.own, free, groups), kept), fit }
}

const ALL_SCHOOLS = Array.from({ length: SCHOOLS }, (_, s) => s + 1)
function scoreAt(
  prior: Prior,
  groups: readonly Group[],
  near?: ArrowFit,
): Score & { fit: ArrowFit; lnEvidence: number } {
  const score = scoreHeld(prior, groups, ALL_SCHOOLS, near)
  return { ...score, lnEvidence: score.fit.lnEvidence }
}

/** Evidence that the schools' weights are off, by one width of what they may be off by. */
function evidenceFor({ slope, information }: Score, tau: number): number {
  let alone = 0
  for (let s = 0; s < SCHOOLS; s++) {
    const j = Math.max(0, information[s * SCHOOLS + s]!)
    alone += Math.exp(slope[s]! ** 2 / (2 * (j + tau ** -2))) / Math.sqrt(1 + j * tau ** 2)
  }
  const wide = Float64Array.from(information)
  for (let s = 0; s < SCHOOLS; s++) wide[s * SCHOOLS + s]! += 2 * tau ** -2
  const lnHalf = choleskyInPlace(wide, SCHOOLS)
  const x = choleskySolve(wide, SCHOOLS, Float64Array.from(slope))
  const squared = slope.reduce((sum, v, i) => sum + v * x[i]!, 0)
  // det(1 + J τ²/2) is det(J + 2/τ²) times (τ²/2) to the number of schools.
  const lnDet = 2 * lnHalf + SCHOOLS * Math.log(tau ** 2 / 2)
  return 0.5 * (alone / SCHOOLS) + 0.5 * Math.exp(0.5 * squared - 0.5 * lnDet)
}

export interface WeightEvidence {
  /** An e-value against the weights as they are. */
  evidence: number
  /** Information of each school's effect with all else eliminated, bites of a perfect swap. */
  evidenceBites: number[]
}

/** Bites of two rigs a whole stance apart in equal time that tell as much as information 1. */
const BITES_PER_INFORMATION = 4

/**
 * Evidence that the log speaks against the schools' weights: mixtures of normal alternatives against fits in which the
 * schools have no effect and finishes and trips are as rough as they may be, weighed by how well each suits the log.
 * Without this, rough finishes pass for schools. Measured, not proven.
 */
export function weightEvidence(groups: readonly Group[], layout: Layout): WeightEvidence {
  let near: ArrowFit | undefined
  const nulls = WIDTHS.flatMap(({ share, sd }) =>
    TRIP_SDS.map(tripSd => {
      const score = scoreAt(priorOf(layout, sd, SLOPE_SD), withTripSd(groups, tripSd), near)
      near = score.fit
      return { share: share / TRIP_SDS.length, ...score }
    }),
  )
  const weights = weighed(nulls)
  let evidence = 0
  const bites = new Array<number>(SCHOOLS).fill(0)
  nulls.forEach((of, i) => {
    for (const tau of TAUS) evidence += (weights[i]! / TAUS.length) * evidenceFor(of, tau)
    for (let s = 0; s < SCHOOLS; s++)
      bites[s]! += weights[i]! * BITES_PER_INFORMATION * Math.max(0, of.information[s * SCHOOLS + s]!)
  })
  return { evidence, evidenceBites: bites }
}

/** How far the log is let in below so many compared bites or trips: not at all. */
export const LEAST_LEANED = { bites: 60, trips: 8 } as const
/** Prior odds of one to three that weights are off. */
const PRIOR_AGAINST = 3
/** "Earned" is said from here. */
export const EARNED = 20

export const leanOf = (evidence: number, comparedBites: number, trips: number): number =>
  comparedBites < LEAST_LEANED.bites || trips < LEAST_LEANED.trips ? 0 : evidence / (evidence + PRIOR_AGAINST)

/** Gain of the balanced sum, least slope that a shift is reckoned by, and the most a weight may shift. */
const [GAIN, LEAST_SLOPE, MOST_SHIFT] = [1.7, 0.35, 0.3] as const
/** What a school's share of the balance shifts by, for its learned effect and the slope, let in so far. */
export const shiftOf = (delta: number, slope: number, lean: number): number =>
  Math.max(-MOST_SHIFT, Math.min(MOST_SHIFT, (lean * delta) / (GAIN * Math.max(slope, LEAST_SLOPE))))

/** Schools whose effects the log cannot part: correlated below −0.5. */
export function togetherOf(covariance: Float64Array, p: number): number[][] {
  const sd = (i: number) => Math.sqrt(covariance[i * p + i]!)
  return Array.from({ length: SCHOOLS }, (_, s) =>
    Array.from({ length: SCHOOLS }, (_, t) => t).filter(
      t => t !== s && covariance[(s + 1) * p + t + 1]! / (sd(s + 1) * sd(t + 1)) < -0.5,
    ),
  )
}
