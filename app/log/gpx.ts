import { keptText } from '#shared/text'
import type { LineString, Point as GeoPoint } from 'geojson'
import { RECORDS, type Place, type TapKind, type TapRecord, type TripRecord } from '#shared/schema/record'
import { gpxFeatures } from '~/files/gpx'
import { type FileCandidate, type FileRead, joinReads, takeRecords, unread } from '~/files/table'
import { v7 as newId } from 'uuid'
import { type TripLike, likenessOf, importedTrip } from './imported'
import type { LogEntry } from './files'
import { type Tap, type Trip, crewOf, rodNow, tapsByTrip, whoOf } from './trip'

/** Taps that say all there is to them by their name: these go to a GPX file and come back from one. */
const PLAIN: readonly TapKind[] = ['cast', 'bite', 'follow', 'miss', 'landed', 'word']

/**
 * Trips as GPX 1.1: a waypoint for every tap, its kind in `type`, and the places of a trip as a track. A tap whose
 * place was not kept stands where its water is; trips of no known place are left out.
 */
export async function tripsGpx(
  trips: readonly Trip[],
  taps: readonly Tap[],
  placeOf: (trip: TripRecord) => Place | null,
  words: (tap: Tap) => string,
): Promise<string> {
  const { BaseBuilder, buildGPX } = await import('gpx-builder')
  const { Point, Track, Segment } = BaseBuilder.MODELS
  const of = tapsByTrip(taps)
  const builder = new BaseBuilder()
  const point = (p: Place, t: Tap, more = {}) =>
    new Point(p.latitude, p.longitude, { time: new Date(t.body.at), ...more })
  const each = trips.map(trip => ({ trip, own: of(trip.id), at: placeOf(trip.body) }))
  const waypoints = each.flatMap(({ trip, own, at }) =>
    own
      .filter(t => PLAIN.includes(t.body.what))
      .flatMap(t => {
        const place = t.body.place ?? at
        const angler = crewOf(trip.body)[whoOf(t)]
        const desc = angler ? { desc: angler } : {}
        return place ? [point(place, t, { name: t.body.text ?? words(t), type: t.body.what, ...desc })] : []
      }),
  )
  const tracks = each.flatMap(({ trip, own }) => {
    const points = own.flatMap(t => (t.body.place ? [point(t.body.place, t)] : []))
    return points.length > 1 ? [new Track([new Segment(points)], { name: trip.body.name || 'A trip' })] : []
  })
  // An empty list would be written as one empty element, which GPX does not allow.
  if (waypoints.length) builder.setWayPoints(waypoints)
  if (tracks.length) builder.setTracks(tracks)
  const file = builder.toObject()
  return buildGPX({ ...file, attributes: { ...file.attributes, creator: 'Piscator' } })
}

/** A tap takes its place from a track whose point is no further off in time than this, ms. */
const NEAR_MS = 120_000

interface Moment {
  ms: number
  place: Place
}
interface Held {
  waypoints: (Moment & { line: number; name: string; type: string; desc: string })[]
  untimed: number[]
  tracks: { line: number; name: string; moments: Moment[] }[]
}
async function held(text: string): Promise<Held | null> {
  const features = await gpxFeatures(text)
  if (!features) return null
  const out: Held = { waypoints: [], untimed: [], tracks: [] }
  const at = (p: number[]): Place => ({ latitude: p[1]!, longitude: p[0]! })
  features.forEach(({ geometry, properties }, i) => {
    const line = i + 1
    const said = (properties ?? {}) as Partial<Record<'name' | 'type' | 'time' | 'desc', string>>
    const { name = '', type = '', desc = '', time } = said
    if (geometry?.type === 'Point') {
      const ms = Date.parse(time ?? '')
      if (Number.isNaN(ms)) out.untimed.push(line)
      else out.waypoints.push({ line, ms, place: at((geometry as GeoPoint).coordinates), name, type, desc })
    } else if (geometry?.type === 'LineString') {
      const { times = [] } = (properties?.coordinateProperties ?? {}) as { times?: string[] }
      const moments = (geometry as LineString).coordinates.flatMap((p, k): Moment[] => {
        const ms = Date.parse(times[k] ?? '')
        return Number.isNaN(ms) ? [] : [{ ms, place: at(p) }]
      })
      if (moments.length) out.tracks.push({ line, name, moments })
      else out.untimed.push(line)
    }
  })
  return out
}

/**
 * Read a GPX file of a plotter, a watch or our own. Waypoints with a time become taps of the trip they fall into; taps
 * whose place was not kept take it from a track of the same time; a track outside every trip becomes a trip with the
 * rods and conditions of `like`. Read twice it adds nothing.
 */
export async function readGpx(
  text: string,
  trips: readonly Trip[],
  taps: readonly Tap[],
  like: TripLike,
): Promise<FileRead<LogEntry>> {
  const file = await held(text)
  if (!file) return unread({ line: 1, column: '', message: 'This is no GPX file that Piscator can read.' })
  const made: FileCandidate[] = []
  const spans = trips.map(({ id, body }) => ({
    id,
    from: Date.parse(body.startedAt),
    to: body.endedAt ? Date.parse(body.endedAt) : Infinity,
  }))
  const during = (ms: number) => spans.find(s => ms >= s.from && ms <= s.to)
  for (const { line, name, moments } of file.tracks) {
    const [from, to] = [moments[0]!.ms, moments.at(-1)!.ms]
    if (moments.some(m => during(m.ms))) continue
    const id = newId()
    const { light } = like.asked
    const at = { ...moments[0]!.place, time: new Date(from).toISOString() }
    const there = { ...like, asked: { ...like.asked, light: { ...light, at } } }
    made.push({ line, id, faults: [], body: importedTrip(there, name, from, to) })
    spans.push({ id, from, to })
  }
  const trip = takeRecords<TripRecord>(made, { schema: RECORDS.trip, likeness: b => b.startedAt }, trips)

  const of = tapsByTrip(taps)
  const byLikeness = new Map(taps.map(t => [likenessOf(t.body), t]))
  const outside: number[] = []
  const candidates = file.waypoints.flatMap(({ line, ms, place, name, type, desc }): FileCandidate[] => {
    const span = during(ms)
    if (!span) {
      outside.push(line)
      return []
    }
    const at = new Date(ms).toISOString()
    const what = PLAIN.find(k => k === type) ?? 'word'
    const crew = trips.find(t => t.id === span.id)?.body.crew ?? []
    const who = Math.max(0, crew.indexOf(desc))
    const rod = rodNow(
      of(span.id).filter(t => t.body.at <= at),
      who,
    )
    const said = what === 'word' ? { text: keptText(name || 'Waypoint', 500) } : {}
    const body: TapRecord = { tripId: span.id, at, what, rod, ...(who ? { who } : {}), place, ...said }
    const known = byLikeness.get(likenessOf(body))
    return [{ line, id: known?.id ?? '', faults: [], body: known ? placed(known.body, place) : body }]
  })
  const named = new Set(candidates.map(c => c.id))
  const moments = file.tracks.flatMap(t => t.moments).sort((a, b) => a.ms - b.ms)
  for (const tap of taps) {
    const place = tap.body.place || named.has(tap.id) ? null : placeAt(moments, Date.parse(tap.body.at))
    if (place) candidates.push({ line: file.tracks[0]!.line, id: tap.id, faults: [], body: placed(tap.body, place) })
  }
  const tap = takeRecords<TapRecord>(candidates, { schema: RECORDS.tap, likeness: likenessOf }, taps)
  const read = joinReads({ trip, tap }) as FileRead<LogEntry>
  const fault = (line: number, message: string) => ({ line, column: 'time', message })
  read.faults.push(
    ...file.untimed.map(l => fault(l, 'It bears no time, so no trip can be told. Waters take it in as a spot.')),
    ...outside.map(l => fault(l, 'No trip was under way at its time. Bring the track of that day with it.')),
  )
  return read
}
/** A tap with a place, unless one was kept already. */
const placed = (body: TapRecord, place: Place): TapRecord => ({ ...body, place: body.place ?? place })

/** Where a track was at a moment: between the two points about it, as they were passed at an even speed. */
function placeAt(moments: readonly Moment[], ms: number): Place | null {
  const after = moments.findIndex(m => m.ms >= ms)
  const b = moments[after === -1 ? moments.length - 1 : after]
  const a = moments[Math.max(0, (after === -1 ? moments.length : after) - 1)]
  if (!a || !b || Math.min(Math.abs(ms - a.ms), Math.abs(b.ms - ms)) > NEAR_MS) return null
  const k = b.ms > a.ms ? Math.min(1, Math.max(0, (ms - a.ms) / (b.ms - a.ms))) : 0
  const between = (x: number, y: number) => Number((x + (y - x) * k).toFixed(5))
  return {
    latitude: between(a.place.latitude, b.place.latitude),
    longitude: between(a.place.longitude, b.place.longitude),
  }
}
