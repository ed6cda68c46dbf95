import type { Client } from '../../tests/api/client'

/** A question to rank. */
export const ASKED = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green', temperatureC: 14 },
  light: { sky: 'partly', sunElevationDeg: 40 },
}
/** A call to keep; each of another second. */
export const call = (i = 0) => ({
  asked: ASKED,
  tiedOn: 'jerkbait.bone',
  keptAt: new Date(Date.UTC(2026, 3, 12, 10, 0, i)).toISOString(),
})

/** All calls of a device, page by page. */
export async function allCalls(client: Client): Promise<string[]> {
  const ids: string[] = []
  let path: string | null = '/calls'
  while (path) {
    const { body, headers }: Awaited<ReturnType<Client['call']>> = await client.call('GET', path)
    if (!Array.isArray(body)) throw new Error(JSON.stringify(body))
    ids.push(...(body as { id: string }[]).map(c => c.id))
    path = /<\/api\/v1([^>]+)>/.exec(headers.get('link') ?? '')?.[1] ?? null
  }
  return ids
}
