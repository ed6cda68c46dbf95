import type { Job, JobResult } from '#server/ranking/jobs'
import { workInThread } from '#server/ranking/pool'
import type { Fault } from '#shared/faults'

/** What was asked is wrong: every fault found before it was given up. */
export class FaultyError extends Error {
  constructor(readonly faults: Fault[]) {
    super('what was asked is faulty')
  }
}

/** The text of an answer; throws a `FaultyError` where there is none. */
export function textOf(worked: JobResult): string {
  if ('faults' in worked) throw new FaultyError(worked.faults)
  return worked.text
}

/** Who wants long work, and until when. */
export interface Asker {
  device: string
  signal: AbortSignal
}

/** One job of long work: its answer, read. */
export async function chunk<R>(job: Job, { device, signal }: Asker): Promise<R> {
  return JSON.parse(textOf(await workInThread(job, device, signal))) as R
}

/**
 * Do long work a chunk at a time, so that others' come in between: in order, until all is done or whoever asked has
 * gone.
 * @param items what is to be worked through
 * @param jobOf the job of a chunk, whose answer is a list; told which of the items is its first
 */
export async function inChunks<T, R>(
  items: readonly T[],
  size: number,
  jobOf: (some: readonly T[], from: number) => Job,
  asker: Asker,
): Promise<R[]> {
  const out: R[] = []
  for (let i = 0; i < items.length; i += size) {
    asker.signal.throwIfAborted()
    out.push(...(await chunk<R[]>(jobOf(items.slice(i, i + size), i), asker)))
  }
  return out
}
