import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Piscina from 'piscina'
import { type Job, type JobKind, LONG_JOBS, type JobResult } from './jobs'
import { type JobLane, TooBusyError, makeLane } from './lane'

/** An idle thread ends after this long, ms; one of each pool is always kept. */
const IDLE_MS = 30_000
/** Longest one job may hold its thread, ms: the longest legal one takes a fifth of it on a quiet machine. */
const LONGEST_MS = 15_000
/** What is answered at a glance waits this long at most, ms. */
const MOST_WAIT_MS = 2000

/** A job that held its thread for as long as any may. */
export class TooLongError extends Error {}

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

interface Threads {
  pool: Piscina<Job, JobResult>
  lane: JobLane
}

/** One core is left to the server itself; short and long work have threads of their own. */
const HALF = Math.max(1, (availableParallelism() - 1) / 2)
const SHORT_THREADS = Math.ceil(HALF)
/** Long jobs done at once. */
export const LONG_THREADS = Math.floor(HALF)

function threads(long: boolean): Threads {
  const count = long ? LONG_THREADS : SHORT_THREADS
  const pool = new Piscina<Job, JobResult>({
    filename: workerFile(),
    // Long work has one to spare: a thread that is ended with its job leaves one that goes on at once.
    minThreads: long ? count + 1 : 1,
    maxThreads: long ? count + 1 : count,
    idleTimeout: IDLE_MS,
    // Long work steps back behind whoever waits for a glance (see ranking.worker.ts).
    argv: long ? ['long'] : [],
  })
  // Long work was let in as a whole (see admission.ts): its parts wait as long as they have to.
  const settings = long
    ? { threads: count, mostWaitMs: Infinity, mostOfOne: Infinity, typicalMs: 100 }
    : { threads: count, mostWaitMs: MOST_WAIT_MS, mostOfOne: 64, typicalMs: 10 }
  return { pool, lane: makeLane(settings, () => performance.now()) }
}

let open: { short: Threads; long: Threads } | null = null
const opened = () => (open ??= { short: threads(false), long: threads(true) })
const threadsFor = (kind: JobKind): Threads => opened()[LONG_JOBS.has(kind) ? 'long' : 'short']

/** Jobs that wait for a thread. */
export const lanesWaiting = () => ({ short: open?.short.lane.waiting ?? 0, long: open?.long.lane.waiting ?? 0 })

/**
 * Refuse at once what would wait too long for a thread: before a request is even read, so that shedding costs next to
 * nothing.
 */
export function refuseWhenFull(device: string): void {
  if (open?.short.lane.refuses(device)) throw new TooBusyError()
}

/**
 * Do a job in a worker thread, so that no other request waits on the processor. Devices take turns; who hangs up
 * frees the thread at once, and no job holds one for longer than any may.
 */
export async function workInThread(job: Job, device: string, signal?: AbortSignal): Promise<JobResult> {
  const { pool, lane } = threadsFor(job.kind)
  return lane.run(
    device,
    async () => {
      const limit = new AbortController()
      const timer = setTimeout(() => limit.abort(), LONGEST_MS)
      const either = signal ? AbortSignal.any([signal, limit.signal]) : limit.signal
      try {
        return await pool.run(job, { signal: either })
      } catch (error) {
        signal?.throwIfAborted()
        throw limit.signal.aborted ? new TooLongError('a job took too long') : error
      } finally {
        clearTimeout(timer)
      }
    },
    signal,
  )
}

/** How soon the first is tried again where it failed, ms. */
const AGAIN_MS = 1000
/** Something that any version ranks. */
const FIRST: Job = {
  kind: 'rank',
  asked: {
    lure: 'jerkbait',
    water: { visibilityM: 1, tint: 'green', temperatureC: 15 },
    light: { sky: 'partly', sunElevationDeg: 40 },
  },
}
let warm = false
/** Have a thread up before anybody asks, however long it takes. */
export async function warmRanking(fault: (error: unknown) => void): Promise<void> {
  while (!warm) {
    try {
      await workInThread(FIRST, 'the first')
      warm = true
    } catch (error) {
      fault(error)
      await new Promise(r => setTimeout(r, AGAIN_MS).unref())
    }
  }
}
/** Whether a ranking would be worked out at once. */
export const isWarm = (): boolean => warm

export async function closeRanking(): Promise<void> {
  const now = open
  open = null
  await Promise.all([now?.short.pool.destroy(), now?.long.pool.destroy()])
}
