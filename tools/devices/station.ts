import { type IncomingMessage, type Server, type ServerResponse, createServer } from 'node:http'
import { pathToFileURL } from 'node:url'

/**
 * A made-up station for the demonstration: weather to come, a gauge in the water and the tide, told in OGC
 * SensorThings 1.1 (part 1, sensing; JSON over HTTP, read only). What it tells is drawn from a seed and the time alone,
 * so that asking again tells the same.
 */
interface Stream {
  name: string
  unit: { name: string; symbol: string; definition: string }
  everyMin: number
  /** The value at a moment, or null where the instrument was silent. */
  at: (ms: number) => number | null
}

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
/** Moon's semidiurnal and the sun's, and the larger lunar elliptic: periods in hours and heights in m. */
const TIDES = [
  [12.4206012, 0.9],
  [12, 0.22],
  [12.65834751, 0.18],
] as const
/** An hour in so many tells nothing. */
const SILENT = 17

/** An even number in [0, 1) from a seed and a whole number. */
function drawn(seed: number, n: number): number {
  let t = Math.imul(seed ^ (n * 0x9e3779b1), 0x85ebca6b)
  t = Math.imul(t ^ (t >>> 13), 0xc2b2ae35)
  return ((t ^ (t >>> 16)) >>> 0) / 2 ** 32
}
/** Even noise that changes smoothly with time, one knot every so many hours. */
function smooth(seed: number, ms: number, hours: number): number {
  const x = ms / (hours * HOUR_MS)
  const i = Math.floor(x)
  const t = x - i
  const k = t * t * (3 - 2 * t)
  return drawn(seed, i) * (1 - k) + drawn(seed, i + 1) * k
}

function streamsOf(seed: number): Stream[] {
  const hourOf = (ms: number) => (ms % DAY_MS) / HOUR_MS
  const cloud = (ms: number) => Math.min(1, Math.max(0, 1.5 * smooth(seed, ms, 9) - 0.25))
  const storm = (ms: number) => cloud(ms) > 0.85 && smooth(seed + 5, ms, 4) > 0.62
  const silent = (at: (ms: number) => number) => (ms: number) =>
    Math.floor(drawn(seed + 9, Math.floor(ms / HOUR_MS)) * SILENT) === 0 ? null : at(ms)
  const share = { name: 'percent', symbol: '%', definition: 'ucum:%' }
  return [
    { name: 'cloud cover', unit: share, everyMin: 60, at: silent(ms => 100 * cloud(ms)) },
    {
      name: 'wind speed',
      unit: { name: 'metre per second', symbol: 'm/s', definition: 'ucum:m/s' },
      everyMin: 60,
      at: silent(ms => {
        // Breeze by day: it rises with the sun and falls at dusk (the clock here is UTC, noon some five hours later).
        const day = Math.max(0, Math.sin(((hourOf(ms) - 11) / 14) * Math.PI))
        return 0.4 + 7 * smooth(seed + 1, ms, 7) * (0.3 + 0.7 * day)
      }),
    },
    {
      name: 'precipitation rate',
      unit: { name: 'millimetre per hour', symbol: 'mm/h', definition: 'ucum:mm/h' },
      everyMin: 60,
      at: silent(ms => (cloud(ms) > 0.8 ? 6 * Math.max(0, smooth(seed + 2, ms, 3) - 0.55) : 0)),
    },
    { name: 'lightning probability', unit: share, everyMin: 60, at: silent(ms => (storm(ms) ? 70 : 5)) },
    {
      name: 'air temperature',
      unit: { name: 'degree Celsius', symbol: '°C', definition: 'ucum:Cel' },
      everyMin: 60,
      at: silent(ms => {
        const yearly = Math.cos((2 * Math.PI * (ms / DAY_MS - 199)) / 365.25)
        const daily = Math.cos(((hourOf(ms) - 20) / 24) * 2 * Math.PI)
        return 17 + 10 * yearly + 5 * daily + 6 * (smooth(seed + 3, ms, 30) - 0.5)
      }),
    },
    {
      name: 'water temperature',
      unit: { name: 'degree Celsius', symbol: '°C', definition: 'ucum:Cel' },
      everyMin: 30,
      at: silent(ms => {
        // Water follows the air of some weeks, and warms a little by afternoon.
        const yearly = Math.cos((2 * Math.PI * (ms / DAY_MS - 214)) / 365.25)
        return 17 + 9 * yearly + 0.6 * Math.cos(((hourOf(ms) - 22) / 24) * 2 * Math.PI) + smooth(seed + 6, ms, 60)
      }),
    },
    {
      name: 'turbidity',
      unit: { name: 'formazin nephelometric unit', symbol: 'FNU', definition: 'ISO 7027' },
      everyMin: 30,
      at: silent(ms => 4 + 22 * Math.max(0, smooth(seed + 7, ms, 40) - 0.35) ** 1.5),
    },
    {
      name: 'water level',
      unit: { name: 'metre', symbol: 'm', definition: 'ucum:m' },
      everyMin: 30,
      at: silent(ms => 0.8 + 0.9 * smooth(seed + 8, ms, 55)),
    },
    {
      name: 'sea level',
      unit: { name: 'metre', symbol: 'm', definition: 'ucum:m' },
      everyMin: 30,
      at: ms =>
        TIDES.reduce((s, [hours, m], i) => s + m * Math.cos((2 * Math.PI * ms) / (hours * HOUR_MS) + i + seed), 0),
    },
  ]
}

const PAGE = 100
const MOST = 1000

/** The first moment of `$filter=phenomenonTime ge …` and the last of `… le …`. */
function spanOf(filter: string | null, nowMs: number): [number, number] {
  const at = (word: string) =>
    Date.parse(new RegExp(`phenomenonTime ${word} ([0-9TZ:.+-]+)`).exec(filter ?? '')?.[1] ?? '')
  const [from, to] = [at('ge'), at('le')]
  return [Number.isFinite(from) ? from : nowMs, Number.isFinite(to) ? to : nowMs + 2 * DAY_MS]
}

function observations(stream: Stream, url: URL, base: string, id: number, nowMs: number) {
  const [from, to] = spanOf(url.searchParams.get('$filter'), nowMs)
  const skip = Math.max(0, Number(url.searchParams.get('$skip') ?? 0) || 0)
  const top = Math.min(PAGE, Math.max(1, Number(url.searchParams.get('$top') ?? PAGE) || PAGE))
  const step = stream.everyMin * 60_000
  const value: { phenomenonTime: string; result: number }[] = []
  let seen = 0
  let more = false
  for (let ms = Math.ceil(from / step) * step; ms <= to && seen < MOST; ms += step) {
    const result = stream.at(ms)
    if (result === null) continue
    if (seen++ < skip) continue
    if (value.length === top) {
      more = true
      break
    }
    value.push({ phenomenonTime: new Date(ms).toISOString(), result: Math.round(result * 1000) / 1000 })
  }
  if (!more) return { value }
  const next = new URL(`${base}/Datastreams(${id})/Observations`)
  for (const [k, v] of url.searchParams) next.searchParams.set(k, v)
  next.searchParams.set('$skip', String(skip + top))
  return { value, '@iot.nextLink': next.href }
}

/** The station as a server that is not listening yet. `now` tells the time where a request names none. */
export function stationServer(seed = 11, now: () => number = Date.now): Server {
  const streams = streamsOf(seed)
  return createServer((req: IncomingMessage, res: ServerResponse) => {
    const origin = `http://${req.headers.host}`
    const base = `${origin}/v1.1`
    const url = new URL(req.url ?? '/', origin)
    const path = decodeURIComponent(url.pathname).replace(/\/$/, '')
    const answer = (status: number, body: unknown) => {
      res.writeHead(status, { 'content-type': 'application/json' })
      res.end(JSON.stringify(body))
    }
    if (req.method !== 'GET') return answer(405, { message: 'read only' })
    if (path === '/v1.1') return answer(200, { value: [{ name: 'Datastreams', url: `${base}/Datastreams` }] })
    if (path === '/v1.1/Datastreams') {
      const value = streams.map((s, i) => ({
        '@iot.id': i + 1,
        '@iot.selfLink': `${base}/Datastreams(${i + 1})`,
        'name': s.name,
        'description': `${s.name}, simulated`,
        'observationType': 'http://www.opengis.net/def/observationType/OGC-OM/2.0/OM_Measurement',
        'unitOfMeasurement': s.unit,
        'Observations@iot.navigationLink': `${base}/Datastreams(${i + 1})/Observations`,
      }))
      return answer(200, { value })
    }
    const id = Number(/^\/v1\.1\/Datastreams\((\d+)\)\/Observations$/.exec(path)?.[1])
    const stream = streams[id - 1]
    return stream ? answer(200, observations(stream, url, base, id, now())) : answer(404, { message: 'not found' })
  })
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
  const port = Number(process.env.STATION_PORT)
  stationServer().listen(port, '127.0.0.1', () => console.log(`simulated station on http://127.0.0.1:${port}/v1.1`))
}
