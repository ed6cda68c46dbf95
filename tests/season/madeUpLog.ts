import type { TripRecord } from '#shared/schema/record'
import { madeUpRecords } from '../../app/records/made-up/records'

/** The made-up angler's trips, its fair test left out, as a log's file: as though they were one's own. */
export function madeUpLog(): string {
  const all = madeUpRecords()
  const trips = all.filter(r => r.kind === 'trip' && !(r.body as TripRecord).trial)
  const ids = new Set(trips.map(t => t.id))
  const taps = all.filter(r => r.kind === 'tap' && ids.has((r.body as { tripId: string }).tripId))
  const flat = (r: (typeof all)[number]) => ({ id: r.id, ...r.body })
  return JSON.stringify({ format: 'piscator-log', version: 1, trips: trips.map(flat), taps: taps.map(flat) })
}
