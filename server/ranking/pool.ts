import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Piscina from 'piscina'
import type { Job } from './jobs'

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

let pool: Piscina<Job, string> | null = null

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
 * Do a job in a worker thread, so that no other request waits on the processor. One core is left to the server
 * itself; as many more as the bound allows wait, and the rest are refused with a `TooBusyError`.
 */
export async function workInThread(job: Job): Promise<string> {
  pool ??= new Piscina({
    filename: workerFile(),
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: MOST_WAITING,
    idleTimeout: IDLE_MS,
  })
  refuseWhenFull()
  return pool.run(job)
}

export async function closeRanking(): Promise<void> {
  await pool?.destroy()
  pool = null
}
