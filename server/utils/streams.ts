import type { H3Event } from 'h3'
import { faultError } from './validated'

/** Streams that are listened to, by whom they are counted for. */
const streams = new Map<string, Set<() => void>>()

/** Streams one device, and one process, may have open at once. */
const MOST = { device: 8, all: 1000 } as const

/** How many are listened to now. */
export function streamsOpen(): number {
  let all = 0
  for (const of of streams.values()) all += of.size
  return all
}

/** 503 where one more of a device, or of all, would be too many. */
export function refuseTooManyStreams(event: H3Event, device: string): void {
  if (streamsOpen() < MOST.all && (streams.get(device)?.size ?? 0) < MOST.device) return
  setResponseHeader(event, 'retry-after', 30)
  throw faultError(503, [{ path: '', code: 'busy', message: 'Too many listen just now. Ask now and then.' }])
}

/** Count a stream until it is over; gives back how to say that it is. `close` ends it with the server. */
export function countedStream(device: string, close: () => void): () => void {
  const mine = streams.get(device) ?? new Set()
  streams.set(device, mine)
  mine.add(close)
  return () => {
    mine.delete(close)
    if (!mine.size) streams.delete(device)
  }
}

/** End every stream: with the server, or they would hold it. */
export function closeStreams(): void {
  for (const of of streams.values()) for (const close of of) close()
}
