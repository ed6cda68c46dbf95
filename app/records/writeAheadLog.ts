import type { SyncEvent } from '#shared/schema/sync'

/**
 * Written before anything else, in one breath: the event store takes its time, and a page that is killed within it
 * would lose what was on its screen already. What reached the event store is forgotten here.
 */
const PREFIX = 'piscator.ahead.'
/** More at once is no tap but a file, which can be brought in again. */
const MOST = 50
const place = (): Storage | null => {
  try {
    // Where the browser refuses it, already its name throws.
    return globalThis.localStorage ?? null
  } catch {
    return null
  }
}

/** Whether it is written: there may be no room, or none allowed. Then only the event store has it. */
export function writeAhead(events: readonly SyncEvent[]): boolean {
  const here = place()
  if (!here || events.length > MOST) return false
  try {
    for (const e of events) here.setItem(PREFIX + e.id, JSON.stringify(e))
    return true
  } catch {
    return false
  }
}
export function forgetWritten(events: readonly SyncEvent[]): void {
  for (const e of events) place()?.removeItem(PREFIX + e.id)
}
/** What a page that was killed had written ahead, in the order it was made. */
export function leftInLog(): SyncEvent[] {
  const here = place()
  const keys = Array.from({ length: here?.length ?? 0 }, (_, i) => here!.key(i)!).filter(k => k.startsWith(PREFIX))
  return keys.sort().map(k => JSON.parse(here!.getItem(k)!) as SyncEvent)
}
