import { Op, QueryTypes, type Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import type { EventRow } from '#server/db/models'
import type { SyncEvent } from '#shared/schema/sync'
import { AT_ONCE } from '#shared/sync'

/** What one angler may keep: so many events, and so many bytes of them. */
export const EVENT_QUOTA = { events: 200_000, bytes: 200_000_000 } as const

/** A clock that runs ahead would win over every later change: nothing is taken to have happened later than this, ms. */
const AHEAD_MS = 5 * 60_000

const eventOut = (row: EventRow): SyncEvent => ({
  id: row.id,
  kind: row.kind as SyncEvent['kind'],
  recordId: row.recordId,
  at: row.at.toISOString(),
  body: row.body as SyncEvent['body'],
})

async function hasRoom({ sequelize }: Database, anglerId: string, quota: { events: number; bytes: number }) {
  const [row] = await sequelize.query<{ events: string; bytes: string }>(
    'select count(*) as events, coalesce(sum(bytes), 0) as bytes from events where angler_id = :anglerId',
    { replacements: { anglerId }, type: QueryTypes.SELECT },
  )
  return Number(row!.events) < quota.events && Number(row!.bytes) < quota.bytes
}

/**
 * Add events, each once however often it is sent. Additions of one angler take turns: a sequence number is given out
 * before its row can be seen, and a device that read past a number still under way would never hear of it.
 */
async function add(db: Database, anglerId: string, events: readonly SyncEvent[], nowMs: number): Promise<void> {
  const rows = events.map(e => ({
    anglerId,
    id: e.id,
    kind: e.kind,
    recordId: e.recordId,
    at: new Date(Math.min(Date.parse(e.at), nowMs + AHEAD_MS)),
    body: e.body,
    bytes: JSON.stringify(e.body).length,
  }))
  await db.sequelize.transaction(async transaction => {
    await takeTurn(db, anglerId, transaction)
    await db.EventRow.bulkCreate(rows, { ignoreDuplicates: true, transaction })
  })
}

const takeTurn = ({ sequelize }: Database, anglerId: string, transaction: Transaction) =>
  sequelize.query('select 1 from anglers where id = :anglerId for update', { replacements: { anglerId }, transaction })

export type SyncResult = { kind: 'quota' } | { kind: 'synced'; events: SyncEvent[]; cursor: string; more: boolean }

/**
 * Take an angler's events in and give out what came since the cursor, but for those just sent.
 * @param nowMs the server's clock
 */
export async function syncEvents(
  db: Database,
  anglerId: string,
  events: readonly SyncEvent[],
  cursor: string | null,
  nowMs: number,
  quota: { events: number; bytes: number } = EVENT_QUOTA,
): Promise<SyncResult> {
  if (events.length) {
    if (!(await hasRoom(db, anglerId, quota))) return { kind: 'quota' }
    await add(db, anglerId, events, nowMs)
  }
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
    events: page.filter(r => sentAt.get(r.id) !== r.at.getTime()).map(eventOut),
    cursor: page.at(-1)?.seq ?? cursor ?? '0',
    more: rows.length > AT_ONCE,
  }
}

/** Give one angler's events to another: they arrive anew, so that devices that have read on hear of them. */
export async function moveEvents({ sequelize }: Database, from: string, to: string, transaction: Transaction) {
  await sequelize.query(
    `with moved as (delete from events where angler_id = :from returning id, kind, record_id, at, body, bytes, seq)
     insert into events (angler_id, id, kind, record_id, at, body, bytes)
     select :to, id, kind, record_id, at, body, bytes from moved order by seq
     on conflict do nothing`,
    { replacements: { from, to }, transaction },
  )
}
