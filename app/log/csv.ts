import { v7 as newId } from 'uuid'
import { finishById } from '#core/lure/finish'
import { RECORDS, type Rod, type TapRecord, type TripRecord } from '#shared/schema/record'
import {
  type FileCandidate,
  type FileFault,
  type FileRead,
  csvOf,
  joinReads,
  tableRowsOf,
  takeRecords,
  unread,
} from '~/files/table'
import { type TripLike, likenessOf, importedTrip } from './imported'
import type { LogEntry } from './files'
import { type Tap, type Trip, crewOf, inHand, tapsByTrip, whoOf } from './trip'

const FIELDS = [
  ...['trip', 'at', 'what', 'lure', 'finish', 'line', 'size', 'species', 'lengthM', 'kept', 'clue', 'word'],
  ...['depthM', 'spotId', 'spoil', 'latitude', 'longitude', 'angler'],
] as const
type Row = Partial<Record<string, string>>

/** Every tap as a line of a table, with what was in hand. */
export function tapsCsv(trips: readonly Trip[], taps: readonly Tap[]): string {
  const of = tapsByTrip(taps)
  const data = trips.flatMap(trip =>
    inHand(trip.body, of(trip.id)).map(({ tap, rig }) => {
      const { at, what, species, lengthM, kept, clue, text, depthM, spotId, spoil, place } = tap.body
      const fate = kept === undefined ? '' : kept ? 'kept' : 'let go'
      const fish = [species, lengthM, fate, clue, text]
      const name = crewOf(trip.body)[whoOf(tap)] || (whoOf(tap) ? String(whoOf(tap) + 1) : '')
      const rest = [depthM, spotId, spoil, place?.latitude, place?.longitude, name]
      return [trip.body.name, at, what, rig.lure, rig.finishId, rig.line, rig.size, ...fish, ...rest].map(v => v ?? '')
    }),
  )
  return csvOf(FIELDS, data)
}

/** What a row says of a tap; empty cells say nothing. */
function saidOf(row: Row): Omit<TapRecord, 'tripId' | 'at' | 'rod'> {
  const number = (key: string) => (row[key] ? { [key]: Number(row[key]) } : {})
  const text = (key: string, as = key) => (row[key] ? { [as]: row[key] } : {})
  const rig = row.what === 'rig' ? { rig: rodOf(row) } : {}
  const placed = row.latitude && row.longitude
  return {
    what: row.what as TapRecord['what'],
    ...text('species'),
    ...number('lengthM'),
    ...(row.kept ? { kept: row.kept === 'kept' } : {}),
    ...text('clue'),
    ...text('word', 'text'),
    ...number('depthM'),
    ...text('spotId'),
    ...text('spoil'),
    ...(placed ? { place: { latitude: Number(row.latitude), longitude: Number(row.longitude) } } : {}),
    ...rig,
  }
}
const rodOf = ({ lure, finish, line, size }: Row): Rod => ({
  lure: (lure || (finishById(finish ?? '')?.lure ?? '')) as Rod['lure'],
  finishId: finish ?? '',
  ...(line ? { line } : {}),
  ...(size ? { size } : {}),
})

/**
 * Read a table of taps. Each falls into the trip that was under way at its time; rows outside every trip become one
 * for each name and day, with the rods they name and the conditions of `like`. Read twice it adds nothing.
 */
export function readTapsCsv(
  text: string,
  trips: readonly Trip[],
  taps: readonly Tap[],
  like: TripLike,
): FileRead<LogEntry> {
  const rows = tableRowsOf(text, ['at', 'what'])
  if (!Array.isArray(rows)) return unread(rows)
  const faults: FileFault[] = []
  const timed = rows.flatMap((row, i) => {
    const ms = Date.parse(row.at ?? '')
    if (!Number.isNaN(ms)) return [{ row, ms, line: i + 2 }]
    faults.push({ line: i + 2, column: 'at', message: 'The time must be a moment like 2026-05-10T14:30:00Z.' })
    return []
  })
  const known = [...trips]
  const spanOf = (ms: number) =>
    known.find(({ body }) => ms >= Date.parse(body.startedAt) && (!body.endedAt || ms <= Date.parse(body.endedAt)))
  const made = tripsOf(
    timed.filter(t => !spanOf(t.ms)),
    like,
  )
  known.push(...made.map(({ id, body }) => ({ id, at: '', body })))

  const of = tapsByTrip(taps)
  const byLikeness = new Map(taps.map(t => [likenessOf(t.body), t]))
  const candidates = timed.map(({ row, ms, line }): FileCandidate => {
    const trip = spanOf(ms)!
    const at = new Date(ms).toISOString()
    const before = inHand(
      trip.body,
      of(trip.id).filter(t => t.body.at <= at),
    ).at(-1)
    const named = trip.body.rods.findIndex(r => r.finishId === row.finish)
    const rod = named >= 0 && row.what !== 'rig' ? named : (before?.rod ?? 0)
    const who = whoNamed(trip.body, row.angler)
    const body: TapRecord = { tripId: trip.id, at, rod, ...(who ? { who } : {}), ...saidOf(row) }
    const same = byLikeness.get(likenessOf(body))
    return { line, id: same?.id ?? '', faults: [], body: same ? { ...same.body, ...saidOf(row) } : body }
  })
  const trip = takeRecords<TripRecord>(made, { schema: RECORDS.trip, likeness: b => `${b.name} ${b.startedAt}` }, trips)
  const columnOf = { text: 'word', place: 'latitude', rig: 'finish' }
  const tap = takeRecords<TapRecord>(candidates, { schema: RECORDS.tap, columnOf, likeness: likenessOf }, taps)
  const read = joinReads({ trip, tap }) as FileRead<LogEntry>
  return { ...read, faults: [...faults, ...read.faults] }
}

/** Whose a row is: by name among those aboard, or by number; the first's where it names nobody. */
function whoNamed(trip: TripRecord, angler: string | undefined): number {
  const byName = angler ? crewOf(trip).indexOf(angler) : 0
  return byName >= 0 ? byName : Math.max(0, Math.min(2, Math.round(Number(angler)) - 1 || 0))
}

/** A trip for each name and day of rows that fall into none. */
function tripsOf(
  rows: readonly { row: Row; ms: number; line: number }[],
  like: TripLike,
): (FileCandidate & { body: TripRecord })[] {
  const groups = new Map<string, (typeof rows)[number][]>()
  for (const r of rows) {
    const key = `${r.row.trip ?? ''} ${new Date(r.ms).toISOString().slice(0, 10)}`
    groups.set(key, [...(groups.get(key) ?? []), r])
  }
  return [...groups.values()].map(of => {
    const times = of.map(r => r.ms)
    const named = of.filter(r => finishById(r.row.finish ?? '')).map(r => rodOf(r.row))
    const rods = named.filter((r, i) => named.findIndex(x => x.finishId === r.finishId) === i).slice(0, 3)
    const whose = { ...like, rods: rods.length ? rods : like.rods }
    const body = importedTrip(whose, of[0]!.row.trip ?? '', Math.min(...times), Math.max(...times))
    const names = [...new Set(of.flatMap(r => r.row.angler || []))].slice(0, 3)
    return { line: of[0]!.line, id: newId(), faults: [], body: names.length > 1 ? { ...body, crew: names } : body }
  })
}
