import { Op } from 'sequelize'
import type { Database } from '#server/db/connection'
import { inTime } from '#server/db/inTime'
import type { EventRow } from '#server/db/models'
import type { SyncEvent } from '#shared/schema/sync'
import { AT_ONCE } from '#shared/sync'
import { addEvents } from './log'
import type { Amount } from './turn'

const eventOut = (row: EventRow): SyncEvent => ({
  id: row.id,
  kind: row.kind as SyncEvent['kind'],
  recordId: row.recordId,
  at: row.at.toISOString(),
  ...(row.version > 1 ? { version: row.version } : {}),
  body: row.body as SyncEvent['body'],
})

export type SyncResult =
  | { kind: 'quota' }
  | {
      kind: 'synced'
      /** Ids of what the database will never keep as it is. */
      objected: ReadonlySet<string>
      events: SyncEvent[]
      cursor: string
      more: boolean
    }

/**
 * The exchange of `exchanged`, given up after as long as an answer may take: a database that is frozen inside its
 * transaction holds nobody longer.
 */
export const syncEvents = (...asked: Parameters<typeof exchanged>): Promise<SyncResult> => inTime(exchanged(...asked))

/**
 * Take an angler's events in and give out what came since the cursor, but for those just sent.
 * @param nowMs the server's clock
 */
async function exchanged(
  db: Database,
  anglerId: string,
  events: readonly SyncEvent[],
  cursor: string | null,
  nowMs: number,
  quota?: Amount,
): Promise<SyncResult> {
  const objected = events.length ? await addEvents(db, anglerId, events, nowMs, quota) : new Set<string>()
  if (!objected) return { kind: 'quota' }
  // What is kept as it was sent is known there; what was held to the present is told, so that the device has it so too.
  const sentAt = new Map(events.map(e => [e.id, Date.parse(e.at)]))
  const rows = await db.EventRow.findAll({
    where: { anglerId, seq: { [Op.gt]: cursor ?? '0' } },
    order: [['seq', 'ASC']],
    limit: AT_ONCE + 1,
    raw: true,
  })
  const page = rows.slice(0, AT_ONCE)
  return {
    kind: 'synced',
    objected,
    events: page.filter(r => sentAt.get(r.id) !== r.at.getTime()).map(eventOut),
    cursor: page.at(-1)?.seq ?? cursor ?? '0',
    more: rows.length > AT_ONCE,
  }
}
