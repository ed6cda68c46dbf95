import { handOn } from '#server/crew/aboard'
import type { Database } from '#server/db/connection'
import type { Imported } from '#shared/schema/everything'
import { type CheckedRecords, MOST_TOLD, NO_ROOM, UNKEPT } from '#server/records/checked'
import { addEvents } from '#server/records/log'
import { tellNews } from '#server/records/wake'

/**
 * Keep in an angler's log what fits of some records; what became of them. By their ids they are kept once, however
 * often.
 * @param nowMs the server's clock
 */
export async function keepChecked(
  db: Database,
  anglerId: string,
  { good, faults }: CheckedRecords,
  nowMs: number,
): Promise<Imported> {
  const events = good.map(g => g.event)
  const objected = events.length ? await addEvents(db, anglerId, events, nowMs) : new Set<string>()
  const unkept = good.filter(g => !objected || objected.has(g.event.id))
  const { code, message } = objected ? UNKEPT : NO_ROOM
  if (unkept.length < good.length) {
    await tellNews(db, anglerId)
    await handOn(db, anglerId)
  }
  return {
    kept: good.length - unkept.length,
    refused: faults.length + unkept.length,
    faults: [...faults, ...unkept.map(({ at }) => ({ at, code, message }))].slice(0, MOST_TOLD),
  }
}
