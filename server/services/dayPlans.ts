import { type StepScores, dayOf } from '#core/day/scores'
import type { DayRequest } from '#core/day/request'
import { inPortions } from '#server/ranking/portions'
import { workInThread } from '#server/ranking/pool'

/** Steps of one lure ranked between two others' requests: about a tenth of a second. */
const AT_ONCE = 24

/** A day's plan as JSON text: its lures ranked step by step in portions, then planned. */
export async function planInPortions(request: DayRequest, signal: AbortSignal): Promise<string> {
  const steps = dayOf(request).steps.map((_, t) => t)
  const scores: (StepScores | null)[][] = []
  for (let lane = 0; lane < request.lures.length; lane++) {
    const jobOf = (some: readonly number[]) => ({ kind: 'day-scores', asked: { request, lane, steps: some } }) as const
    scores.push(await inPortions(steps, AT_ONCE, jobOf, signal))
  }
  return workInThread({ kind: 'day-plan', asked: { request, scores } })
}
