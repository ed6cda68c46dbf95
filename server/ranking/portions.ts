import type { Job } from '#server/ranking/jobs'
import { TooBusyError, workInThread } from '#server/ranking/pool'

/** How long work in portions waits for room in the queue, ms, before it tries again. */
const WAIT_MS = 150
const wait = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

/** A portion of long work: where the queue is full it waits its turn, for whoever asked was let in already. */
async function portion(job: Job, signal: AbortSignal): Promise<string> {
  for (;;) {
    signal.throwIfAborted()
    try {
      return await workInThread(job)
    } catch (error) {
      if (!(error instanceof TooBusyError)) throw error
      await wait(WAIT_MS)
    }
  }
}

/**
 * Do long work a portion at a time, so that others' requests come in between: one portion in the queue at once, in
 * order, until all is done or whoever asked has gone.
 * @param items what is to be worked through
 * @param jobOf the job of a portion, whose answer is a list
 */
export async function inPortions<T, R>(
  items: readonly T[],
  size: number,
  jobOf: (some: readonly T[]) => Job,
  signal: AbortSignal,
): Promise<R[]> {
  const out: R[] = []
  for (let i = 0; i < items.length; i += size) {
    const text = await portion(jobOf(items.slice(i, i + size)), signal)
    out.push(...(JSON.parse(text) as R[]))
  }
  return out
}
