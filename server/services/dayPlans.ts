import { type StepScores, dayOf } from '#core/day/scores'
import type { DayRequest } from '#core/day/request'
import { type Asker, chunk } from '#server/ranking/chunks'
import type { LongWork } from '#server/ranking/longWork'
import { pieces } from '#shared/pieces'

/** Steps of one lure ranked between two others' requests: about a tenth of a second. */
const AT_ONCE = 24

/** What is asked of a day, checked; throws a `FaultyError` where it is wrong. */
export const checkedDay = (input: unknown, asker: Asker): Promise<DayRequest> =>
  chunk({ kind: 'check-day', asked: input }, asker)

/** The work of a day: its lures ranked step by step, lure by lure, then planned. */
export function dayWork(request: DayRequest): LongWork {
  const chunks = pieces(
    dayOf(request).steps.map((_, t) => t),
    AT_ONCE,
  )
  return {
    parts: request.lures.flatMap((_, lane) =>
      chunks.map(steps => ({ kind: 'day-scores', asked: { request, lane, steps } }) as const),
    ),
    whole: answers => ({
      kind: 'day-plan',
      asked: { request, scores: pieces(answers as (StepScores | null)[][], chunks.length).map(lane => lane.flat()) },
    }),
  }
}
