import type { SyncEvent } from '#shared/schema/sync'
import { AT_ONCE } from '#shared/sync'

/** Most bytes of events sent at once: with what is around them well under what the server takes. */
const MOST_BYTES = 800_000

const bytesOf = (e: SyncEvent) => new TextEncoder().encode(JSON.stringify(e)).length

/** The first of what waits that goes together: so many, and so many bytes, but always one. */
export function parcelOf(waiting: readonly SyncEvent[], most = AT_ONCE): SyncEvent[] {
  let bytes = 0
  const fits = waiting.slice(0, most).findIndex((e, i) => (bytes += bytesOf(e)) > MOST_BYTES && i > 0)
  return waiting.slice(0, fits < 0 ? most : fits)
}
