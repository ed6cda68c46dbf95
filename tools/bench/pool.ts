import { poolOf, poolShare } from '#core/season-learning/pool'
import { PRIORS } from '#core/season-learning/rigs'
import { askedIn, prepared } from '#core/season-learning/prepared'
import { COVARIATES } from '#core/season-learning/stands'
import { simulate } from '../../tests/season/anglers'
import { dice } from '../../tests/reference/dice'
import { table } from './timing'

const POOLS = 8
const TRIPS = 24
/** How far anglers differ from what they share: as the pool takes it. */
const BETWEEN = 0.1
const SIZES = [20, 50, 100] as const

/** How near a pool of anglers comes to what they share, beside the prior that an angler alone starts from. */
export function benchPool(): void {
  const { normal } = dice(31)
  const errors = SIZES.map(() => ({ slope: 0, schools: 0, within: 0, bites: 0 }))
  const prior = { slope: 0, schools: 0 }
  for (let p = 0; p < POOLS; p++) {
    const shared = [
      PRIORS.slope.mean + PRIORS.slope.sd * normal(),
      ...Array.from({ length: COVARIATES - 1 }, () => PRIORS.school * normal()),
    ]
    const shares = Array.from({ length: Math.max(...SIZES) }, (_, a) => {
      const own = shared.map(v => v + BETWEEN * normal())
      const { trips, standsOf } = simulate(5000 + 100 * p + a, TRIPS, true, own)
      const stands = askedIn(trips).map(asked => ({ asked, stands: standsOf(asked) }))
      return poolShare(prepared(trips, stands))
    })
    const square = (v: number) => v * v
    prior.slope += square(PRIORS.slope.mean - shared[0]!)
    prior.schools += shared.slice(1).reduce((s, v) => s + square(v), 0)
    SIZES.forEach((n, i) => {
      const pool = poolOf(shares.slice(0, n))
      if ('code' in pool) throw new Error(pool.code)
      const of = errors[i]!
      of.slope += square(pool.mean[0]! - shared[0]!)
      of.schools += pool.mean.slice(1).reduce((s, m, k) => s + square(m - shared[k + 1]!), 0)
      of.within += pool.mean.filter((m, k) => Math.abs(m - shared[k]!) <= 1.28 * pool.sd[k]!).length
      of.bites += pool.comparedBites
    })
  }
  const rms = (sum: number, each: number) => Math.sqrt(sum / (POOLS * each)).toFixed(3)
  table(
    `What a pool knows, ${POOLS} pools of anglers with ${TRIPS} trips each`,
    ['anglers', 'compared bites', 'slope out by', 'a school out by', 'truth within eight in ten'],
    [
      ['none: the prior', '0', rms(prior.slope, 1), rms(prior.schools, COVARIATES - 1), ''],
      ...SIZES.map((n, i) => {
        const e = errors[i]!
        const within = `${Math.round((100 * e.within) / (POOLS * COVARIATES))} %`
        return [String(n), String(Math.round(e.bites / POOLS)), rms(e.slope, 1), rms(e.schools, COVARIATES - 1), within]
      }),
    ],
  )
}
