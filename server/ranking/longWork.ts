import { type Asker, chunk, textOf } from './chunks'
import type { Job } from './jobs'
import { workInThread } from './pool'

/**
 * Long work as parts that take about a tenth of a second each, so that others' come in between, and what their answers
 * come to together. What the parts are hangs on what was asked alone: work that was broken off goes on where it was.
 */
export interface LongWork {
  parts: readonly Job[]
  whole: (answers: readonly unknown[]) => Job
}

/** Long work done at once, a part after the other, as JSON text: until it is done or whoever asked has gone. */
export async function workedThrough({ parts, whole }: LongWork, asker: Asker): Promise<string> {
  const answers: unknown[] = []
  for (const part of parts) {
    asker.signal.throwIfAborted()
    answers.push(await chunk(part, asker))
  }
  return textOf(await workInThread(whole(answers), asker.device, asker.signal))
}
