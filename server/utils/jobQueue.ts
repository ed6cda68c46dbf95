import type { H3Event } from 'h3'
import { v7 as newId } from 'uuid'
import { putJob, tidyJobs } from '#server/jobs/jobs'
import type { LongAsk, LongKind } from '#server/jobs/kinds'
import { type Queue, type QueuedTurn, openQueue } from '#server/jobs/queue'
import { workTurn } from '#server/jobs/turn'
import { textOf } from '#server/ranking/chunks'
import { LONG_THREADS, workInThread } from '#server/ranking/pool'
import type { JobStatus } from '#shared/schema/job'
import { ensureAngler } from './angler'
import { database } from './database'
import { logLater, useLog } from './log'
import { TURN_SECONDS } from './counts'
import { faultError } from './validated'

/** How often a queue that could not be opened is tried again, and what fell out of it is looked for, ms. */
const [AGAIN_MS, TIDY_MS] = [3000, 30_000] as const

let open: { queue: Queue; started: boolean } | null = null
let timer: ReturnType<typeof setTimeout> | undefined
let leaving = false
let tidiedMs = 0

/** The process's one queue; made when the server begins, and in use once the database has it. */
function made(): { queue: Queue; started: boolean } {
  return (open ??= { queue: openQueue(useRuntimeConfig().databaseUrl, logLater), started: false })
}

/** Open the queue as soon as there is one, and from then on tidy it; `work` where this process takes turns. */
export function keepQueue(work: boolean): void {
  const round = async () => {
    try {
      const mine = made()
      if (!mine.started) {
        await mine.queue.start()
        mine.started = true
        if (work) await mine.queue.work(LONG_THREADS, takeTurnOf)
      }
      if (work && Date.now() - tidiedMs > TIDY_MS) {
        tidiedMs = Date.now()
        await tidyJobs(database(), mine.queue)
      }
    } catch (error) {
      logLater(error)
    }
    if (!leaving) timer = setTimeout(() => void round(), AGAIN_MS).unref()
  }
  void round()
}

async function takeTurnOf(entry: QueuedTurn): Promise<void> {
  const done = await workTurn(
    {
      db: database(),
      queue: made().queue,
      answer: async (job, asker) => textOf(await workInThread(job, `job of ${asker}`)),
      now: Date.now,
      leaving: () => leaving,
    },
    entry,
  )
  if (!done) return
  TURN_SECONDS.observe({ kind: done.kind, ended: done.ended }, done.ms / 1000)
  useLog().info({ id: done.requestId, job: done.kind, ended: done.ended, ms: done.ms })
}

export async function closeQueue(): Promise<void> {
  leaving = true
  clearTimeout(timer)
  if (open?.started) await open.queue.stop()
}

/** The queue, to put something in it: 503 while there is none. */
export function jobQueue(event: H3Event): Queue {
  const { queue, started } = made()
  if (started) return queue
  setResponseHeader(event, 'retry-after', 3)
  throw faultError(503, [{ path: '', code: 'queue-away', message: 'Jobs are not taken just now. Try again.' }])
}

/** Whether the queue is in use, and how many turns wait in it. */
export const queueIsOpen = (): boolean => open?.started ?? false
export const turnsWaiting = async (): Promise<number> => (open?.started ? open.queue.waiting() : 0)

interface JobOf<K extends LongKind> {
  anglerId: string
  kind: K
  asked: LongAsk<K>
}
function put<K extends LongKind>(event: H3Event, queue: Queue, job: JobOf<K>): Promise<JobStatus | null> {
  const { requestId = '' } = event.context as { requestId?: string }
  return putJob(database(), queue, { ...job, id: newId(), requestId })
}

/** Take what is asked in as a job of who asks: 202 with where it stands. */
export async function asJob<K extends LongKind>(event: H3Event, kind: K, asked: LongAsk<K>): Promise<JobStatus> {
  const queue = jobQueue(event)
  const job = await put(event, queue, { anglerId: await ensureAngler(event), kind, asked })
  if (!job) {
    throw faultError(429, [{ path: '', code: 'jobs', message: 'You have as many jobs as there may be. Stop one.' }])
  }
  setResponseStatus(event, 202)
  setResponseHeader(event, 'location', `/api/v1/jobs/${job.id}`)
  setResponseHeader(event, 'preference-applied', 'respond-async')
  return job
}

/** Have something done besides, as a job, where there is a queue and room: nobody waits for it. */
export async function besides<K extends LongKind>(event: H3Event, job: JobOf<K>): Promise<void> {
  const { queue, started } = made()
  if (started) await put(event, queue, job).catch(logLater)
}
