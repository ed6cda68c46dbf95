import { DatabaseError, QueryTypes, type Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import type { SyncEvent } from '#shared/schema/sync'
import { reopenMove } from './moves'
import { project } from './present'
import { type Amount, QUOTA, addUp, takeTurn } from './turn'

/** A clock that runs ahead would win over every later change: nothing is taken to have happened later than this, ms. */
const AHEAD_MS = 5 * 60_000

interface NewRow {
  id: string
  kind: string
  record_id: string
  at: string
  version: number
  body: object | null
  bytes: number
}

const rowOf = (e: SyncEvent, nowMs: number): NewRow => ({
  id: e.id,
  kind: e.kind,
  record_id: e.recordId,
  at: new Date(Math.min(Date.parse(e.at), nowMs + AHEAD_MS)).toISOString(),
  version: e.version ?? 1,
  body: e.body,
  bytes: JSON.stringify(e.body).length,
})

/** Insert rows in their order, each once however often it is sent, and bring the records up to them; what is new. */
async function insert(
  db: Database,
  anglerId: string,
  rows: readonly NewRow[],
  transaction: Transaction,
): Promise<Amount> {
  const added = await db.sequelize.query<{ id: string; recordId: string; bytes: number }>(
    `insert into events (angler_id, id, kind, record_id, at, version, body, bytes)
     select cast($anglerId as uuid), id, kind, record_id, at, version, body, bytes
     from jsonb_to_recordset(cast($rows as jsonb))
       as r(id uuid, kind text, record_id uuid, at timestamptz, version smallint, body jsonb, bytes integer)
     on conflict do nothing returning id, record_id as "recordId", bytes`,
    { bind: { anglerId, rows: JSON.stringify(rows) }, transaction, type: QueryTypes.SELECT },
  )
  const gone = await project(db, anglerId, added, transaction)
  return { events: added.length - gone.events, bytes: added.reduce((s, r) => s + r.bytes, 0) - gone.bytes }
}

/** Whether the database will never keep a row as it is: its data are not what the columns hold (SQLSTATE 22, 23). */
function isObjection(error: unknown): boolean {
  const code = error instanceof DatabaseError && (error.original as { code?: string }).code
  return typeof code === 'string' && /^2[23]/.test(code)
}

/**
 * Add events to an angler's log, and to its records with it. Where the database objects to one, the others are kept all
 * the same: it is looked for one by one. What only takes away is taken even where there is no more room.
 * @param nowMs the server's clock
 * @returns the ids of what will never be kept as it is, or null where there is no more room
 */
export async function addEvents(
  db: Database,
  anglerId: string,
  events: readonly SyncEvent[],
  nowMs: number,
  quota: Amount = QUOTA,
): Promise<ReadonlySet<string> | null> {
  const rows = events.map(e => rowOf(e, nowMs))
  return db.sequelize.transaction(async transaction => {
    const [kept] = await takeTurn(db, [anglerId], transaction)
    const isFull = !kept || kept.events >= quota.events || kept.bytes >= quota.bytes
    if (isFull && events.some(e => e.body !== null)) return null
    const inserted = (some: NewRow[]) =>
      db.sequelize.transaction({ transaction }, inner => insert(db, anglerId, some, inner))
    const objected = new Set<string>()
    const added = { events: 0, bytes: 0 }
    const count = (by: Amount) => {
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
