import { QueryTypes, type Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import { inTime } from '#server/db/inTime'
import { project } from './present'
import { addUp, takeTurn } from './turn'

/** Events moved in one transaction: well within what a query may take. */
const AT_ONCE = 1000

/** A move of all that an angler may keep is over by then, ms. */
const LONGEST_MS = 600_000

/** What a device was sending while its records moved came too late for them, and goes after them for so long. */
const LATE = '10 minutes'

interface Move {
  from: string
  to: string
}

/** Note that one angler's records go to another; what was on its way to the first goes on to the second. */
export async function beginMove({ sequelize }: Database, { from, to }: Move, transaction: Transaction): Promise<void> {
  const options = { replacements: { from, to }, transaction }
  await sequelize.query('delete from moves where from_angler = :to and to_angler = :from', options)
  await sequelize.query('update moves set to_angler = :to where to_angler = :from and done_at is null', options)
  await sequelize.query(
    `insert into moves (from_angler, to_angler) values (:from, :to)
     on conflict (from_angler) do update set to_angler = :to, done_at = null`,
    options,
  )
}

/** Let a move that was done a moment ago go on: something more came. */
export const reopenMove = ({ sequelize }: Database, from: string, transaction: Transaction) =>
  sequelize.query(
    `update moves set done_at = null where from_angler = :from and done_at > now() - interval '${LATE}'`,
    { replacements: { from }, transaction },
  )

/**
 * Give some of one angler's events to another, in both their turns: they arrive anew, so that devices that have read on
 * hear of them.
 * @returns how many went
 */
async function moveEvents(db: Database, { from, to }: Move): Promise<number> {
  return db.sequelize.transaction(async transaction => {
    await takeTurn(db, [from, to], transaction)
    // One statement each, by ids: a planner that knows nothing yet of these rows would join them by trying all pairs.
    const query = <Row extends object>(sql: string, bind: object = {}) =>
      db.sequelize.query<Row>(sql, { bind: { from, ...bind }, transaction, type: QueryTypes.SELECT })
    const moved = await query<{ id: string; bytes: number }>(
      `select id, bytes from events where angler_id = $from order by seq limit ${AT_ONCE}`,
    )
    if (!moved.length) return 0
    const ids = moved.map(m => m.id)
    const come = await query<{ id: string; recordId: string; bytes: number }>(
      `insert into events (angler_id, id, kind, record_id, at, version, body, bytes)
       select cast($to as uuid), id, kind, record_id, at, version, body, bytes
       from events where angler_id = $from and id = any (cast($ids as uuid[])) order by seq
       on conflict do nothing returning id, record_id as "recordId", bytes`,
      { to, ids },
    )
    await query('delete from records where angler_id = $from and event_id = any (cast($ids as uuid[]))', { ids })
    await query('delete from events where angler_id = $from and id = any (cast($ids as uuid[]))', { ids })
    const bytesOf = (some: readonly { bytes: number }[]) => some.reduce((sum, m) => sum + m.bytes, 0)
    const gone = await project(db, to, come, transaction)
    await addUp(db, from, { events: -moved.length, bytes: -bytesOf(moved) }, transaction)
    await addUp(db, to, { events: come.length - gone.events, bytes: bytesOf(come) - gone.bytes }, transaction)
    return moved.length
  })
}

/** Move what is left of one angler's records, some at a time; broken off anywhere, it goes on from there. */
async function finish(db: Database, move: Move): Promise<void> {
  while (await moveEvents(db, move));
  await db.sequelize.query(
    `update moves set done_at = now() where from_angler = :from and to_angler = :to
     and not exists (select from events where angler_id = :from)`,
    { replacements: { ...move } },
  )
}

/** Moves of this process that are under way: a second asking waits for the first. */
const underWay = new Map<string, Promise<void>>()

const pending = ({ sequelize }: Database, anglerId: string) =>
  sequelize.query<Move>(
    `select from_angler as "from", to_angler as "to" from moves
     where (to_angler = :anglerId or from_angler = :anglerId) and done_at is null`,
    { replacements: { anglerId }, type: QueryTypes.SELECT },
  )

/**
 * Go on with every move to or from an angler that is not done.
 * @param waitMs after so long it is no more waited for, and goes on by itself
 */
export const continueMoves = (db: Database, anglerId: string, waitMs = LONGEST_MS): Promise<void> =>
  inTime(continued(db, anglerId), waitMs)

async function continued(db: Database, anglerId: string): Promise<void> {
  for (const move of await pending(db, anglerId)) {
    const key = `${move.from} ${move.to}`
    let work = underWay.get(key)
    if (!work) {
      work = finish(db, move).finally(() => underWay.delete(key))
      underWay.set(key, work)
    }
    await work
  }
}
