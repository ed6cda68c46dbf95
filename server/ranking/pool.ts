import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Piscina from 'piscina'
import type { Request } from '#core/request/request'

/**
 * Requests that may wait for a thread; past that the server says it is busy. At 10 ms each the last waits under half
 * a second.
 */
const MOST_WAITING = 64
/** An idle thread ends after this long, ms; one is always kept. */
const IDLE_MS = 30_000

/** The worker's own bundle lies beside the server's (made with the build; see tools/build/rankingWorker.ts). */
function workerFile(): string {
  let dir = dirname(fileURLToPath(import.meta.url))
  for (;;) {
    const file = join(dir, 'workers/ranking.mjs')
    if (existsSync(file)) return file
    const up = dirname(dir)
    if (up === dir) throw new Error('the ranking worker was not built')
    dir = up
  }
}

let pool: Piscina<Request, string> | null = null

/** Refused because too many rankings wait already. */
export class TooBusyError extends Error {}

/**
 * Refuse at once where nothing more could wait: before a request is even read, so that shedding costs next to
 * nothing.
 */
export function refuseWhenFull(): void {
  if (pool && pool.queueSize >= MOST_WAITING) throw new TooBusyError('too many rankings wait')
}

/**
 * Rank in a worker thread, so that no other request waits on the processor. One core is left to the server
 * itself; as many more as the bound allows wait, and the rest are refused with a `TooBusyError`.
 */
export async function rankInThread(request: Request): Promise<string> {
  pool ??= new Piscina({
    filename: workerFile(),
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: MOST_WAITING,
    idleTimeout: IDLE_MS,
  })
  refuseWhenFull()
  return pool.run(request)
}

export async function closeRanking(): Promise<void> {
  await pool?.destroy()
  pool = null
}
