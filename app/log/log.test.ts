import { describe, expect, it } from 'vitest'
import type { Rod, TapKind, TapRecord, TripRecord } from '#shared/schema/record'
import { finishById } from '#core/lure/finish'
import { changedWords, conditionsWords } from './carried'
import { TAP_OF, TRIP_ID, TRIP_OF, minute } from '../../tests/reference/log'
import { drawnAt } from './draw'
import { readTapsCsv, tapsCsv } from './csv'
import { finishesCsv, logJson, readLog } from './files'
import { differences, pairFor, rodWords, sameColour } from './pair'
import { rateOf } from './rate'
import { bitesOf, byAngler, byFinish, byRod, changesToCome, isPaused, rodNow, rodsNow, tapsOf } from './trip'
import { loggedTrip } from './seasonLog'
import { tapWords } from './words'

const trip = TRIP_OF
const tap = TAP_OF
const at = minute
const TRIP = TRIP_ID
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

describe('two aboard', () => {
  const body = trip({ crew: ['Maren', 'Jo'] })
  const taps = [
    tap(5, 'bite'),
    tap(6, 'bite', { rod: 1, who: 1 }),
    tap(10, 'rod', { rod: 1 }),
    tap(11, 'landed', { rod: 1 }),
    tap(12, 'rod', { rod: 0, who: 1 }),
    tap(13, 'miss', { rod: 0, who: 1 }),
    tap(20, 'pause'),
    tap(40, 'resume'),
    tap(50, 'rig', { rod: 0, who: 1, rig: { lure: 'jerkbait', finishId: 'jerkbait.white' } }),
  ]
  it('each fish a rod of their own, and count for themselves', () => {
    expect(byAngler(body, taps).map(bitesOf)).toEqual([2, 2])
    expect([rodNow(taps, 0), rodNow(taps, 1), rodNow([], 1)]).toEqual([1, 0, 1])
    const by = byRod(body, taps, NOW)
    expect(by.map(bitesOf)).toEqual([2, 2])
    // Maren 10 min on the first rod, then the second; Jo 12 min on the second, then the first; 20 min paused.
    expect(by.map(t => t.minutes)).toEqual([10 + 28, 30 + 12])
  })
  it('are two in a season, each rod at its own depth, pauses told', () => {
    const depth = tap(15, 'depth', { rod: 0, who: 1, depthM: 2 })
    const { stints } = loggedTrip(
      { id: TRIP, at: '', body },
      [...taps, depth].sort((a, b) => (a.body.at < b.body.at ? -1 : 1)),
      NOW,
    )
    const of = (who: number) => stints.filter(s => s.who === who).map(s => [s.rod, s.fromMin, s.toMin, s.pausedMin])
    expect(of(0)).toEqual([
      [0, 0, 10, 0],
      [1, 10, 60, 20],
    ])
    expect(of(1)).toEqual([
      [1, 0, 12, 0],
      [0, 12, 15, 0],
      [0, 15, 50, 20],
      [0, 50, 60, 0],
    ])
    expect(stints.filter(s => s.who === 1).map(s => s.depthM)).toEqual([null, null, 2, 2])
    expect(stints.filter(s => s.who === 0).every(s => s.depthM === null)).toBe(true)
  })
  it('are named in tables, and come back from them', () => {
    const table = tapsCsv([{ id: TRIP, at: '', body }], taps)
    expect(table.split('\r\n')[2]).toMatch(/,Jo$/)
    const read = readTapsCsv(table, [{ id: TRIP, at: '', body }], [], { ...body })
    expect(read.faults).toEqual([])
    const whos = read.writes.flatMap(({ body: e }) => (e.kind === 'tap' ? [e.body.who ?? 0] : []))
    expect(whos).toEqual([0, 1, 0, 0, 1, 1, 0, 0, 1])
  })
  it('know what their plan still ties on', () => {
    const change = (rod: number, m: number, finishId: string) => ({ rod, at: at(m), finishId })
    const changes = [change(0, 50, 'jerkbait.white'), change(1, 30, 'jerkbait.bone')]
    expect(changesToCome({ ...body, changes }, [])).toEqual([changes[1], changes[0]])
    expect(changesToCome({ ...body, changes }, taps)).toEqual([changes[1]])
    expect([isPaused(taps.slice(0, 7)), isPaused(taps)]).toEqual([true, false])
  })
})

describe('rods by the draw', () => {
  const draw = { seed: 7, everyMin: 10, from: at(0) }
  const rods = trip().rods
  const order = Array.from({ length: 30 }, (_, i) => drawnAt({ draw, rods }, Date.parse(at(10 * i + 1)))!.rod)
  it('come each once in a round, in an order that is drawn, the same for the same seed', () => {
    for (let i = 0; i + rods.length <= order.length; i += rods.length)
      expect(order.slice(i, i + rods.length).sort()).toEqual(rods.map((_, k) => k))
    expect(new Set(Array.from({ length: 15 }, (_, i) => order[rods.length * i])).size).toBeGreaterThan(1)
    expect(drawnAt({ draw, rods }, Date.parse(at(3)))).toEqual({ rod: order[0], untilMs: Date.parse(at(10)) })
    expect(drawnAt({ rods }, 0)).toBeNull()
  })
  it('are told to the season as drawn', () => {
    const taps = [tap(10, 'rod', { rod: 1, drawn: true }), tap(20, 'rod', { rod: 0 })]
    const { stints } = loggedTrip({ id: TRIP, at: '', body: trip() }, taps, NOW)
    expect(stints.map(s => [s.fromMin, s.drawn])).toEqual([
      [0, false],
      [10, true],
      [20, false],
    ])
  })
})

describe('the two of a fair test', () => {
  it('is of one thing that differs, and of no other', () => {
    const a: Rod = { lure: 'jerkbait', finishId: 'jerkbait.bone', line: '8 lb mono', size: '4 in' }
    for (const what of ['finish', 'lure'] as const) {
      const [x, y] = pairFor(what, a, { ...a, finishId: 'jerkbait.black', lure: 'lipless-crankbait' })
      expect([x, differences(x, y)]).toEqual([a, [what]])
      expect(y).toMatchObject({ line: '8 lb mono', size: '4 in' })
    }
    expect(pairFor('finish', a, { ...a, finishId: 'jerkbait.black' })[1].finishId).toBe('jerkbait.black')
    expect(differences(...pairFor('line', a, { ...a, line: '10 lb braid' }))).toEqual(['line'])
    expect(differences(a, { ...a, line: ' 8 LB mono' })).toEqual([])
    expect(differences(a, { ...a, finishId: 'jerkbait.black', size: '5 in' })).toEqual(['finish', 'size'])
    const painted = finishById('jerkbait.bone')!
    expect(sameColour(painted, 'walking-topwater').id).toBe('walking-topwater.bone')
    expect(sameColour(finishById('stick-worm.green-pumpkin')!, 'craw').id).toBe('craw.green-pumpkin')
    // A pattern the other lure does not have: one of the same family and tone.
    const other = sameColour(finishById('jerkbait.perch')!, 'grub')
    expect(other.families.some(f => finishById('jerkbait.perch')!.families.includes(f))).toBe(true)
    expect(pairFor('lure', a, { ...a, lure: 'popper' })[1].lure).toBe('popper')
    expect(pairFor('lure', a, undefined)[1].lure).not.toBe('jerkbait')
    expect(pairFor('finish', a, { ...a })[1].finishId).not.toBe(a.finishId)
    expect(pairFor('size', a, undefined)[1].size).toBe('')
    expect([rodWords({ ...a, line: '' }, 'line'), rodWords({ ...a, size: undefined }, 'size')]).toEqual([
      'Line not said',
      'Size not said',
    ])
    const words = (['finish', 'lure', 'line', 'size'] as const).map(d => rodWords(a, d))
    expect(words).toEqual(['Bone', 'jerkbait', '8 lb mono', '4 in'])
  })
})

describe('conditions carried along', () => {
  const before = trip().asked
  const water = (patch: object) => ({ ...before, water: { ...before.water, ...patch } })
  it('are noted where they moved by more than unrest, each in words as it is now', () => {
    expect(changedWords(before, water({ visibilityM: 1.14 }), 'metric')).toEqual([])
    expect(changedWords(before, water({ visibilityM: 1.16 }), 'metric')).toHaveLength(1)
    const clouded = (cloud: number) => ({ ...before, light: { ...before.light, cloud } })
    expect(changedWords(clouded(0.2), clouded(0.44), 'metric')).toEqual([])
    expect(changedWords(clouded(0.2), clouded(0.46), 'metric')).toEqual(['clear'])
    expect(changedWords(before, clouded(0.2), 'metric')).toEqual(['clear'])
    expect(changedWords(before, water({ tide: 'rising' }), 'metric')).toEqual(['tide rising'])
    expect(changedWords(before, water({ visibilityM: 0.8, tint: 'tea' }), 'metric')).toEqual([
      'disc lost at 80 cm',
      'tea water',
    ])
    const warm = water({ temperatureC: 14 })
    expect(changedWords(before, warm, 'us')).toEqual(['water 57 °F'])
    expect(changedWords(warm, water({ temperatureC: 14.4 }), 'us')).toEqual([])
    const light = { ...before.light, sky: 'overcast', wind: 'chop' } as const
    expect(changedWords(before, { ...before, light }, 'us')).toEqual(['overcast', 'wind: chop'])
    expect(conditionsWords({ ...warm, light }, 'us')).toBe('green water, disc lost at 3.3 ft, 57 °F, overcast, chop')
  })
  it('stand on the timeline in words, as every tap does', () => {
    const say = (what: TapKind, rest: Partial<TapRecord> = {}) =>
      tapWords(tap(1, what, rest).body, 'metric', id => (id === TRIP ? 'Dam' : undefined))
    const rig: Rod = { lure: 'jerkbait', finishId: 'jerkbait.white', line: '8 lb mono' }
    expect([
      say('bite', { rod: 1 }),
      say('rod', { rod: 2 }),
      say('rig', { rig }),
      say('depth', { depthM: 1.5 }),
      say('spot', { spotId: TRIP }),
      say('spot', { spotId: null }),
      say('broken', { spoil: 'sky' }),
      say('landed', { species: 'largemouth-bass', lengthM: 0.4, kept: true }),
      say('word', { text: 'wind got up' }),
      say('conditions', { asked: before }),
    ]).toEqual([
      'Bite, rod 2',
      'To rod 3',
      'Rod 1: jerkbait, Solid white, 8 lb mono',
      'Running at 1.5 m',
      'To Dam',
      'To open water',
      'Spell spoilt: another sky',
      'Landed, rod 1, largemouth bass, 40 cm, kept',
      'wind got up',
      'Green water, disc lost at 1 m, clear, calm',
    ])
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
    expect(readLog('x', [], []).faults).toEqual([expect.objectContaining({ line: 1, column: '' })])
    const second = JSON.parse(text) as { trips: unknown[]; taps: object[] }
    second.taps[1] = { ...second.taps[1], what: 'leap' }
    expect(readLog(JSON.stringify(second), [], []).faults).toEqual([
      expect.objectContaining({ line: 2, column: 'what' }),
    ])
  })
  it('has a line for every tap and one for every finish', () => {
    expect(tapsCsv([kept], taps).split('\r\n')).toEqual([
      'trip,at,what,lure,finish,line,size,species,lengthM,kept,clue,word,depthM,spotId,spoil,latitude,longitude,angler',
      `Tallow Pond,${at(1)},cast,jerkbait,jerkbait.bone,,,,,,,,,,,,,`,
      `Tallow Pond,${at(2)},landed,jerkbait,jerkbait.bone,,,largemouth-bass,0.4,let go,,,,,,,,`,
    ])
    expect(finishesCsv([kept], taps, NOW).split('\r\n')[1]).toMatch(/^jerkbait\.bone,Bone,60,1,1,\d\.\d\d,/)
  })
  it('comes back from a table into the trips it is of, and a second time adds nothing', () => {
    const all = [...taps, tap(3, 'rod', { rod: 1 }), tap(4, 'word', { rod: 1, text: 'a "word", said' })]
    const text = tapsCsv([kept], all)
    expect(readTapsCsv(text, [kept], all, kept.body)).toMatchObject({ writes: [], same: 4, faults: [] })
    const fresh = readTapsCsv(text, [kept], [], kept.body)
    expect(fresh.writes.map(w => w.body.body)).toEqual(all.map(t => t.body))
  })
  it('makes trips of rows that are of none, by name and day, with the rods they name', () => {
    const rows = [
      'trip,at,what,finish,word',
      `Creek,${at(0)},bite,jerkbait.white,`,
      `Creek,${at(30)},landed,craw.green-pumpkin,`,
      `Creek,${at(60 * 24)},word,,cold`,
      'Creek,yesterday,bite,,',
      `Creek,${at(5)},leap,,`,
    ].join('\n')
    const read = readTapsCsv(rows, [], [], kept.body)
    const trips = read.writes.filter(w => w.body.kind === 'trip').map(w => w.body.body as TripRecord)
    expect(trips.map(t => [t.name, t.startedAt, t.endedAt, t.rods.map(r => r.finishId)])).toEqual([
      ['Creek', at(0), at(30), ['jerkbait.white', 'craw.green-pumpkin']],
      ['Creek', at(1440), at(1440), ['jerkbait.bone', 'jerkbait.black']],
    ])
    const written = read.writes.flatMap(w => (w.body.kind === 'tap' ? [w.body.body] : []))
    expect(written.map(t => [t.what, t.rod, t.text])).toEqual([
      ['bite', 0, undefined],
      ['landed', 1, undefined],
      ['word', 0, 'cold'],
    ])
    expect(read.faults.map(f => [f.line, f.column])).toEqual([
      [5, 'at'],
      [6, 'what'],
    ])
    expect(readTapsCsv('a,b', [], [], kept.body).faults).toHaveLength(1)
    // Of more rods than a trip has, the first three.
    const many = ['bone', 'black', 'white', 'perch'].map((p, i) => `Oxbow,${at(i)},bite,jerkbait.${p},`)
    const { writes } = readTapsCsv(`trip,at,what,finish,word\n${many.join('\n')}`, [], [], kept.body)
    expect((writes.find(w => w.body.kind === 'trip')!.body.body as TripRecord).rods.map(r => r.finishId)).toEqual([
      'jerkbait.bone',
      'jerkbait.black',
      'jerkbait.white',
    ])
  })
})
