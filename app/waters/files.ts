import { keptText } from '#shared/text'
import type { Feature, FeatureCollection, Point } from 'geojson'
import { type ReadingRecord, RECORDS, type SpotRecord, type WaterRecord } from '#shared/schema/record'
import {
  type FileCandidate,
  CellError,
  type CsvColumn,
  type FileFault,
  type FileRead,
  fromTable,
  joinReads,
  jsonColumn,
  listColumn,
  numberColumn,
  takeRecords,
  textColumn,
  toTable,
  unread,
  yesNoColumn,
} from '~/files/table'
import { gpxFeatures, isGpx } from '~/files/gpx'
import type { Kept } from '~/records/store'

/**
 * Waters, spots and readings as files. CSV, one kind a file, told apart by the head line; GeoJSON (RFC 7946) with all
 * of them, each a point with its record as properties; and waypoints of other programs in, as GPX or GeoJSON points.
 */
export interface Kept3 {
  waters: readonly Kept<'water'>[]
  spots: readonly Kept<'spot'>[]
  readings: readonly Kept<'reading'>[]
}
/** A record of one of the three kinds. */
export type WaterEntry =
  { kind: 'water'; body: WaterRecord } | { kind: 'spot'; body: SpotRecord } | { kind: 'reading'; body: ReadingRecord }
/** A point of another program. */
export interface Waypoint {
  line: number
  name: string
  latitude: number
  longitude: number
  note: string
}
/** What waypoints become: waters of their own that look like another, or spots of a water. */
export type Becoming =
  | { kind: 'water'; like: Omit<WaterRecord, 'name' | 'latitude' | 'longitude' | 'zone' | 'note'> }
  | { kind: 'spot'; waterId: string }
type ZoneAt = (latitude: number, longitude: number) => string

const waterColumns = (): CsvColumn<WaterRecord>[] => [
  textColumn('name'),
  textColumn('kind'),
  numberColumn('latitude'),
  numberColumn('longitude'),
  textColumn('salinity', 'salinity', 'fresh'),
  textColumn('usualTint', 'usualTint', 'green'),
  numberColumn('usualVisibilityM'),
  listColumn('prey'),
  textColumn('note'),
  yesNoColumn('archived'),
]

/** Which water a record belongs to: by name where only one bears it, else by id. */
function waterColumn<B extends { waterId: string | null }>(waters: readonly Kept<'water'>[]): CsvColumn<B> {
  const named = (name: string) => waters.filter(w => w.body.name.toLowerCase() === name.toLowerCase())
  return {
    name: 'water',
    key: 'waterId',
    write: ({ waterId }) => {
      const water = waters.find(w => w.id === waterId)
      return water && named(water.body.name).length === 1 ? water.body.name : (waterId ?? '')
    },
    read: text => {
      if (!text) return null
      const [water, ...others] = named(text)
      if (others.length) throw new CellError('Several waters are called so: write the id of one, as in a saved file.')
      return water?.id ?? text
    },
  }
}
const spotColumns = (waters: readonly Kept<'water'>[]): CsvColumn<SpotRecord>[] => [
  waterColumn(waters),
  textColumn('name'),
  numberColumn('latitude', 'latitude', null),
  numberColumn('longitude', 'longitude', null),
  textColumn('background', 'bottom', 'open'),
  textColumn('cover'),
  numberColumn('depthM', 'depthM', null),
  textColumn('canopy', 'canopy', 'open'),
  numberOf('bank.facingDeg', 'bankFacingDeg', b => b.bank?.facingDeg),
  numberOf('bank.heightM', 'bankHeightM', b => b.bank?.heightM),
  numberOf('bank.acrossHeightM', 'acrossHeightM', b => b.bank?.acrossHeightM),
  numberOf('bank.acrossM', 'acrossM', b => b.bank?.acrossM),
  textColumn('note'),
  yesNoColumn('archived'),
]
const readingColumns = (waters: readonly Kept<'water'>[]): CsvColumn<ReadingRecord>[] => [
  waterColumn(waters),
  textColumn('at'),
  numberOf('visibilityM.best', 'bestM', b => b.visibilityM.best),
  numberOf('visibilityM.low', 'lowM', b => b.visibilityM.low),
  numberOf('visibilityM.high', 'highM', b => b.visibilityM.high),
  textColumn('tint'),
  numberColumn('temperatureC', 'temperatureC', null),
  jsonColumn('readings', 'readings', []),
  textColumn('note'),
]
function numberOf<B>(key: string, name: string, of: (b: B) => number | undefined): CsvColumn<B> {
  return { name, key, write: b => String(of(b) ?? ''), read: t => (t === '' ? undefined : Number(t)) }
}

/** What names a column in a file of each kind beside all others. */
const TOLD_BY = { water: 'usualVisibilityM', spot: 'bottom', reading: 'bestM' } as const
type Kind = keyof typeof TOLD_BY

export const watersCsv = ({ waters }: Kept3) => toTable(waterColumns(), waters)
export const spotsCsv = ({ waters, spots }: Kept3) => toTable(spotColumns(waters), spots)
export const readingsCsv = ({ waters, readings }: Kept3) => toTable(readingColumns(waters), readings)

/** All of them as one GeoJSON collection; a spot or a reading without a place of its own has its water's. */
export function toGeoJson({ waters, spots, readings }: Kept3): string {
  const point = (longitude: number, latitude: number): Point => ({ type: 'Point', coordinates: [longitude, latitude] })
  const placeOf = (waterId: string | null) => {
    const w = waters.find(x => x.id === waterId)?.body
    return w ? point(w.longitude, w.latitude) : null
  }
  const feature = (id: string, geometry: Point | null, properties: object): Feature<Point | null> => ({
    type: 'Feature',
    id,
    geometry,
    properties,
  })
  const collection: FeatureCollection<Point | null> = {
    type: 'FeatureCollection',
    features: [
      ...waters.map(({ id, body: { latitude, longitude, ...w } }) =>
        feature(id, point(longitude, latitude), { record: 'water', ...w }),
      ),
      ...spots.map(({ id, body: { latitude, longitude, ...s } }) => {
        const own = latitude !== null && longitude !== null
        const geometry = own ? point(longitude, latitude) : placeOf(s.waterId)
        return feature(id, geometry, { record: 'spot', ...s, placed: own })
      }),
      ...readings.map(({ id, body }) => feature(id, placeOf(body.waterId), { record: 'reading', ...body })),
    ],
  }
  return JSON.stringify(collection, null, 2)
}

const NO_FILE = 'This is no CSV, GeoJSON or GPX file that Piscator can read.'
type Candidates = Record<Kind, FileCandidate[]>
interface FileHeld {
  candidates: Candidates
  waypoints: Waypoint[]
  fault?: FileFault
}
const nothing = (): FileHeld => ({ candidates: { water: [], spot: [], reading: [] }, waypoints: [] })

const coordinates = (f: Partial<Feature>): [number, number] | null => {
  const [longitude, latitude] = (f.geometry as Point | null)?.coordinates ?? []
  return f.geometry?.type === 'Point' && Number.isFinite(longitude) && Number.isFinite(latitude)
    ? [latitude!, longitude!]
    : null
}

/** Features of a collection: our own records, and points that become what the angler says. */
function fromFeatures(features: readonly unknown[]): FileHeld {
  const held = nothing()
  features.forEach((one, i) => {
    const f = (typeof one === 'object' && one !== null ? one : {}) as Partial<Feature>
    const { record, placed, ...properties } = (f.properties ?? {}) as Record<string, unknown>
    const at = coordinates(f)
    const line = i + 1
    if (record === 'water' || record === 'spot') {
      const own = record === 'water' || placed === true
      const place = { latitude: own ? at?.[0] : null, longitude: own ? at?.[1] : null }
      held.candidates[record].push({ line, id: String(f.id ?? ''), body: { ...properties, ...place }, faults: [] })
    } else if (record === 'reading') {
      held.candidates.reading.push({ line, id: String(f.id ?? ''), body: properties, faults: [] })
    } else if (at) {
      const text = (v: unknown, most: number) => (typeof v === 'string' ? keptText(v.trim(), most) : '')
      held.waypoints.push({
        line,
        name: text(properties.name, 80) || `Point ${line}`,
        latitude: at[0],
        longitude: at[1],
        note: text(properties.desc ?? properties.cmt ?? properties.note, 500),
      })
    }
  })
  return held
}

function fromCsv(text: string, waters: readonly Kept<'water'>[], zoneAt: ZoneAt): FileHeld {
  const head = text.slice(0, 2000).split(/\r?\n/, 1)[0]!
  const kind = (Object.keys(TOLD_BY) as Kind[]).find(k => head.includes(TOLD_BY[k]))
  if (!kind) return { ...nothing(), fault: { line: 1, column: '', message: NO_FILE } }
  const columns = { water: waterColumns(), spot: spotColumns(waters), reading: readingColumns(waters) }
  const rows = fromTable(columns[kind] as CsvColumn<unknown>[], text, [TOLD_BY[kind]])
  if (!Array.isArray(rows)) return { ...nothing(), fault: rows }
  const held = nothing()
  held.candidates[kind] = rows.map(row => ({
    ...row,
    body: completed(kind, row.body as Partial<WaterEntry['body']>, zoneAt),
  }))
  return held
}
/** What a table leaves out because other columns tell it. */
function completed(kind: Kind, body: Partial<WaterEntry['body']>, zoneAt: ZoneAt): unknown {
  if (kind === 'spot') return { bank: null, ...body }
  if (kind !== 'water') return body
  const { latitude = NaN, longitude = NaN } = body as Partial<WaterRecord>
  const zone = Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 ? zoneAt(latitude, longitude) : 'UTC'
  return { ...body, zone }
}

/** Waypoints as records of the kind the angler chose. */
function asRecords(waypoints: readonly Waypoint[], becoming: Becoming, zoneAt: ZoneAt): FileCandidate[] {
  return waypoints.map(({ line, name, latitude, longitude, note }) => ({
    line,
    id: '',
    faults: [],
    body:
      becoming.kind === 'water'
        ? { ...becoming.like, name, latitude, longitude, zone: zoneAt(latitude, longitude), note }
        : {
            waterId: becoming.waterId,
            name,
            latitude,
            longitude,
            background: 'open',
            cover: '',
            depthM: null,
            canopy: 'open',
            bank: null,
            note,
            archived: false,
          },
  }))
}

async function held(name: string, text: string, waters: readonly Kept<'water'>[], zoneAt: ZoneAt): Promise<FileHeld> {
  const wrong = { ...nothing(), fault: { line: 1, column: '', message: NO_FILE } }
  if (isGpx(name, text)) {
    const features = await gpxFeatures(text)
    return features ? fromFeatures(features) : wrong
  }
  if (!/^\s*[{[]/.test(text)) return fromCsv(text, waters, zoneAt)
  try {
    const { features } = JSON.parse(text) as { features?: unknown }
    return Array.isArray(features) ? fromFeatures(features) : wrong
  } catch {
    return wrong
  }
}

const minute = (at: string) => at.slice(0, 16)

/** Read waters, spots and readings out of a file; what is known already is changed or left as it is. */
export async function readFile(
  name: string,
  text: string,
  known: Kept3,
  becoming: Becoming,
  zoneAt: ZoneAt,
): Promise<FileRead<WaterEntry>> {
  const { candidates, waypoints, fault } = await held(name, text, known.waters, zoneAt)
  if (fault) return unread(fault)
  candidates[becoming.kind].push(...asRecords(waypoints, becoming, zoneAt))
  const place = (b: { latitude: number | null; longitude: number | null }) =>
    `${b.latitude?.toFixed(4)} ${b.longitude?.toFixed(4)}`
  const waters = takeRecords<WaterRecord>(
    candidates.water,
    { schema: RECORDS.water, likeness: b => `${b.name.toLowerCase()} ${place(b)}` },
    known.waters,
  )
  const spots = takeRecords<SpotRecord>(
    candidates.spot,
    {
      schema: RECORDS.spot,
      columnOf: { waterId: 'water', background: 'bottom', bank: 'bankFacingDeg' },
      likeness: b => `${b.waterId} ${b.name.toLowerCase()} ${place(b)}`,
    },
    known.spots,
  )
  const readings = takeRecords<ReadingRecord>(
    candidates.reading,
    {
      schema: RECORDS.reading,
      columnOf: { waterId: 'water', visibilityM: 'bestM' },
      likeness: b => `${b.waterId} ${minute(b.at)}`,
    },
    known.readings,
  )
  return joinReads({ water: waters, spot: spots, reading: readings }) as FileRead<WaterEntry>
}
