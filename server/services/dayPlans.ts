import { type StepScores, dayOf } from '#core/day/scores'
import type { DayRequest } from '#core/day/request'
import { type Asker, inChunks, chunk, textOf } from '#server/ranking/chunks'
import { workInThread } from '#server/ranking/pool'

/** Steps of one lure ranked between two others' requests: about a tenth of a second. */
const AT_ONCE = 24

/** What is asked of a day, checked; throws a `FaultyError` where it is wrong. */
export const checkedDay = (input: unknown, asker: Asker): Promise<DayRequest> =>
  chunk({ kind: 'check-day', asked: input }, asker)

/** A day's plan as JSON text: its lures ranked step by step in chunks, then planned. */
export async function planInChunks(request: DayRequest, asker: Asker): Promise<string> {
  const steps = dayOf(request).steps.map((_, t) => t)
  const scores: (StepScores | null)[][] = []
  for (let lane = 0; lane < request.lures.length; lane++) {
    const jobOf = (some: readonly number[]) => ({ kind: 'day-scores', asked: { request, lane, steps: some } }) as const
    scores.push(await inChunks(steps, AT_ONCE, jobOf, asker))
  }
  return textOf(await workInThread({ kind: 'day-plan', asked: { request, scores } }, asker.device, asker.signal))
}
