import { LRUCache } from 'lru-cache'
import { serialize } from 'ohash'
import type { Job } from '#server/ranking/jobs'
import { ENGINE_VERSION } from '#core/ranking/recommend'

/** Works out the answer to a job as JSON text. */
export type Worker = (job: Job) => Promise<string>

/** Most answers remembered; each is about 20 kB of text. */
const MOST = 400

/** The same scene in the same words, whatever order its fields came in. */
export const keyOf = (job: Job): string => `${ENGINE_VERSION}|${serialize(job)}`

/**
 * Answers to jobs as JSON text. A repeated scene is answered from a bounded memory (least lately used goes
 * first), and one that is being worked out already is not worked out twice.
 */
export function remembering(work: Worker, most = MOST): Worker {
  const answers = new LRUCache<string, Promise<string>>({ max: most })
  return job => {
    const key = keyOf(job)
    const known = answers.get(key)
    if (known) return known
    const answer = work(job)
    answers.set(key, answer)
    // What failed is not an answer: the next to ask has it worked out again.
    answer.catch(() => answers.delete(key))
    return answer
  }
}
