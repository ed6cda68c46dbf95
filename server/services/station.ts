/** A station is waited for so long, ms, and read so many pages of a stream. */
const PATIENCE_MS = 2000
const MOST_PAGES = 12

/** The station did not answer as a SensorThings service does, or not in time. */
export class StationAwayError extends Error {}

export interface Observation {
  ms: number
  result: number
}
export type Fetch = typeof fetch

async function read(url: string, fetcher: Fetch): Promise<Record<string, unknown>> {
  try {
    const response = await fetcher(url, { signal: AbortSignal.timeout(PATIENCE_MS) })
    if (!response.ok) throw new Error(String(response.status))
    return (await response.json()) as Record<string, unknown>
  } catch (cause) {
    throw new StationAwayError('the station', { cause })
  }
}

/** Where the observations of each stream of a SensorThings service (OGC 18-088, part 1) stand, by its name. */
export async function streamsOf(base: string, fetcher: Fetch = fetch): Promise<Map<string, string>> {
  const { value } = await read(`${base}/Datastreams`, fetcher)
  const streams = new Map<string, string>()
  for (const s of Array.isArray(value) ? (value as Record<string, unknown>[]) : []) {
    const link = s['Observations@iot.navigationLink']
    if (typeof s.name === 'string' && typeof link === 'string') streams.set(s.name, link)
  }
  return streams
}

/** Observations of a stream between two moments, page by page; whatever is no observation is passed over. */
export async function observed(link: string, fromMs: number, toMs: number, fetcher: Fetch): Promise<Observation[]> {
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
