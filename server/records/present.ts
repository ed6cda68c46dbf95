import { QueryTypes, type Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import type { Amount } from './turn'

/** Of each record so many versions stay in the log: the one that stands, and the latest before it. */
export const VERSIONS_KEPT = 8

/**
 * Bring the present records up to what some events say, in the transaction that added them: of two changes to a record
 * the later stands, of equals the greater id, as on every device. Versions that nobody can need any more leave the log:
 * all but the latest few, and of a record that was taken away every one but the taking away. A device that has read on
 * to any place hears of what stands after it all the same.
 * @param events events that were added
 * @returns what left the log
 */
export async function project(
  { sequelize }: Database,
  anglerId: string,
  events: readonly { id: string; recordId: string }[],
  transaction: Transaction,
): Promise<Amount> {
  if (!events.length) return { events: 0, bytes: 0 }
  const query = <Row extends object>(sql: string, bind: object) =>
    sequelize.query<Row>(sql, { bind: { anglerId, ...bind }, transaction, type: QueryTypes.SELECT })
  const changed = await query<{ made: boolean }>(
    `with latest as (
       select distinct on (kind, record_id) kind, record_id, id, at, version, body from events
       where angler_id = $anglerId and id = any (cast($ids as uuid[]))
       order by kind, record_id, at desc, id desc)
     insert into records (angler_id, kind, id, event_id, at, version, body)
     select cast($anglerId as uuid), kind, record_id, id, at, version, body from latest
     on conflict (angler_id, kind, id) do update
       set event_id = excluded.event_id, at = excluded.at, version = excluded.version, body = excluded.body
       where (excluded.at, excluded.event_id) > (records.at, records.event_id)
     returning xmax = 0 as made`,
    { ids: events.map(e => e.id) },
  )
  // Added for the first time, with one version: nothing to leave out.
  if (changed.length === events.length && changed.every(c => c.made)) return { events: 0, bytes: 0 }
  const gone = await query<{ id: string; bytes: number }>(
    `select id, bytes from (
       select id, bytes, row_number() over latest as version, first_value(body is null) over latest as taken_away
       from events where angler_id = $anglerId and record_id = any (cast($records as uuid[]))
       window latest as (partition by kind, record_id order by at desc, id desc)) versions
     where version > ${VERSIONS_KEPT} or (taken_away and version > 1)`,
    { records: [...new Set(events.map(e => e.recordId))] },
  )
  if (gone.length) {
    const ids = gone.map(g => g.id)
    await query('delete from events where angler_id = $anglerId and id = any (cast($ids as uuid[]))', { ids })
  }
  return { events: gone.length, bytes: gone.reduce((sum, g) => sum + g.bytes, 0) }
}
