import { LRUCache } from 'lru-cache'
import type { Job, JobResult } from '#server/ranking/jobs'
import { ENGINE_VERSION } from '#core/ranking/version'

/** Works out the answer to a job for a device; ends early where the signal says that nobody wants it any more. */
export type Worker = (job: Job, device: string, signal?: AbortSignal) => Promise<JobResult>

/** Most characters of answers remembered, and of questions; an answer is about 20 kB of text. */
const MOST = 8_000_000
/** A question longer than this is answered, and not remembered. */
const LONGEST_KEY = 8000

/** The fields of a group in the order of their names. Nothing of what was asked is trusted to be what it looks like. */
const inOrder = (_key: string, value: unknown) =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value

/** The same scene in the same words, whatever order its fields came in. */
export const keyOf = (job: Job): string => `${ENGINE_VERSION}|${JSON.stringify(job, inOrder)}`

/** Work that is under way, and how many wait for it: it ends when the last of them has gone. */
interface UnderWay {
  answer: Promise<JobResult>
  askers: number
  gone: AbortController
}

/**
 * Answers to jobs. A repeated scene is answered from a bounded memory (least lately used goes first), and one that is
 * being worked out already is not worked out twice; what was refused is not remembered.
 */
export function memoize(work: Worker, most = MOST): Worker {
  const answers = new LRUCache<string, JobResult>({
    maxSize: most,
    sizeCalculation: (a, key) => sizeOf(a) + key.length,
  })
  const underWay = new Map<string, UnderWay>()

  function begin(key: string, job: Job, device: string): UnderWay {
    const gone = new AbortController()
    const answer = work(job, device, gone.signal)
    const mine: UnderWay = { answer, askers: 0, gone }
    underWay.set(key, mine)
    const over = () => {
      if (underWay.get(key) === mine) underWay.delete(key)
    }
    answer.then(a => {
      over()
      if ('text' in a) answers.set(key, a)
    }, over)
    return mine
  }

  return async (job, device, signal) => {
    const key = keyOf(job)
    if (key.length > LONGEST_KEY) return work(job, device, signal)
    const known = answers.get(key)
    if (known) return known
    const mine = underWay.get(key) ?? begin(key, job, device)
    mine.askers++
    const leave = () => {
      if (--mine.askers > 0) return
      // Whoever asks the same from now on has it worked out anew.
      if (underWay.get(key) === mine) underWay.delete(key)
      mine.gone.abort(signal!.reason)
    }
    signal?.addEventListener('abort', leave)
    try {
      return await mine.answer
    } finally {
      signal?.removeEventListener('abort', leave)
    }
  }
}

const sizeOf = (a: JobResult) => ('text' in a ? a.text.length : 1)
