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
 * @param events ids of events that were added
 * @returns what left the log
 */
export async function project(
  { sequelize }: Database,
  anglerId: string,
  events: readonly string[],
  transaction: Transaction,
): Promise<Amount> {
  if (!events.length) return { events: 0, bytes: 0 }
  const changed = await sequelize.query<{ kind: string; id: string; made: boolean }>(
    `with latest as (
       select distinct on (kind, record_id) kind, record_id, id, at, version, body from events
       where angler_id = $anglerId and id = any (cast($events as uuid[]))
       order by kind, record_id, at desc, id desc)
     insert into records (angler_id, kind, id, event_id, at, version, body)
     select cast($anglerId as uuid), kind, record_id, id, at, version, body from latest
     on conflict (angler_id, kind, id) do update
       set event_id = excluded.event_id, at = excluded.at, version = excluded.version, body = excluded.body
       where (excluded.at, excluded.event_id) > (records.at, records.event_id)
     returning kind, id, xmax = 0 as made`,
    { bind: { anglerId, events }, transaction, type: QueryTypes.SELECT },
  )
  // Added for the first time, with one version: nothing to leave out.
  if (changed.length === events.length && changed.every(c => c.made)) return { events: 0, bytes: 0 }
  const gone = await sequelize.query<{ bytes: number }>(
    `with touched as (
       select distinct kind, record_id from events
       where angler_id = $anglerId and id = any (cast($events as uuid[]))),
     versions as (
       select e.id, row_number() over latest as version, first_value(e.body is null) over latest as taken_away
       from touched t join events e on e.angler_id = $anglerId and e.kind = t.kind and e.record_id = t.record_id
       window latest as (partition by e.kind, e.record_id order by e.at desc, e.id desc))
     delete from events e using versions v
     where e.angler_id = $anglerId and e.id = v.id
       and (v.version > ${VERSIONS_KEPT} or (v.taken_away and v.version > 1))
     returning e.bytes`,
    { bind: { anglerId, events }, transaction, type: QueryTypes.SELECT },
  )
  return { events: gone.length, bytes: gone.reduce((sum, g) => sum + g.bytes, 0) }
}
