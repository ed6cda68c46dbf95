import { v7 } from 'uuid'
import { describe, expect, it } from 'vitest'
import type { TapRecord, TripRecord } from '#shared/schema/record'
import { compares, strataOf } from '#core/season-learning/log'
import { trialOrder } from '#core/trial/order'
import { asItHappened, loggedTrip } from './seasonLog'
import type { Tap, Trip } from './trip'
import { seasonApi } from '~/log/season/seasonWork'

const START = Date.parse('2026-04-11T06:00:00Z')
const asked = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green', temperatureC: 14 },
  light: { sky: 'clear', sunElevationDeg: 5 },
} as const
const trip: Trip = {
  id: v7({ msecs: START }),
  at: '',
  body: {
    name: '',
    waterId: 'w',
    startedAt: new Date(START).toISOString(),
    endedAt: new Date(START + 120 * 60_000).toISOString(),
    rods: [
      { lure: 'jerkbait', finishId: 'jerkbait.bone' },
      { lure: 'jerkbait', finishId: 'jerkbait.black' },
    ],
    asked,
    trial: null,
    note: '',
  } as TripRecord,
}
const tap = (min: number, body: Partial<TapRecord>): Tap => {
  const at = START + min * 60_000
  const record = { tripId: trip.id, at: new Date(at).toISOString(), rod: 0, ...body } as TapRecord
  return { id: v7({ msecs: at }), at: '', body: record }
}
const TAPS = [
  tap(5, { what: 'bite' }),
  tap(20, { what: 'rod', rod: 1 }),
  tap(25, { what: 'landed', rod: 1 }),
  tap(26, { what: 'follow', rod: 1 }),
  tap(40, { what: 'spot', spotId: 's' }),
  tap(50, { what: 'depth', rod: 1, depthM: 1.5 }),
  tap(60, { what: 'rig', rod: 1, rig: { lure: 'worm', finishId: 'worm.black' } }),
  tap(70, { what: 'cast', rod: 1 }),
  tap(80, { what: 'conditions', asked: { ...asked, light: { sky: 'overcast', sunElevationDeg: 20 } } }),
]

describe('a trip as the season reads it', () => {
  const { stints, asItHappened: real, endedAt } = loggedTrip(trip, TAPS, START)
  it('is cut wherever the rig, the spot, the depth or the light changed', () => {
    expect(stints.map(s => [s.fromMin, s.toMin, s.rod, s.finishId, s.spot, s.depthM, s.asked!.light.sky])).toEqual([
      [0, 20, 0, 'jerkbait.bone', null, null, 'clear'],
      [20, 40, 1, 'jerkbait.black', null, null, 'clear'],
      [40, 50, 1, 'jerkbait.black', 's', null, 'clear'],
      [50, 60, 1, 'jerkbait.black', 's', 1.5, 'clear'],
      [60, 80, 1, 'worm.black', 's', 1.5, 'clear'],
      [80, 120, 1, 'worm.black', 's', 1.5, 'overcast'],
    ])
    expect([stints[0]!.bites, stints[1]!.bites, stints[1]!.landed, stints[4]!.casts]).toEqual([[5], [25], 1, 1])
    expect([real, endedAt]).toEqual([true, trip.body.endedAt])
  })
  it('keeps the blocks of a fair test together, whatever the clock says', () => {
    const test = { ...trip.body, trial: { blocks: 2, castsPerSpell: 3, seed: 1, differs: 'finish', leaveOut: [] } }
    const order = trialOrder(2, 1).map(s => (s.side === 'a' ? 0 : 1))
    const taps = order.flatMap((rod, i) => [
      tap(16 * i, { what: 'rod', rod, drawn: true }),
      tap(16 * i + 2, { what: 'cast', rod }),
      tap(16 * i + 8, { what: 'cast', rod }),
      tap(16 * i + 9, { what: 'cast', rod }),
      tap(16 * i + 10, { what: 'bite', rod }),
    ])
    const logged = loggedTrip({ ...trip, body: test as unknown as TripRecord }, taps, START)
    const strata = strataOf(logged, 0).filter(compares)
    expect(strata.map(s => s.cells.map(c => [c.exposure, c.bites]))).toEqual([
      [
        [3, 1],
        [3, 1],
      ],
      [
        [3, 1],
        [3, 1],
      ],
    ])
  })
  it('goes on to now while it is under way, and is told from one that was written down afterwards', () => {
    const open = { ...trip, body: { ...trip.body, endedAt: null } }
    expect(loggedTrip(open, TAPS, START + 90 * 60_000).stints.at(-1)!.toMin).toBe(90)
    expect(asItHappened({ ...trip, id: v7({ msecs: START + 86_400_000 }) }, TAPS)).toBe(false)
    const late = TAPS.map(t => ({ ...t, id: v7({ msecs: START + 86_400_000 }) }))
    expect(asItHappened(trip, late)).toBe(false)
  })
  it('is ranked some half-hours at a time, and then said', async () => {
    const trips = [loggedTrip(trip, TAPS, START)]
    const ask = { trips, units: 'us' } as const
    expect(await seasonApi.season({ ...ask, most: 1 })).toEqual({ done: 1, total: 4 })
    expect(await seasonApi.season({ ...ask, most: 1 })).toEqual({ done: 2, total: 4 })
    expect(await seasonApi.season({ ...ask, most: 9 })).toMatchObject({ used: { trips: 1, bites: 2 } })
  })
})
