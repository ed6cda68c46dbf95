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

/** Shares of one engine added up: posterior of the slope and the schools over all anglers. */
export function poolOf(shares: readonly PoolShare[], least = LEAST_ANGLERS): Pool | PoolFault {
  const wrong = shares.findIndex(s => !isShare(s))
  if (wrong >= 0) return { code: 'not-a-share', at: wrong }
  const other = shares.findIndex(s => s.engine !== shares[0]!.engine)
  if (other >= 0) return { code: 'another-engine', at: other }
  if (shares.length < least) return { code: 'too-few', at: shares.length }
  const n = COVARIATES
  const precision = ALL.map(i => 1 / (i === 0 ? PRIORS.slope.sd : PRIORS.school) ** 2)
  const sum = new Float64Array(n * n)
  const pull = new Float64Array(n)
  for (const i of ALL) sum[i * n + i] = precision[i]!
  for (const { gradient, information } of shares) {
    let at = 0
    for (const i of ALL) {
      pull[i]! += gradient[i]!
      for (let j = 0; j <= i; j++, at++) {
        sum[i * n + j]! += information[at]!
        if (j < i) sum[j * n + i]! += information[at]!
      }
    }
  }
  choleskyInPlace(sum, n)
  const moved = choleskySolve(sum, n, pull)
  const covariance = choleskyInverse(sum, n)
  return {
    anglers: shares.length,
    comparedBites: shares.reduce((total, s) => total + s.comparedBites, 0),
    mean: ALL.map(i => (i === 0 ? PRIORS.slope.mean : 0) + moved[i]!),
    sd: ALL.map(i => Math.sqrt(covariance[i * n + i]! + BETWEEN ** 2)),
  }
}
