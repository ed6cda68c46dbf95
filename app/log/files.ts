import { knownFinish } from '#core/box/own'
import { RECORDS, type TapRecord, type TripRecord } from '#shared/schema/record'
import { type FileRead, csvOf, entryOf, joinReads, jsonList, takeRecords, unread } from '~/files/table'
import { type Tap, type Trip, byFinish, bitesOf } from './trip'
import { rateOf } from './rate'

/** Effort and bites by finish, with how often it bites an hour. */
export function finishesCsv(trips: readonly Trip[], taps: readonly Tap[], nowMs: number): string {
  const rows = byFinish(trips, taps, nowMs).map(({ finishId, tally }) => {
    const rate = rateOf(bitesOf(tally), tally.minutes)
    const figures = [rate.best, rate.low, rate.high].map(v => v.toFixed(2))
    return [
      finishId,
      knownFinish(finishId)?.name ?? '',
      tally.minutes.toFixed(0),
      tally.casts,
      bitesOf(tally),
      ...figures,
    ]
  })
  const fields = ['finish', 'name', 'minutes', 'casts', 'bites', 'bitesPerHour', 'low', 'high']
  return csvOf(fields, rows)
}

/** The whole log, to be kept or brought to another device. */
export const logJson = (trips: readonly Trip[], taps: readonly Tap[]): string =>
  JSON.stringify(
    {
      format: 'piscator-log',
      version: 1,
      trips: trips.map(({ id, body }) => ({ id, ...body })),
      taps: taps.map(({ id, body }) => ({ id, ...body })),
    },
    null,
    1,
  )

export type LogEntry = { kind: 'trip'; body: TripRecord } | { kind: 'tap'; body: TapRecord }
/** Read a log that was saved; what is known already stays one. */
export function readLog(text: string, trips: readonly Trip[], taps: readonly Tap[]): FileRead<LogEntry> {
  const [gotTrips, gotTaps] = [jsonList(text, 'trips'), jsonList(text, 'taps')]
  if (!gotTrips || !gotTaps) {
    return unread({ line: 1, column: '', message: 'This is no log that Piscator saved: it needs trips and taps.' })
  }
  const candidates = (list: unknown[]) => list.map((one, i) => ({ line: i + 1, ...entryOf(one), faults: [] }))
  const trip = takeRecords(candidates(gotTrips), { schema: RECORDS.trip, likeness: b => b.startedAt }, trips)
  const likeness = (b: TapRecord) => `${b.tripId} ${b.at} ${b.what} ${b.rod}`
  const tap = takeRecords(candidates(gotTaps), { schema: RECORDS.tap, likeness }, taps)
  return joinReads({ trip, tap }) as FileRead<LogEntry>
}
