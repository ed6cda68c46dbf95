import { QueryTypes, type Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'

/** Events, and bytes of their bodies. */
export type Amount = { events: number; bytes: number }

/** What one angler may keep. */
export const QUOTA: Amount = { events: 200_000, bytes: 400_000_000 }

/**
 * Take the turn of anglers: what is added to one angler is added in turns. A sequence number is given out before its
 * row can be seen, and a device that read past a number still under way would never hear of it. Several turns are taken
 * in the order of their ids, so that no two wait for each other.
 * @returns what each has kept so far
 */
export async function takeTurn(
  { sequelize }: Database,
  anglers: readonly string[],
  transaction: Transaction,
): Promise<Amount[]> {
  const rows = await sequelize.query<{ events: string; bytes: string }>(
    'select events_kept as events, event_bytes as bytes from anglers where id in (:anglers) order by id for update',
    { replacements: { anglers }, transaction, type: QueryTypes.SELECT },
  )
  return rows.map(r => ({ events: Number(r.events), bytes: Number(r.bytes) }))
}

/** Add to what an angler has kept, or take from it; its turn is taken. */
export const addUp = ({ sequelize }: Database, anglerId: string, by: Amount, transaction: Transaction) =>
  sequelize.query(
    'update anglers set events_kept = events_kept + :events, event_bytes = event_bytes + :bytes where id = :anglerId',
    { replacements: { anglerId, ...by }, transaction },
  )
