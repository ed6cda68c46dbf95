import { beforeAll, describe, expect, it } from 'vitest'
import { dice } from '../../tests/reference/dice'
import { MADE_UP, TRIAL, TRUTH } from '../../tests/season/madeUp'
import { choleskyInPlace, choleskyInverse, choleskySolve } from '#core/numeric/cholesky'
import { normalBelow } from '#core/numeric/normal'
import type { Request } from '#core/request/request'
import { trialVerdict } from '#core/trial/verdict'
import { type GroupTerms, noTerms } from './arrow'
import { type LoggedTrip, type Stint, compares, strataOf } from './log'
import { covariatesOf, layoutOf, priorOf, tripGroups } from './rigs'
import { askedIn } from './prepared'
import { type SeasonAnswer, type SeasonAsk, seasonOf } from './season'
import { COVARIATES, type Stands, standsIn } from './stands'
import { leanOf, shiftOf } from './weights'

const answerOf = (ask: SeasonAsk, standsOf: (asked: Request) => Stands = standsIn): SeasonAnswer =>
  seasonOf(
    ask,
    askedIn(ask.trips).map(asked => ({ asked, stands: standsOf(asked) })),
  )
const ASKED: Request = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green', temperatureC: 14 },
  light: { sky: 'partly', sunElevationDeg: 40 },
}
const FINISHES = ['jerkbait.bone', 'jerkbait.black', 'jerkbait.white', 'jerkbait.fire-bright']
/** Rankings drawn instead of worked out: where each finish stands, at random. */
function drawnStands(seed: number): Stands {
  const { normal } = dice(seed)
  const z = Object.fromEntries(FINISHES.map(f => [f, Array.from({ length: COVARIATES }, () => 0.4 * normal())]))
  return {
    lure: 'jerkbait',
    z,
    dim: 0,
    visibilityM: 2,
    phase: 'prespawn',
    look: { 'jerkbait.bone': 0, 'jerkbait.white': 0 },
  }
}
const STANDS = drawnStands(3)
const stint = (rod: number, fromMin: number, toMin: number, bites: number[], more: Partial<Stint> = {}): Stint => ({
  who: 0,
  rod,
  lure: 'jerkbait',
  finishId: FINISHES[rod]!,
  spot: 's',
  depthM: null,
  fromMin,
  toMin,
  pausedMin: 0,
  casts: null,
  bites,
  landed: 0,
  drawn: false,
  asked: null,
  ...more,
})
const trip = (n: number, stints: Stint[], more: Partial<LoggedTrip> = {}): LoggedTrip => ({
  id: `t${n}`,
  water: 'w',
  startedAt: '2026-04-11T06:00:00Z',
  endedAt: '2026-04-11T11:00:00Z',
  castsCounted: false,
  asItHappened: true,
  asked: ASKED,
  stints,
  ...more,
})
/** Trips in which rods are swapped, bitten by the draw. */
function drawnTrips(seed: number, count: number): LoggedTrip[] {
  const { even } = dice(seed)
  return Array.from({ length: count }, (_, n) =>
    trip(
      n,
      Array.from({ length: 24 }, (_, i) => {
        const from = 10 * i
        const bites = Array.from({ length: 3 }, () => from + 10 * even()).filter(() => even() < 0.12)
        return stint(i % 4, from, from + 10, bites)
      }),
    ),
  )
}
const finishes = (a: SeasonAnswer) => a.effects.filter(e => e.level === 'finish')

describe('Cholesky', () => {
  it('solves and inverts, and gives half the logarithm of the determinant', () => {
    const a = [4, 2, 0.6, 2, 5, 1, 0.6, 1, 3]
    const l = Float64Array.from(a)
    const det = 4 * (15 - 1) - 2 * (6 - 0.6) + 0.6 * (2 - 3)
    expect(choleskyInPlace(l, 3)).toBeCloseTo(0.5 * Math.log(det), 10)
    const x = choleskySolve(l, 3, Float64Array.from([1, 2, 3]))
    for (let i = 0; i < 3; i++)
      expect(a[3 * i]! * x[0]! + a[3 * i + 1]! * x[1]! + a[3 * i + 2]! * x[2]!).toBeCloseTo(i + 1, 10)
    const inverse = choleskyInverse(l, 3)
    expect(a[0]! * inverse[0]! + a[1]! * inverse[3]! + a[2]! * inverse[6]!).toBeCloseTo(1, 10)
    expect([normalBelow(0), normalBelow(1.28), normalBelow(-1.96)].map(v => v.toFixed(4))).toEqual([
      '0.5000',
      '0.8997',
      '0.0250',
    ])
  })
})

describe('stretches of comparison', () => {
  it('are cut at the clock’s half-hours, by spot and angler, each rig once, without pauses and landings', () => {
    const [first, second, ...rest] = strataOf(
      trip(0, [
        stint(0, 0, 40, [5, 5.2, 39], { pausedMin: 8, landed: 1 }),
        stint(1, 10, 20, [12]),
        stint(1, 20, 25, [], { spot: 'other' }),
        stint(1, 25, 27, []),
      ]),
      7,
    )
    expect(first!.cells.map(c => [c.finishId, c.bites, c.exposure])).toEqual([
      [FINISHES[0], 1, 0.75 * (40 - 8 - 3)],
      [FINISHES[1], 1, 12],
    ])
    expect([first!.trip, first!.spot, compares(first!)]).toEqual([7, 's', true])
    const all = [second!, ...rest]
    expect(all.map(s => [s.spot, s.cells.length, compares(s)])).toEqual([
      ['s', 1, false],
      ['other', 1, false],
    ])
  })
  it('count casts where the trip says that they are counted', () => {
    const [s] = strataOf(
      trip(0, [stint(0, 0, 10, [], { casts: 14 }), stint(1, 10, 20, [], { casts: 2 })], { castsCounted: true }),
      0,
    )
    expect(s!.cells.map(c => c.exposure)).toEqual([14])
  })
})

describe('the fit', () => {
  it('has the slope that its likelihood has', () => {
    const strata = drawnTrips(4, 3)
      .flatMap((t, i) => strataOf(t, i))
      .filter(compares)
    const layout = layoutOf(strata, id => STANDS.look[id]?.toString() ?? null)
    expect([layout.finishes.size, layout.looks.size]).toEqual([4, 2])
    const { normal } = dice(9)
    for (const group of tripGroups(strata, layout, c => covariatesOf(c, () => STANDS))) {
      const at = Float64Array.from({ length: layout.size }, () => 0.3 * normal())
      const own = Float64Array.from({ length: group.own }, () => 0.3 * normal())
      const into = noTerms(layout.size, group.own)
      const lnWith = (a: Float64Array, o: Float64Array, t: GroupTerms) =>
        group.terms(a, o, new Float64Array(layout.size ** 2), t)
      const ln = (a: Float64Array, o: Float64Array) => lnWith(a, o, noTerms(layout.size, group.own))
      lnWith(at, own, into)
      const { shared, own: slopes } = into
      const h = 1e-5
      const moved = (v: Float64Array, i: number, by: number) => v.map((x, k) => (k === i ? x + by : x))
      at.forEach((_, i) =>
        expect((ln(moved(at, i, h), own) - ln(moved(at, i, -h), own)) / (2 * h)).toBeCloseTo(shared[i]!, 5),
      )
      own.forEach((_, i) =>
        expect((ln(at, moved(own, i, h)) - ln(at, moved(own, i, -h))) / (2 * h)).toBeCloseTo(slopes[i]!, 5),
      )
    }
  })
  it('is the prior where there is nothing to learn from', () => {
    const a = answerOf({ trips: [] })
    expect([a.used.trips, a.effects, a.weights.slope]).toEqual([0, [], { mean: 0.35, sd: 0.35 }])
    expect([a.weights.evidence, a.weights.earned, a.weights.leaned]).toEqual([1, false, 0])
    expect(a.weights.schools.map(s => [s.delta, s.sd, s.shift])).toEqual(new Array(7).fill([0, 0.25, 0]))
    expect(a.says.map(s => s.code)).toEqual(['season.silent'])
    expect(
      priorOf(
        layoutOf([], () => null),
        0.3,
      ).precision,
    ).toHaveLength(COVARIATES)
  })
  it('learns nothing from a rod alone, nor from how long everybody fished', () => {
    const trips = drawnTrips(5, 4)
    const before = finishes(answerOf({ trips }, () => STANDS))
    const alone = trip(9, [stint(0, 0, 30, [1, 2, 3, 9]), stint(1, 60, 90, [])])
    const with_ = finishes(answerOf({ trips: [...trips, alone] }, () => STANDS))
    const of = (e: (typeof before)[number]) => [e.id, e.times, e.low, e.high]
    expect(with_.map(of)).toEqual(before.map(of))
    const slower = trips.map(t => ({
      ...t,
      castsCounted: true,
      stints: t.stints.map(s => ({ ...s, casts: 10 })),
    }))
    const faster = trips.map(t => ({
      ...t,
      castsCounted: true,
      stints: t.stints.map(s => ({ ...s, casts: 20 })),
    }))
    expect(finishes(answerOf({ trips: faster }, () => STANDS)).map(of)).toEqual(
      finishes(answerOf({ trips: slower }, () => STANDS)).map(of),
    )
  })
  it('is the same in whatever order trips come, and leaves out what was remembered', () => {
    const trips = drawnTrips(6, 4)
    const there = answerOf({ trips }, () => STANDS)
    const back = answerOf({ trips: [...trips].reverse() }, () => STANDS)
    const round = (e: (typeof there.effects)[number]) => [e.level, e.id, e.times.toFixed(3)].join()
    expect(back.effects.map(round).sort()).toEqual(there.effects.map(round).sort())
    const remembered = trip(8, [...drawnTrips(7, 1)[0]!.stints], { asItHappened: false })
    const { used, effects } = answerOf({ trips: [...trips, remembered] }, () => STANDS)
    expect([used.leftOut, used.trips]).toEqual([[{ tripId: 't8', why: 'not-as-it-happened' }], 4])
    expect(effects).toEqual(there.effects)
  })
  it('lets the log in as far as it has earned, and no further', () => {
    expect([leanOf(50, 59, 30), leanOf(50, 100, 7), leanOf(3, 100, 30)]).toEqual([0, 0, 0.5])
    expect([shiftOf(0.2, 0.1, 0.5), shiftOf(9, 1, 1), shiftOf(-9, 1, 1)]).toEqual([0.1 / (1.7 * 0.35), 0.3, -0.3])
  })
})

describe('the made-up season', () => {
  let a: SeasonAnswer
  beforeAll(() => {
    a = answerOf(MADE_UP)
  })
  const effect = (level: string, id: string) => a.effects.find(e => e.level === level && e.id === id)!
  const truthOf = (id: string) => {
    const lure = TRUTH.finish.filter(f => f.id.startsWith('jerkbait'))
    const mean = lure.reduce((s, f) => s + f.v, 0) / lure.length
    return Math.exp(lure.find(f => f.id === id)!.v - mean)
  }
  it('finds what is better, and the truth lies within what it says', () => {
    const best = effect('finish', 'jerkbait.fire-bright')
    expect(best.chanceBetter).toBeGreaterThanOrEqual(0.9)
    expect([best.low < truthOf(best.id), truthOf(best.id) < best.high]).toEqual([true, true])
    const bar = effect('spot', 'w0s0')
    const spots = TRUTH.spot[0]!
    const truth = Math.exp(spots[0]! - spots.reduce((s, v) => s + v, 0) / spots.length)
    expect([bar.chanceBetter > 0.9, bar.low < truth, truth < bar.high]).toEqual([true, true, true])
    const low = effect('light', 'low')
    expect([low.chanceBetter > 0.9, low.low < Math.exp(TRUTH.lowLight), Math.exp(TRUTH.lowLight) < low.high]).toEqual([
      true,
      true,
      true,
    ])
  })
  it('is not fooled by what leads the plain table because it was fished in the good hours', () => {
    const trap = effect('finish', 'jerkbait.gold-orange')
    const rates = finishes(a)
      .filter(f => f.within === 'jerkbait')
      .map(f => f.bites / f.hours)
    expect(trap.bites / trap.hours).toBe(Math.max(...rates))
    expect([trap.chanceBetter < 0.9, trap.times < 1]).toEqual([true, true])
    expect(a.says.map(s => s.code)).toContain('season.table-misleads')
    expect(a.says[0]!.text).toMatch(/^By bites an hour gold, orange belly leads/)
  })
  it('sees no reason to change the weights, and the fair test names the better', () => {
    expect([a.used.comparedBites, a.weights.earned]).toEqual([366, false])
    expect(a.weights.evidence).toBeLessThan(3)
    expect(a.says.at(-1)!.code).toBe('season.weights-stand')
    expect(trialVerdict(TRIAL).verdict).toBe('a')
  })
})
