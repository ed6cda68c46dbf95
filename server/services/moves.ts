import { QueryTypes, type Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import { inTime } from '#server/db/inTime'
import { moveEvents } from '#server/services/sync'

/** Events, and calls, moved in one transaction: well within what a query may take. */
const AT_ONCE = { events: 1000, calls: 500 } as const

/** A move of all that an angler may keep is over by then, ms. */
const LONGEST_MS = 600_000

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

async function moveCalls({ sequelize }: Database, { from, to }: Move): Promise<number> {
  const [, count] = await sequelize.query(
    `update calls set angler_id = :to where id in (select id from calls where angler_id = :from limit :most)`,
    { replacements: { from, to, most: AT_ONCE.calls }, type: QueryTypes.UPDATE },
  )
  return count
}

/** Move what is left of one angler's records, some at a time; broken off anywhere, it goes on from there. */
async function finish(db: Database, move: Move): Promise<void> {
  while (await moveEvents(db, move.from, move.to, AT_ONCE.events));
  while (await moveCalls(db, move));
  await db.Water.update({ anglerId: move.to }, { where: { anglerId: move.from } })
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
