import type { DayRequest } from '#core/day/request'
import type { KitRequest } from '#core/kit/request'
import type { SeasonAsk } from '#core/season-learning/season'
import type { LongWork } from '#server/ranking/longWork'
import { dayWork } from '#server/services/dayPlans'
import { kitWork } from '#server/services/kits'
import { seasonWork } from '#server/services/season'

/** What may be asked for as a job: each with what is asked, checked, and its work. */
const KINDS = {
  'day-plan': (asked: DayRequest) => dayWork(asked),
  'kit': (asked: KitRequest) => kitWork(asked),
  'season': (asked: SeasonAsk) => seasonWork(asked),
}
export type LongKind = keyof typeof KINDS
export type LongAsk<K extends LongKind> = Parameters<(typeof KINDS)[K]>[0]

/** The work of what was asked, checked. */
export const longWork = <K extends LongKind>(kind: K, asked: LongAsk<K>): LongWork =>
  (KINDS[kind] as (a: LongAsk<K>) => LongWork)(asked)
