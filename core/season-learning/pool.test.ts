import { describe, expect, it } from 'vitest'
import { MADE_UP } from '../../tests/season/madeUp'
import { type PoolShare, poolOf, poolShare } from './pool'
import { askedIn, prepared } from './prepared'
import { seasonOf } from './season'
import { COVARIATES, standsIn } from './stands'

const stands = askedIn(MADE_UP.trips).map(asked => ({ asked, stands: standsIn(asked) }))
const share = poolShare(prepared(MADE_UP.trips, stands))

describe('a share for a pool', () => {
  it('tells how a log pulls and how much it tells, to a tenth, and nothing of places, times or finishes', () => {
    expect(share.gradient).toHaveLength(COVARIATES)
    expect(share.information).toHaveLength((COVARIATES * (COVARIATES + 1)) / 2)
    expect(share.comparedBites).toBe(seasonOf(MADE_UP, stands).used.comparedBites)
    for (const v of [...share.gradient, ...share.information])
      expect(Math.abs(10 * v - Math.round(10 * v))).toBeLessThan(1e-9)
    expect(JSON.stringify(share)).not.toMatch(/jerkbait|spinnerbait|2026-\d\d-|water|spot/)
  })
  it('of one log, moves the slope to where the log alone puts it', () => {
    const alone = poolOf([share], 1)
    if ('code' in alone) throw new Error(alone.code)
    const { slope } = seasonOf(MADE_UP, stands).weights
    expect(alone.mean[0]).toBeCloseTo(slope.mean, 1)
    expect(alone.sd[0]! ** 2 - 0.1 ** 2).toBeCloseTo(slope.sd ** 2, 2)
  })
})

describe('a pool', () => {
  it('grows surer with anglers, and never surer than they differ', () => {
    const of = (n: number) => {
      const pool = poolOf(Array.from({ length: n }, () => share))
      if ('code' in pool) throw new Error(pool.code)
      return pool
    }
    const [some, many] = [of(20), of(400)]
    expect([some.anglers, some.comparedBites]).toEqual([20, 20 * share.comparedBites])
    some.sd.forEach((sd, i) => expect(many.sd[i]!).toBeLessThan(sd))
    expect(Math.min(...many.sd)).toBeGreaterThan(0.1)
    expect(
      poolOf(Array.from({ length: 20 }, () => ({ ...share, gradient: share.gradient.map(() => 0) }))),
    ).toMatchObject({
      mean: [0.35, 0, 0, 0, 0, 0, 0, 0],
    })
  })
  it('is refused of too few, of two engines, and of what is no share', () => {
    const twenty = Array.from({ length: 20 }, () => share)
    const but = (at: number, other: PoolShare) => twenty.map((s, i) => (i === at ? other : s))
    expect(poolOf(twenty.slice(1))).toEqual({ code: 'too-few', at: 19 })
    expect(poolOf(but(3, { ...share, engine: 'x' }))).toEqual({ code: 'another-engine', at: 3 })
    expect(poolOf(but(5, { ...share, gradient: [1] }))).toEqual({ code: 'not-a-share', at: 5 })
    expect(poolOf(but(0, {} as never))).toEqual({ code: 'not-a-share', at: 0 })
  })
})
