import { DatabaseError, Op, QueryTypes, type Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import { inTime } from '#server/db/inTime'
import type { EventRow } from '#server/db/models'
import type { SyncEvent } from '#shared/schema/sync'
import { AT_ONCE } from '#shared/sync'

/** What one angler may keep: so many events, and so many bytes of them. */
export const EVENT_QUOTA = { events: 200_000, bytes: 200_000_000 } as const
type Quota = { events: number; bytes: number }

/** A clock that runs ahead would win over every later change: nothing is taken to have happened later than this, ms. */
const AHEAD_MS = 5 * 60_000

const eventOut = (row: EventRow): SyncEvent => ({
  id: row.id,
  kind: row.kind as SyncEvent['kind'],
  recordId: row.recordId,
  at: row.at.toISOString(),
  body: row.body as SyncEvent['body'],
})

/**
 * Take the turn of anglers: what is added to one angler is added in turns. A sequence number is given out before its
 * row can be seen, and a device that read past a number still under way would never hear of it. Several turns are taken
 * in the order of their ids, so that no two wait for each other.
 * @returns what each has kept so far
 */
async function takeTurn(
  { sequelize }: Database,
  anglers: readonly string[],
  transaction: Transaction,
): Promise<Quota[]> {
  const rows = await sequelize.query<{ events: string; bytes: string }>(
    'select events_kept as events, event_bytes as bytes from anglers where id in (:anglers) order by id for update',
    { replacements: { anglers }, transaction, type: QueryTypes.SELECT },
  )
  return rows.map(r => ({ events: Number(r.events), bytes: Number(r.bytes) }))
}

/** Add to what an angler has kept; its turn is taken. */
const addUp = ({ sequelize }: Database, anglerId: string, by: Quota, transaction: Transaction) =>
  sequelize.query(
    'update anglers set events_kept = events_kept + :events, event_bytes = event_bytes + :bytes where id = :anglerId',
    { replacements: { anglerId, ...by }, transaction },
  )

interface NewRow {
  id: string
  kind: string
  record_id: string
  at: string
  body: object | null
  bytes: number
}

const rowOf = (e: SyncEvent, nowMs: number): NewRow => ({
  id: e.id,
  kind: e.kind,
  record_id: e.recordId,
  at: new Date(Math.min(Date.parse(e.at), nowMs + AHEAD_MS)).toISOString(),
  body: e.body,
  bytes: JSON.stringify(e.body).length,
})

/** Insert rows in their order, each once however often it is sent; what of them is new. */
async function insert(
  { sequelize }: Database,
  anglerId: string,
  rows: readonly NewRow[],
  transaction: Transaction,
): Promise<Quota> {
  const added = await sequelize.query<{ bytes: number }>(
    `insert into events (angler_id, id, kind, record_id, at, body, bytes)
     select cast($anglerId as uuid), id, kind, record_id, at, body, bytes
     from jsonb_to_recordset(cast($rows as jsonb))
       as r(id uuid, kind text, record_id uuid, at timestamptz, body jsonb, bytes integer)
     on conflict do nothing returning bytes`,
    { bind: { anglerId, rows: JSON.stringify(rows) }, transaction, type: QueryTypes.SELECT },
  )
  return { events: added.length, bytes: added.reduce((s, r) => s + r.bytes, 0) }
}

/** Whether the database will never keep a row as it is: its data are not what the columns hold (SQLSTATE 22, 23). */
function isObjection(error: unknown): boolean {
  const code = error instanceof DatabaseError && (error.original as { code?: string }).code
  return typeof code === 'string' && /^2[23]/.test(code)
}

/**
 * Add events. Where the database objects to one, the others are kept all the same: it is looked for one by one.
 * @returns the ids of what will never be kept as it is, or null where there is no more room
 */
async function add(
  db: Database,
  anglerId: string,
  events: readonly SyncEvent[],
  nowMs: number,
  quota: Quota,
): Promise<ReadonlySet<string> | null> {
  const rows = events.map(e => rowOf(e, nowMs))
  return db.sequelize.transaction(async transaction => {
    const [kept] = await takeTurn(db, [anglerId], transaction)
    if (!kept || kept.events >= quota.events || kept.bytes >= quota.bytes) return null
    const inserted = (some: NewRow[]) =>
      db.sequelize.transaction({ transaction }, inner => insert(db, anglerId, some, inner))
    const objected = new Set<string>()
    const added = { events: 0, bytes: 0 }
    const count = (by: Quota) => {
      added.events += by.events
      added.bytes += by.bytes
    }
    try {
      count(await inserted(rows))
    } catch (error) {
      if (!isObjection(error)) throw error
      for (const row of rows) {
        try {
          count(await inserted([row]))
        } catch (alone) {
          if (!isObjection(alone)) throw alone
          objected.add(row.id)
        }
      }
    }
    await addUp(db, anglerId, added, transaction)
    await reopenMove(db, anglerId, transaction)
    return objected
  })
}

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
  quota: Quota = EVENT_QUOTA,
): Promise<SyncResult> {
  const objected = events.length ? await add(db, anglerId, events, nowMs, quota) : new Set<string>()
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

/** What a device was sending while its records moved came too late for them, and goes after them for so long. */
const LATE = '10 minutes'

const reopenMove = ({ sequelize }: Database, from: string, transaction: Transaction) =>
  sequelize.query(
    `update moves set done_at = null where from_angler = :from and done_at > now() - interval '${LATE}'`,
    { replacements: { from }, transaction },
  )

/**
 * Give some of one angler's events to another, in both their turns: they arrive anew, so that devices that have read on
 * hear of them.
 * @returns how many went
 */
export async function moveEvents(db: Database, from: string, to: string, most: number): Promise<number> {
  return db.sequelize.transaction(async transaction => {
    await takeTurn(db, [from, to], transaction)
    const [row] = await db.sequelize.query<Record<'gone' | 'gone_bytes' | 'come' | 'come_bytes', string>>(
      `with moved as (
         delete from events where angler_id = :from and seq <= (
           select max(seq) from (select seq from events where angler_id = :from order by seq limit :most) first_few)
         returning id, kind, record_id, at, body, bytes, seq),
       put as (
         insert into events (angler_id, id, kind, record_id, at, body, bytes)
         select :to, id, kind, record_id, at, body, bytes from moved order by seq
         on conflict do nothing returning bytes)
       select (select count(*) from moved) as gone, (select coalesce(sum(bytes), 0) from moved) as gone_bytes,
         (select count(*) from put) as come, (select coalesce(sum(bytes), 0) from put) as come_bytes`,
      { replacements: { from, to, most }, transaction, type: QueryTypes.SELECT },
    )
    const gone = Number(row!.gone)
    if (!gone) return 0
    await addUp(db, from, { events: -gone, bytes: -Number(row!.gone_bytes) }, transaction)
    await addUp(db, to, { events: Number(row!.come), bytes: Number(row!.come_bytes) }, transaction)
    return gone
  })
}
