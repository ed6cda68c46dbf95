import { choleskyForward, choleskyInPlace, choleskyInverse, choleskySolve } from '#core/numeric/cholesky'

/** Independent normal priors: means, and precisions (1/variance). */
export interface Prior {
  mean: Float64Array
  precision: Float64Array
}

/** Curvature and slope of a log-likelihood at a point: what one group adds to them. */
export interface GroupTerms {
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
  /**
   * Add the lower half of the group's curvature by what all share into `curvature`, and the rest into `into`.
   * @returns the group's log-likelihood
   */
  terms: (shared: Float64Array, own: Float64Array, curvature: Float64Array, into: GroupTerms) => number
}

/** Nothing yet, of a group with so many effects of its own. */
export const noTerms = (p: number, r: number): GroupTerms => ({
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
  let last: { ln: number; lnShared: number; lnFactors: number; curvature: Float64Array } | undefined
  for (let step = 0; step < MOST_STEPS; step++) {
    const { ln, slope, curvature, lnFactors } = eliminated(at, own, { mean, precision }, groups, work)
    const lnShared = choleskyInPlace(curvature, p)
    const move = choleskySolve(curvature, p, slope)
    const ownMoves = groups.map((_, g) => ownMove(work[g]!, move))
    let most = 0
    for (const moves of [move, ...ownMoves]) for (const m of moves) most = Math.max(most, Math.abs(m))
    const k = Math.min(1, LONGEST / Math.max(1e-300, most))
    for (let i = 0; i < p; i++) at[i]! += k * move[i]!
    ownMoves.forEach((moves, g) => moves.forEach((m, i) => (own[g]![i]! += k * m)))
    // The last step is so short that the curvature before it is the curvature after it.
    last = { ln, lnShared, lnFactors, curvature }
    if (most * k < LAST) break
  }
  const { ln, lnShared, lnFactors, curvature } = last!
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
  terms: GroupTerms
  factor: Float64Array
  slope: Float64Array
  /** L⁻¹ between, a column after the other, L the factor. */
  columns: Float64Array
}
const newWork = (p: number, groups: readonly Group[]): GroupWork[] =>
  groups.map(({ own: r }) => ({
    p,
    r,
    terms: noTerms(p, r),
    factor: new Float64Array(r * r),
    slope: new Float64Array(r),
    columns: new Float64Array(p * r),
  }))
const emptied = (t: GroupTerms): GroupTerms => {
  for (const a of [t.shared, t.own, t.between, t.within]) a.fill(0)
  return t
}

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
  const touched = new Int32Array(p)
  groups.forEach((group, g) => {
    const mine = own[g]!
    const { r, factor, columns, slope: ownSlope, terms } = work[g]!
    const t = emptied(terms)
    ln += group.terms(at, mine, curvature, t)
    for (let i = 0; i < p; i++) slope[i]! += t.shared[i]!
    factor.set(t.within)
    for (let i = 0; i < r; i++) {
      const precise = group.ownPrecision[i]!
      factor[i * r + i]! += precise
      ownSlope[i] = t.own[i]! - precise * mine[i]!
      ln -= 0.5 * precise * mine[i]! ** 2
    }
    lnFactors += choleskyInPlace(factor, r)
    // With L the factor of the own curvature, what is taken away is the square of L⁻¹ between.
    const solved = choleskyForward(factor, r, Float64Array.from(ownSlope))
    columns.set(t.between)
    let n = 0
    for (let j = 0; j < p; j++) {
      if (!anyIn(t.between, j * r, r)) continue
      choleskyForward(factor, r, columns, j * r)
      touched[n++] = j
    }
    for (let a = 0; a < n; a++) {
      const i = touched[a]!
      for (let k = 0; k < r; k++) slope[i]! -= columns[i * r + k]! * solved[k]!
      for (let b = 0; b <= a; b++) {
        const j = touched[b]!
        let s = 0
        for (let k = 0; k < r; k++) s += columns[i * r + k]! * columns[j * r + k]!
        curvature[i * p + j]! -= s
      }
    }
  })
  for (let i = 0; i < p; i++) for (let j = 0; j < i; j++) curvature[j * p + i] = curvature[i * p + j]!
  return { ln, slope, curvature, lnFactors }
}

function anyIn(of: Float64Array, from: number, n: number): boolean {
  for (let i = from; i < from + n; i++) if (of[i] !== 0) return true
  return false
}

/** The step of a group's own effects once what all share has moved. */
function ownMove({ p, r, factor, terms: { between }, slope }: GroupWork, move: Float64Array): Float64Array {
  const out = Float64Array.from(slope)
  for (let j = 0; j < p; j++) for (let i = 0; i < r; i++) out[i]! -= between[j * r + i]! * move[j]!
  return choleskySolve(factor, r, out)
}
