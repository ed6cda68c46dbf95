import { LRUCache } from 'lru-cache'
import { serialize } from 'ohash'
import type { Request } from '#core/request/request'
import { ENGINE_VERSION } from '#core/ranking/recommend'

/** Works out the answer to a request as JSON text. */
export type Ranker = (request: Request) => Promise<string>

/** Most answers remembered; each is about 20 kB of text. */
const MOST = 400

/** The same scene in the same words, whatever order its fields came in. */
export const keyOf = (request: Request): string => `${ENGINE_VERSION}|${serialize(request)}`

/**
 * Answers to requests as JSON text. A repeated scene is answered from a bounded memory (least lately used goes
 * first), and one that is being worked out already is not worked out twice.
 */
export function rememberingRanker(rank: Ranker, most = MOST): Ranker {
  const answers = new LRUCache<string, Promise<string>>({ max: most })
  return request => {
    const key = keyOf(request)
    const known = answers.get(key)
    if (known) return known
    const answer = rank(request)
    answers.set(key, answer)
    // What failed is not an answer: the next to ask has it worked out again.
    answer.catch(() => answers.delete(key))
    return answer
  }
}
