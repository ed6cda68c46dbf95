import { choleskyInPlace, choleskyInverse, choleskySolve } from '#core/numeric/cholesky'
import { ENGINE_VERSION } from '#core/ranking/version'
import { PRIORS, WIDTHS, priorOf } from '#core/season-learning/rigs'
import type { Prepared } from '#core/season-learning/prepared'
import { COVARIATES } from '#core/season-learning/stands'
import { scoreHeld } from '#core/season-learning/weights'

/**
 * What an angler may give to a pool: no place, time or finish, but how the log's bites pull at the engine's slope and
 * the schools' effects from the prior's mean, and how much they tell (season-model section 7).
 */
export interface PoolShare {
  engine: string
  comparedBites: number
  /** Of the slope and the seven schools. */
  gradient: number[]
  /** The same, row by row of the lower half. */
  information: number[]
}

const ALL = Array.from({ length: COVARIATES }, (_, i) => i)
const HALF = (COVARIATES * (COVARIATES + 1)) / 2
/** The width of finishes that is likeliest beforehand. */
const WIDTH = WIDTHS[1]!.sd
const tenth = (v: number) => Math.round(10 * v) / 10 || 0

/** A log's share, rounded to a tenth. */
export function poolShare({ compared, layout, groups }: Prepared): PoolShare {
  const comparedBites = compared.reduce((n, s) => n + s.cells.reduce((m, c) => m + c.bites, 0), 0)
  const { slope, information } = scoreHeld(priorOf(layout, WIDTH), groups, ALL)
  const lower = ALL.flatMap(i => ALL.slice(0, i + 1).map(j => tenth(information[i * COVARIATES + j]!)))
  return { engine: ENGINE_VERSION, comparedBites, gradient: Array.from(slope, tenth), information: lower }
}

/** Fewer anglers than this are no pool. */
export const LEAST_ANGLERS = 20
/** How far anglers differ from their pool, standard deviation of each effect. */
const BETWEEN = 0.1

/** What a pool of anglers comes to, and the prior it gives to each of them. */
export interface Pool {
  anglers: number
  comparedBites: number
  mean: number[]
  /** Standard deviations of each angler's prior. */
  sd: number[]
}

/** Why shares cannot be added up. */
export type PoolFault = { code: 'too-few' | 'another-engine' | 'not-a-share'; at: number }

const isShare = (s: PoolShare) =>
  s.gradient?.length === COVARIATES &&
  s.information?.length === HALF &&
  [...s.gradient, ...s.information].every(v => Number.isFinite(v))

/** Shares of one engine added up: sums of pieces can be added up like shares. */
export interface PoolSum extends PoolShare {
  anglers: number
}

/** Shares of one engine, or sums of them, added up. */
export function sumOfShares(shares: readonly (PoolShare | PoolSum)[]): PoolSum {
  const sum = {
    engine: shares[0]?.engine ?? ENGINE_VERSION,
    anglers: 0,
    comparedBites: 0,
    gradient: ALL.map(() => 0),
    information: Array.from({ length: HALF }, () => 0),
  }
  for (const share of shares) {
    sum.anglers += 'anglers' in share ? share.anglers : 1
    sum.comparedBites += share.comparedBites
    share.gradient.forEach((v, i) => (sum.gradient[i]! += v))
    share.information.forEach((v, i) => (sum.information[i]! += v))
  }
  return sum
}

/**
 * What a sum of shares comes to: posterior of the slope and the schools over all its anglers, and from it each one's
 * prior; null where the sum is no information (no log gives such a one).
 */
export function poolOfSum({ anglers, comparedBites, gradient, information }: PoolSum): Pool | null {
  const n = COVARIATES
  const sum = new Float64Array(n * n)
  let at = 0
  for (const i of ALL) {
    for (let j = 0; j <= i; j++, at++) sum[i * n + j] = sum[j * n + i] = information[at]!
    sum[i * n + i]! += 1 / (i === 0 ? PRIORS.slope.sd : PRIORS.school) ** 2
  }
  choleskyInPlace(sum, n)
  const moved = choleskySolve(sum, n, Float64Array.from(gradient))
  const covariance = choleskyInverse(sum, n)
  const pool = {
    anglers,
    comparedBites,
    mean: ALL.map(i => (i === 0 ? PRIORS.slope.mean : 0) + moved[i]!),
    sd: ALL.map(i => Math.sqrt(covariance[i * n + i]! + BETWEEN ** 2)),
  }
  return [...pool.mean, ...pool.sd].every(v => Number.isFinite(v)) ? pool : null
}

/** Why shares are no pool, if they are none. */
export function poolFault(shares: readonly PoolShare[], least = LEAST_ANGLERS): PoolFault | null {
  const wrong = shares.findIndex(s => !isShare(s))
  if (wrong >= 0) return { code: 'not-a-share', at: wrong }
  const other = shares.findIndex(s => s.engine !== shares[0]!.engine)
  if (other >= 0) return { code: 'another-engine', at: other }
  return shares.length < least ? { code: 'too-few', at: shares.length } : null
}

/** Shares of one engine as a pool. */
export const poolOf = (shares: readonly PoolShare[], least = LEAST_ANGLERS): Pool | PoolFault =>
  poolFault(shares, least) ?? poolOfSum(sumOfShares(shares)) ?? { code: 'not-a-share', at: 0 }
