import { DAY_MIN, HOUR_MIN, MINUTE_MS } from '#core/units'
import { midnightMs } from '#core/day/clock'
import type { DayHour } from '#core/day/request'
import { WINDS, type Wind } from '#core/sky/weather'
import type { ForecastOut, ForecastQuery } from '#shared/schema/forecast'

/** A station is waited for so long, ms, and read so many pages of a stream. */
const PATIENCE_MS = 2000
const MOST_PAGES = 12
/** From this rain on it rains, mm/h; and from this probability on the water is left, per cent. */
const RAINS = 0.2
const LIGHTNING = 40

/** The station did not answer as a SensorThings service does, or not in time. */
export class StationAwayError extends Error {}

interface Observation {
  ms: number
  result: number
}
type Fetch = typeof fetch

async function read(url: string, fetcher: Fetch): Promise<Record<string, unknown>> {
  try {
    const response = await fetcher(url, { signal: AbortSignal.timeout(PATIENCE_MS) })
    if (!response.ok) throw new Error(String(response.status))
    return (await response.json()) as Record<string, unknown>
  } catch (cause) {
    throw new StationAwayError('the station', { cause })
  }
}

/** Observations of a stream between two moments, page by page; whatever is no observation is passed over. */
async function observed(link: string, fromMs: number, toMs: number, fetcher: Fetch): Promise<Observation[]> {
  const url = new URL(link)
  const iso = (ms: number) => new Date(ms).toISOString()
  url.searchParams.set('$filter', `phenomenonTime ge ${iso(fromMs)} and phenomenonTime le ${iso(toMs)}`)
  url.searchParams.set('$orderby', 'phenomenonTime asc')
  const out: Observation[] = []
  let next: string | null = url.href
  for (let page = 0; next && page < MOST_PAGES; page++) {
    const body = await read(next, fetcher)
    for (const o of Array.isArray(body.value) ? (body.value as Record<string, unknown>[]) : []) {
      const ms = Date.parse(String(o.phenomenonTime))
      if (Number.isFinite(ms) && typeof o.result === 'number' && Number.isFinite(o.result))
        out.push({ ms, result: o.result })
    }
    const link = body['@iot.nextLink']
    // A station leads on to its own pages and nowhere else.
    next = typeof link === 'string' && new URL(link).origin === url.origin ? link : null
  }
  return out
}

/** The word for a wind of so many m/s: the nearest of the four. */
function windOf(mps: number): Wind {
  const words = Object.keys(WINDS) as Wind[]
  return words.reduce((a, b) => (Math.abs(WINDS[b].speedMps - mps) < Math.abs(WINDS[a].speedMps - mps) ? b : a))
}
const two = (n: number) => String(n).padStart(2, '0')

/** When the day begins that a forecast is asked for; not a number where it is no date. */
export const beginningOf = ({ date, utcOffsetMin }: ForecastQuery): number => midnightMs(date, Number(utcOffsetMin))

/**
 * The day's forecast and tide from a SensorThings station (OGC 18-088, part 1).
 * @param base address of the service, up to its version
 * @param midnightMs the day's beginning on the clock of its place
 */
export async function readForecast(base: string, midnightMs: number, fetcher: Fetch = fetch): Promise<ForecastOut> {
  const { value } = await read(`${base}/Datastreams`, fetcher)
  const streams = new Map<string, string>()
  for (const s of Array.isArray(value) ? (value as Record<string, unknown>[]) : []) {
    const link = s['Observations@iot.navigationLink']
    if (typeof s.name === 'string' && typeof link === 'string') streams.set(s.name, link)
  }
  const of = async (name: string) => {
    const link = streams.get(name)
    return link ? observed(link, midnightMs, midnightMs + DAY_MIN * MINUTE_MS, fetcher) : []
  }
  const [cloud, wind, rain, lightning, level] = await Promise.all(
    ['cloud cover', 'wind speed', 'precipitation rate', 'lightning probability', 'sea level'].map(of),
  )
  const hours = new Map<number, DayHour>()
  const put = (list: Observation[], patch: (v: number) => Partial<DayHour>) => {
    for (const { ms, result } of list) {
      const hour = Math.floor((ms - midnightMs) / (HOUR_MIN * MINUTE_MS))
      if (hour < 0 || hour > 23) continue
      hours.set(hour, { ...(hours.get(hour) ?? { at: `${two(hour)}:00` }), ...patch(result) })
    }
  }
  put(cloud!, v => ({ cloud: Math.min(1, Math.max(0, v / 100)) }))
  put(wind!, v => ({ wind: windOf(v) }))
  put(rain!, v => ({ rain: v >= RAINS }))
  put(lightning!, v => ({ lightning: v >= LIGHTNING }))
  return {
    simulated: true,
    hours: [...hours].sort(([a], [b]) => a - b).map(([, h]) => h),
    tide: level!.map(({ ms, result }) => ({ atMin: (ms - midnightMs) / MINUTE_MS, heightM: result })),
  }
}
