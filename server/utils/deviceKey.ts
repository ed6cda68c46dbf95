import type { H3Event } from 'h3'

interface Counted {
  deviceKey?: string
}
/** Note whom a request is counted for: done once, where the limits are held. */
export function countedFor(event: H3Event, key: string): void {
  const context = event.context as Counted
  context.deviceKey = key
}
/** Whom a request is counted for: the angler of its cookie, else its address. */
export const deviceOf = (event: H3Event): string => (event.context as Counted).deviceKey ?? 'unknown'
