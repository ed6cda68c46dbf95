import { choleskyInPlace, choleskyInverse, choleskySolve } from '#core/numeric/cholesky'

/** Independent normal priors: means, and precisions (1/variance). */
export interface Prior {
  mean: Float64Array
  precision: Float64Array
}

/** Curvature and slope of a log-likelihood at a point: what one group adds to them. */
export interface GroupTerms {
  /** Log-likelihood of the group. */
  ln: number
  /** Slope by what all share (p) and by the group's own (r). */
  shared: Float64Array
  own: Float64Array
  /** Curvature with its sign turned, row-major: shared p × p (added to what is there), between p × r, own r × r. */
  between: Float64Array
  within: Float64Array
}

/** A group of observations with effects of its own, such as a trip. */
export interface Group {
  /** How many effects it has of its own. */
  own: number
  /** Their prior, about 0. */
  ownPrecision: Float64Array
  /** Add the group's curvature by what all share into `curvature`, and give the rest. */
  terms: (shared: Float64Array, own: Float64Array, curvature: Float64Array) => GroupTerms
}

/** Nothing yet, of a group with so many effects of its own. */
export const noTerms = (p: number, r: number): GroupTerms => ({
  ln: 0,
  shared: new Float64Array(p),
  own: new Float64Array(r),
  between: new Float64Array(p * r),
  within: new Float64Array(r * r),
})

export interface ArrowFit {
  mean: Float64Array
  /** Of what all share, the groups' own integrated out; row-major p × p. */
  covariance: Float64Array
  own: Float64Array[]
  /** Variances of each group's own effects, what all share held. */
  ownVariance: Float64Array[]
  /** Logarithm of the Laplace evidence, up to what is the same for every prior of these observations. */
  lnEvidence: number
}

const MOST_STEPS = 40
/** No element moves further in one step, and a step this small is the last. */
const [LONGEST, LAST] = [1, 1e-4] as const

/**
 * Fit effects that all groups share beside each group's own, by Newton's method. The curvature has the shape of an
 * arrow: each group's own effects are eliminated by a small Cholesky factor and stepped back afterwards (as in the
 * bundle adjustment of Triggs et al. 2000, section 6.1).
 * @param near a fit of the same groups that is near: where to start from instead of the prior's mean
 */
export function fitArrow(
  { mean, precision }: Prior,
  groups: readonly Group[],
  near?: Pick<ArrowFit, 'mean' | 'own'>,
): ArrowFit {
  const p = mean.length
  const at = Float64Array.from(near?.mean ?? mean)
  const own = groups.map((g, i) => Float64Array.from(near?.own[i] ?? new Float64Array(g.own)))
  const work = newWork(p, groups)
  for (let step = 0; step < MOST_STEPS; step++) {
    const { slope, curvature } = eliminated(at, own, { mean, precision }, groups, work)
    choleskyInPlace(curvature, p)
    const move = choleskySolve(curvature, p, slope)
    const ownMoves = groups.map((_, g) => ownMove(work[g]!, move))
    let most = 0
    for (const moves of [move, ...ownMoves]) for (const m of moves) most = Math.max(most, Math.abs(m))
    const k = Math.min(1, LONGEST / Math.max(1e-300, most))
    for (let i = 0; i < p; i++) at[i]! += k * move[i]!
    ownMoves.forEach((moves, g) => moves.forEach((m, i) => (own[g]![i]! += k * m)))
    if (most * k < LAST) break
  }
  const { ln, curvature, lnFactors } = eliminated(at, own, { mean, precision }, groups, work)
  const lnShared = choleskyInPlace(curvature, p)
  let lnPrior = 0
  for (const v of precision) lnPrior += 0.5 * Math.log(v)
  for (const g of groups) for (const v of g.ownPrecision) lnPrior += 0.5 * Math.log(v)
  return {
    mean: at,
    covariance: choleskyInverse(curvature, p),
    own,
    ownVariance: work.map(w => {
      const inverse = choleskyInverse(w.factor, w.r)
      return Float64Array.from({ length: w.r }, (_, i) => inverse[i * w.r + i]!)
    }),
    lnEvidence: ln + lnPrior - lnShared - lnFactors,
  }
}

/** Mean and variance of a linear sum of what all share: pairs of a parameter and its factor. */
export function linearSum({ mean, covariance }: ArrowFit, row: Iterable<readonly [number, number]>) {
  const p = mean.length
  const entries = [...row]
  let sum = 0
  let variance = 0
  for (const [i, a] of entries) {
    sum += a * mean[i]!
    for (const [j, b] of entries) variance += a * b * covariance[i * p + j]!
  }
  return { mean: sum, variance }
}

/** What of a group is kept between eliminating its own effects and stepping them back. */
interface GroupWork {
  p: number
  r: number
  factor: Float64Array
  between: Float64Array
  slope: Float64Array
}
const newWork = (p: number, groups: readonly Group[]): GroupWork[] =>
  groups.map(({ own: r }) => ({
    p,
    r,
    factor: new Float64Array(r * r),
    between: new Float64Array(p * r),
    slope: new Float64Array(r),
  }))

/** Slope and curvature of the log posterior by what all share, every group's own effects eliminated. */
export function eliminated(
  at: Float64Array,
  own: readonly Float64Array[],
  { mean, precision }: Prior,
  groups: readonly Group[],
  work: GroupWork[] = newWork(at.length, groups),
) {
  const p = at.length
  const curvature = new Float64Array(p * p)
  const slope = new Float64Array(p)
  let ln = 0
  let lnFactors = 0
  for (let i = 0; i < p; i++) {
    curvature[i * p + i] = precision[i]!
    slope[i] = precision[i]! * (mean[i]! - at[i]!)
    ln -= 0.5 * precision[i]! * (at[i]! - mean[i]!) ** 2
  }
  groups.forEach((group, g) => {
    const mine = own[g]!
    const w = work[g]!
    const { r } = w
    const t = group.terms(at, mine, curvature)
    ln += t.ln
    for (let i = 0; i < p; i++) slope[i]! += t.shared[i]!
    w.between = t.between
    w.factor.set(t.within)
    for (let i = 0; i < r; i++) {
      const precise = group.ownPrecision[i]!
      w.factor[i * r + i]! += precise
      w.slope[i] = t.own[i]! - precise * mine[i]!
      ln -= 0.5 * precise * mine[i]! ** 2
    }
    lnFactors += choleskyInPlace(w.factor, r)
    const solved = choleskySolve(w.factor, r, Float64Array.from(w.slope))
    const column = new Float64Array(r)
    for (let j = 0; j < p; j++) {
      let touches = false
      for (let i = 0; i < r; i++) if ((column[i] = w.between[j * r + i]!) !== 0) touches = true
      if (!touches) continue
      for (let i = 0; i < r; i++) slope[j]! -= column[i]! * solved[i]!
      choleskySolve(w.factor, r, column)
      for (let i = 0; i < p; i++) {
        let s = 0
        for (let k = 0; k < r; k++) s += w.between[i * r + k]! * column[k]!
        if (s !== 0) curvature[i * p + j]! -= s
      }
    }
  })
  return { ln, slope, curvature, lnFactors }
}

/** The step of a group's own effects once what all share has moved. */
function ownMove({ p, r, factor, between, slope }: GroupWork, move: Float64Array): Float64Array {
  const out = Float64Array.from(slope)
  for (let j = 0; j < p; j++) for (let i = 0; i < r; i++) out[i]! -= between[j * r + i]! * move[j]!
  return choleskySolve(factor, r, out)
}
