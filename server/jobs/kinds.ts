import type { DayRequest } from '#core/day/request'
import type { KitRequest } from '#core/kit/request'
import type { SeasonAsk } from '#core/season-learning/season'
import type { Database } from '#server/db/connection'
import type { PictureAsk } from '#server/ranking/jobs'
import type { LongWork } from '#server/ranking/longWork'
import type { CheckedRecords } from '#server/records/checked'
import { keepChecked } from './keepImport'
import { dayWork } from '#server/services/dayPlans'
import { type ImportAsk, importWork } from '#server/services/imports'
import { kitWork } from '#server/services/kits'
import { type PoolAsk, poolWork } from '#server/services/pools'
import { seasonWork } from '#server/services/season'
import { keepPicture } from '#server/shares/shares'

/** What may be asked for as a job: each with what is asked, checked, and its work. */
const KINDS = {
  'day-plan': (asked: DayRequest) => dayWork(asked),
  'import': (asked: ImportAsk) => importWork(asked),
  'kit': (asked: KitRequest) => kitWork(asked),
  'pool': (asked: PoolAsk) => poolWork(asked),
  'preview': (asked: PictureAsk): LongWork => ({
    parts: [{ kind: 'picture', asked }],
    whole: parts => ({ kind: 'pictured', asked: parts as object[] }),
  }),
  'season': (asked: SeasonAsk) => seasonWork(asked),
}
export type LongKind = keyof typeof KINDS
export type LongAsk<K extends LongKind> = Parameters<(typeof KINDS)[K]>[0]

/** The work of what was asked, checked. */
export const longWork = <K extends LongKind>(kind: K, asked: LongAsk<K>): LongWork =>
  (KINDS[kind] as (a: LongAsk<K>) => LongWork)(asked)

/** Where, for whom and when a part's answer is put to use. */
interface Keeping {
  db: Database
  anglerId: string
  nowMs: number
}
/**
 * What the records are told of the answer of a part before it counts as done, and what is left of it then. A part that
 * was cut off in between is done once more: telling twice does no more than once.
 */
const KEPT: { readonly [Kind in LongKind]?: (keeping: Keeping, answer: never) => Promise<object> } = {
  import: ({ db, anglerId, nowMs }, checked: CheckedRecords) => keepChecked(db, anglerId, checked, nowMs),
  preview: ({ db }, drawn: { id: string; png: string }) => keepPicture(db, drawn),
}

/** The answer of a part as it is kept, as JSON text. */
export async function keptAnswer(kind: LongKind, keeping: Keeping, text: string): Promise<string> {
  const keep = KEPT[kind]
  return keep ? JSON.stringify(await keep(keeping, JSON.parse(text) as never)) : text
}
