import { v7 as idAt } from 'uuid'
import type { TapRecord, TripRecord } from '#shared/schema/record'
import { MADE_UP } from './madeUp'

/** The made-up season as a log that the app reads: ids made when things happened, three rods a trip. */
export function madeUpLog(): string {
  const trips: (TripRecord & { id: string })[] = []
  const taps: (TapRecord & { id: string })[] = []
  const spots = new Map<string, string>()
  const spotId = (spot: string) => {
    if (!spots.has(spot)) spots.set(spot, idAt({ msecs: Date.parse('2026-03-01') }))
    return spots.get(spot)!
  }
  for (const t of MADE_UP.trips) {
    const startMs = Date.parse(t.startedAt)
    const tripId = idAt({ msecs: startMs })
    const rigs = [...new Map(t.stints.map(s => [s.finishId, s])).values()].slice(0, 3)
    const rods = rigs.map(({ lure, finishId }) => ({ lure, finishId }))
    const times = { startedAt: new Date(startMs).toISOString(), endedAt: new Date(t.endedAt).toISOString() }
    trips.push({ id: tripId, name: 'Made up', waterId: null, ...times, rods, asked: t.asked, trial: null, note: '' })
    const tap = (min: number, body: Omit<TapRecord, 'tripId' | 'at'>) => {
      const ms = Math.round(startMs + min * 60_000)
      taps.push({ id: idAt({ msecs: ms }), tripId, at: new Date(ms).toISOString(), ...body })
    }
    let [inHand, spot, asked] = [-1, '', '']
    for (const s of t.stints) {
      const rod = rods.findIndex(r => r.finishId === s.finishId)
      if (rod < 0) continue
      if (s.spot !== spot) tap(s.fromMin + 0.001, { what: 'spot', rod, spotId: spotId((spot = s.spot!)) })
      const now = JSON.stringify(s.asked)
      if (now !== asked) tap(s.fromMin + 0.002, { what: 'conditions', rod, asked: s.asked! })
      asked = now
      if (rod !== inHand) tap(s.fromMin + 0.003, { what: 'rod', rod: (inHand = rod) })
      for (const bite of s.bites) tap(bite, { what: 'bite', rod })
    }
  }
  return JSON.stringify({ format: 'piscator-log', version: 1, trips, taps })
}
