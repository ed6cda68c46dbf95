import type { Database } from '#server/db/connection'
import { inTime } from '#server/db/inTime'
import { rows } from '#server/db/rows'
import { project } from '#server/records/present'
import { addUp, takeTurn } from '#server/records/turn'
import { tellNews } from '#server/records/wake'

/** Events handed on in one transaction. */
const AT_ONCE = 500

/** One way along which a trip's records go: from one angler's log to another's. */
interface Way {
  tripId: string
  from: string
  to: string
  kinds: string[]
  seq: string
}

/**
 * Take somebody of the crew aboard a trip: from now on each device writes into its own angler's log, and every tap goes
 * into both. What the trip is, its owner says alone, so that nobody's words are overwritten by another's.
 */
export async function takeAboard(db: Database, ownerId: string, tripId: string, memberId: string): Promise<boolean> {
  const made = await rows(
    db,
    `insert into aboard (trip_id, from_angler, to_angler, kinds)
     select $tripId, f, t, k from (values
       ($ownerId::uuid, $memberId::uuid, array['trip', 'tap']),
       ($memberId::uuid, $ownerId::uuid, array['tap'])) ways (f, t, k)
     where exists (select from records
       where angler_id = $ownerId and kind = 'trip' and id = $tripId and body is not null)
     on conflict (trip_id, from_angler, to_angler) do update set kinds = excluded.kinds returning 1`,
    { tripId, ownerId, memberId },
  )
  return made.length > 0
}

/** Who is aboard an angler's trip with a device of their own. */
export const listAboard = (db: Database, ownerId: string): Promise<{ tripId: string; id: string }[]> =>
  rows(
    db,
    `select trip_id as "tripId", to_angler as id from aboard where from_angler = $ownerId and 'trip' = any (kinds)`,
    { ownerId },
  )

/** Put somebody ashore, or go oneself: nothing goes either way any more; what went stays. */
export const putAshore = (db: Database, anglerId: string, tripId: string, otherId: string) =>
  rows(
    db,
    `delete from aboard where trip_id = $tripId
       and from_angler in ($anglerId, $otherId) and to_angler in ($anglerId, $otherId)`,
    { tripId, anglerId, otherId },
  )

/** Hand some of a way's events on, in both turns; under the ids they have, so that each is there once. */
async function handSome(db: Database, { tripId, from, to, kinds, seq }: Way): Promise<boolean> {
  return db.sequelize.transaction(async transaction => {
    await takeTurn(db, [from, to], transaction)
    const coming = await rows<{ id: string; seq: string }>(
      db,
      // Nobody corrects what another tapped: a record goes on from where it was made, which came first.
      `select id, seq from events e where angler_id = $from and seq > $seq and kind = any ($kinds)
         and not exists (select from events x where x.angler_id = $to and x.record_id = e.record_id and x.seq <
           (select min(y.seq) from events y where y.angler_id = $from and y.record_id = e.record_id))
         and (record_id = $tripId or body ->> 'tripId' = $tripText
           or (body is null and kind = 'tap' and record_id in
             (select id from records where angler_id = $to and kind = 'tap' and body ->> 'tripId' = $tripText)))
       order by seq limit ${AT_ONCE}`,
      { from, to, seq, kinds, tripId, tripText: tripId },
      transaction,
    )
    if (!coming.length) return false
    const added = await rows<{ id: string; recordId: string; bytes: number }>(
      db,
      `insert into events (angler_id, id, kind, record_id, at, version, body, bytes)
       select cast($to as uuid), id, kind, record_id, at, version, body, bytes from events
       where angler_id = $from and id = any (cast($ids as uuid[])) order by seq
       on conflict do nothing returning id, record_id as "recordId", bytes`,
      { from, to, ids: coming.map(e => e.id) },
      transaction,
    )
    if (added.length) await tellNews(db, to, '', transaction)
    const gone = await project(db, to, added, transaction)
    const bytes = added.reduce((sum, a) => sum + a.bytes, 0)
    await addUp(db, to, { events: added.length - gone.events, bytes: bytes - gone.bytes }, transaction)
    await rows(
      db,
      'update aboard set seq = $last where trip_id = $tripId and from_angler = $from and to_angler = $to',
      { last: coming.at(-1)!.seq, tripId, from, to },
      transaction,
    )
    return coming.length === AT_ONCE
  })
}

/**
 * Hand on what an angler's trips with others have new, in either direction. Noted how far each way has come, it goes on
 * from there where it was broken off, and does nothing twice.
 */
export const handOn = (db: Database, anglerId: string): Promise<void> => inTime(handAll(db, anglerId))

async function handAll(db: Database, anglerId: string): Promise<void> {
  const ways = await rows<Way>(
    db,
    `select trip_id as "tripId", from_angler as "from", to_angler as "to", kinds, seq from aboard
     where from_angler = $anglerId or to_angler = $anglerId`,
    { anglerId },
  )
  for (const way of ways) {
    let from = way
    while (await handSome(db, from)) {
      const [now] = await rows<{ seq: string }>(
        db,
        'select seq from aboard where trip_id = $tripId and from_angler = $from and to_angler = $to',
        { tripId: way.tripId, from: way.from, to: way.to },
      )
      if (!now) break
      from = { ...way, seq: now.seq }
    }
  }
}
