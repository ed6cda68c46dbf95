import { describe, expect, it } from 'vitest'
import { trialOrder } from '#core/trial/order'
import type { TapKind, TapRecord, TripRecord } from '#shared/schema/record'
import { finishesCsv, logJson, readLog, tapsCsv } from './files'
import { rateOf } from './rate'
import { type Tap, bitesOf, blocksOf, byFinish, byRod, rodNow, rodsNow, tapsOf, trialOf } from './trip'

const TRIP = '018f0000-0000-7000-8000-0000000000c1'
const at = (minute: number) => new Date(Date.UTC(2026, 4, 10, 12, minute)).toISOString()
const trip = (patch: Partial<TripRecord> = {}): TripRecord => ({
  name: 'Tallow Pond',
  waterId: null,
  startedAt: at(0),
  endedAt: at(60),
  rods: [
    { lure: 'jerkbait', finishId: 'jerkbait.bone' },
    { lure: 'jerkbait', finishId: 'jerkbait.black' },
  ],
  asked: { lure: 'jerkbait', water: { visibilityM: 1, tint: 'green' }, light: { sky: 'clear', sunElevationDeg: 40 } },
  trial: null,
  note: '',
  ...patch,
})
let made = 0
const tap = (minute: number, what: TapKind, rest: Partial<TapRecord> = {}): Tap => ({
  id: `018f0000-0000-7000-8000-${String(++made).padStart(12, '0')}`,
  at: '',
  body: { tripId: TRIP, at: at(minute), what, rod: 0, ...rest },
})
const NOW = Date.parse(at(60))

describe('a trip', () => {
  const taps = [
    tap(1, 'cast'),
    tap(2, 'bite'),
    tap(20, 'rod', { rod: 1 }),
    tap(21, 'follow', { rod: 1 }),
    tap(25, 'landed', { rod: 1 }),
    tap(40, 'rig', { rod: 1, rig: { lure: 'jerkbait', finishId: 'jerkbait.white' } }),
    tap(41, 'miss', { rod: 1 }),
    tap(50, 'rod', { rod: 0 }),
  ]
  it('gives each rod its minutes, casts and bites', () => {
    const [a, b] = byRod(trip(), taps, NOW)
    expect(a).toEqual({ casts: 1, bite: 1, follow: 0, miss: 0, landed: 0, minutes: 30 })
    expect(b).toEqual({ casts: 0, bite: 0, follow: 1, miss: 1, landed: 1, minutes: 30 })
    expect(bitesOf(b!)).toBe(2)
    expect(rodNow(taps)).toBe(0)
    expect(rodsNow(trip(), taps)[1]!.finishId).toBe('jerkbait.white')
  })
  it('gives each finish what was done while it was tied on', () => {
    const by = byFinish([{ id: TRIP, at: '', body: trip() }], taps, NOW)
    expect(by.map(f => [f.finishId, f.tally.minutes, bitesOf(f.tally)])).toEqual([
      ['jerkbait.bone', 30, 1],
      ['jerkbait.black', 20, 1],
      ['jerkbait.white', 10, 1],
    ])
  })
  it('is in the order of its moments whatever order its taps came in, and of its own alone', () => {
    const other = tap(3, 'bite', { tripId: '018f0000-0000-7000-8000-0000000000ff' })
    expect(tapsOf([other, ...taps.toReversed()], TRIP)).toEqual(taps)
  })
  it('goes on to now while it is under way', () => {
    expect(byRod(trip({ endedAt: null }), [], Date.parse(at(90)))[0]!.minutes).toBe(90)
  })
})

describe('a fair test', () => {
  const test = { castsPerSpell: 2, blocks: 3, seed: 5, leaveOutBroken: true }
  const body = trip({ trial: test })
  const casts = (n: number) => Array.from({ length: n }, () => tap(1, 'cast'))
  it('fills its spells in the order drawn, a bite belonging to the cast before it', () => {
    const taps = [...casts(2), tap(1, 'landed'), ...casts(1), tap(1, 'bite'), tap(1, 'miss'), tap(1, 'follow')]
    const { spells, now } = trialOf(body, taps)
    expect(spells.map(s => s.side)).toEqual(trialOrder(3, 5).map(s => s.side))
    expect(spells.slice(0, 3).map(s => [s.casts, s.bites])).toEqual([
      [2, 1],
      [1, 1],
      [0, 0],
    ])
    expect(now).toBe(1)
    expect(trialOf(body, casts(2)).now).toBe(1)
    expect(trialOf(body, casts(12)).now).toBeNull()
  })
  it('is looked at after whole pairs only, those with a broken spell left out by the rule', () => {
    const broken = [...casts(3), tap(1, 'broken'), ...casts(7)]
    const of = (b: TripRecord, taps: Tap[]) => blocksOf(b, trialOf(b, taps).spells)
    expect(of(body, casts(3))).toEqual([])
    expect(of(body, casts(11))).toHaveLength(2)
    expect(of(body, broken)).toHaveLength(1)
    expect(of({ ...body, trial: { ...test, leaveOutBroken: false } }, broken)).toHaveLength(2)
    const first = trialOrder(3, 5)[0]!.side
    const [block] = of(body, [...casts(1), tap(1, 'bite'), ...casts(3)])
    expect(block![first]).toEqual({ casts: 2, bites: 1 })
    expect(block![first === 'a' ? 'b' : 'a']).toEqual({ casts: 2, bites: 0 })
  })
})

describe('a rate', () => {
  it('is wide after little, narrow after much, and never nothing', () => {
    const [little, much, none] = [rateOf(1, 30), rateOf(40, 1200), rateOf(0, 60)]
    expect(much.best).toBeCloseTo(2, 1)
    expect(little.high - little.low).toBeGreaterThan(3 * (much.high - much.low))
    expect([none.low, none.high]).toEqual([expect.closeTo(0.0079, 3), expect.closeTo(1.3528, 3)])
  })
})

describe('the log as a file', () => {
  const kept = { id: TRIP, at: '', body: trip() }
  const taps = [tap(1, 'cast'), tap(2, 'landed', { species: 'largemouth-bass', lengthM: 0.4, kept: false })]
  it('comes back whole, and a second time adds nothing', () => {
    const text = logJson([kept], taps)
    const read = readLog(text, [], [])
    expect(read).toMatchObject({ added: 3, faults: [] })
    expect(read.writes.map(w => w.body.body)).toEqual([kept.body, ...taps.map(t => t.body)])
    expect(readLog(text, [kept], taps)).toMatchObject({ writes: [], same: 3 })
    expect(readLog('{"trips":[{}],"taps":[]}', [], []).faults[0]).toMatchObject({ line: 1 })
    expect(readLog('x', [], []).faults).toHaveLength(1)
  })
  it('has a line for every tap and one for every finish', () => {
    expect(tapsCsv([kept], taps).split('\r\n')).toEqual([
      'trip,at,what,lure,finish,species,lengthM,kept,clue,word',
      `Tallow Pond,${at(1)},cast,jerkbait,jerkbait.bone,,,,,`,
      `Tallow Pond,${at(2)},landed,jerkbait,jerkbait.bone,largemouth-bass,0.4,let go,,`,
    ])
    expect(finishesCsv([kept], taps, NOW).split('\r\n')[1]).toMatch(/^jerkbait\.bone,Bone,60,1,1,\d\.\d\d,/)
  })
})
