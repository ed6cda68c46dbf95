import { normalBelow } from '#core/numeric/normal'
import { rounded } from '#core/numeric/rounded'
import type { Said } from '#core/words/sentence'

/** What effects are told of. */
export const LEVELS = ['finish', 'look', 'family', 'lure', 'spot', 'clarity', 'light', 'phase'] as const
export type Level = (typeof LEVELS)[number]

/** How much better than its fellows something did. */
export interface Effect {
  level: Level
  id: string
  /** The lure, or the water, among whose like it is held. */
  within: string | null
  times: number
  /** Eight in ten between. */
  low: number
  high: number
  chanceBetter: number
  /** What the engine would have said before the log. */
  priorTimes: number
  /** By bites an hour alone. */
  plainTimes: number | null
  hours: number
  bites: number
  comparedBites: number
  /** More compared bites to be sure, in tens; null: more than a season's. */
  moreBites: number | null
  /** What may be said of it; null where it is too early. */
  says: Said | null
}

/** Nothing is said of a finish under an hour in hand or so many compared bites in its lure; of a place under these. */
export const LEAST = { hours: 1, lureBites: 8, placeTrips: 3, placeHours: 2 } as const
/** "Better" and "worse" are said from here. */
export const SURE = 0.9
/** Eight in ten lie within so many standard deviations. */
export const EIGHT_IN_TEN = 1.28
const [TENS, A_SEASON] = [10, 500] as const

/** Better or worse than its fellows, where that may be said and is sure; null where it is not. */
export function sureVerdictOf({
  says,
  chanceBetter,
}: Pick<Effect, 'says' | 'chanceBetter'>): 'better' | 'worse' | null {
  if (!says) return null
  if (chanceBetter >= SURE) return 'better'
  return 1 - chanceBetter >= SURE ? 'worse' : null
}

/** How many more compared bites would make sure, in tens; null: more than a season's. */
export const moreNeeded = (bites: number, mean: number, sd: number): number | null => {
  const more = bites * (((EIGHT_IN_TEN * sd) / Math.max(1e-9, Math.abs(mean))) ** 2 - 1)
  if (more <= 0) return 0
  const tens = Math.ceil(more / TENS) * TENS
  return tens > A_SEASON ? null : tens
}

/** A mean and standard deviation of a logarithm as times, eight in ten between. */
export const timesOf = ({ mean, sd }: { mean: number; sd: number }) => ({
  times: rounded(Math.exp(mean), 4),
  low: rounded(Math.exp(mean - EIGHT_IN_TEN * sd), 4),
  high: rounded(Math.exp(mean + EIGHT_IN_TEN * sd), 4),
  chanceBetter: rounded(sd > 0 ? normalBelow(mean / sd) : 0.5, 4),
})
