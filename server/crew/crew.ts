import { createHash, randomBytes } from 'node:crypto'
import { v7 as newId } from 'uuid'
import { type SeenDay, type SharingStep, dayAt } from '#shared/crew'
import type { TapRecord, TripRecord, WaterRecord } from '#shared/schema/record'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'

/** How long an invitation is good, days, and what both show each other at first. */
const INVITE_DAYS = 7
const AT_FIRST: SharingStep = 'days'
/** Invitations one angler may have open, and people in a crew: far more than a boat holds. */
export const MOST_INVITES = 20
export const MOST_PEOPLE = 50
/** Days of somebody that are shown at once. */
const MOST_DAYS = 60

const hashOf = (token: string) => createHash('sha256').update(`invite:${token}`).digest('hex')

export interface Person {
  id: string
  name: string
  /** What the angler shows them, and they the angler. */
  may: SharingStep
  shows: SharingStep
  since: Date
}

export const listCrew = (db: Database, anglerId: string): Promise<Person[]> =>
  rows<Person>(
    db,
    `select a.id, coalesce(a.name, '') as name, mine.may, theirs.may as shows, mine.since
     from crew mine
     join crew theirs on theirs.angler_id = mine.member_id and theirs.member_id = mine.angler_id
     join anglers a on a.id = mine.member_id and a.erase_at is null
     where mine.angler_id = $anglerId order by a.name, a.id`,
    { anglerId },
  )

export interface Invite {
  id: string
  until: Date
}
export const listInvites = (db: Database, anglerId: string): Promise<Invite[]> =>
  rows<Invite>(
    db,
    `select id, expires_at as until from invites where angler_id = $anglerId and expires_at > now()
     order by expires_at, id`,
    { anglerId },
  )

/** Ask somebody along: a word good once, told here alone; null where too many are open. */
export async function invite(db: Database, anglerId: string): Promise<(Invite & { token: string }) | null> {
  await rows(db, 'delete from invites where expires_at < now()')
  const token = randomBytes(16).toString('base64url')
  const [made] = await rows<Invite>(
    db,
    `insert into invites (id, token_hash, angler_id, expires_at)
     select $id, $hash, $anglerId, now() + interval '${INVITE_DAYS} days'
     where (select count(*) from invites where angler_id = $anglerId) < ${MOST_INVITES}
     returning id, expires_at as until`,
    { id: newId(), hash: hashOf(token), anglerId },
  )
  return made ? { ...made, token } : null
}

export const withdraw = (db: Database, anglerId: string, id: string) =>
  rows(db, 'delete from invites where id = $id and angler_id = $anglerId', { id, anglerId })

/** Who asks somebody along by a word; null where it is not, or no longer, good. */
export async function inviterOf(db: Database, token: string): Promise<string | null> {
  const [found] = await rows<{ name: string }>(
    db,
    `select a.name from invites i join anglers a on a.id = i.angler_id and a.erase_at is null
     where i.token_hash = $hash and i.expires_at > now()`,
    { hash: hashOf(token) },
  )
  return found?.name ?? null
}

/** Go along: both are in each other's crew from then on, and the word is used up. */
export async function join(
  db: Database,
  memberId: string,
  token: string,
): Promise<'joined' | 'unknown' | 'self' | 'full'> {
  return db.sequelize.transaction(async transaction => {
    const [asked] = await rows<{ anglerId: string }>(
      db,
      `select i.angler_id as "anglerId" from invites i join anglers a on a.id = i.angler_id and a.erase_at is null
       where i.token_hash = $hash and i.expires_at > now() for update of i`,
      { hash: hashOf(token) },
      transaction,
    )
    if (!asked) return 'unknown'
    const { anglerId } = asked
    if (anglerId === memberId) return 'self'
    const [{ most }] = (await rows<{ most: number }>(
      db,
      `select coalesce(max(n), 0)::integer as most from
         (select count(*) as n from crew where angler_id in ($anglerId, $memberId) group by angler_id) counted`,
      { anglerId, memberId },
      transaction,
    )) as [{ most: number }]
    if (most >= MOST_PEOPLE) return 'full'
    await rows(db, 'delete from invites where token_hash = $hash', { hash: hashOf(token) }, transaction)
    await rows(
      db,
      `insert into crew (angler_id, member_id, may)
       values ($anglerId, $memberId, $may), ($memberId, $anglerId, $may) on conflict do nothing`,
      { anglerId, memberId, may: AT_FIRST },
      transaction,
    )
    return 'joined'
  })
}

/** Show somebody of the crew this much; whether they are of it. */
export async function show(db: Database, anglerId: string, memberId: string, may: SharingStep): Promise<boolean> {
  const changed = await rows(
    db,
    'update crew set may = $may where angler_id = $anglerId and member_id = $memberId returning 1',
    { anglerId, memberId, may },
  )
  return changed.length > 0
}

/** Part with somebody: neither sees anything of the other any more. */
export const part = (db: Database, anglerId: string, memberId: string) =>
  rows(
    db,
    `with ashore as (
       delete from aboard where from_angler in ($anglerId, $memberId) and to_angler in ($anglerId, $memberId))
     delete from crew where (angler_id = $anglerId and member_id = $memberId)
       or (angler_id = $memberId and member_id = $anglerId)`,
    { anglerId, memberId },
  )

/** What an angler shows another; nothing where they are not of one crew. */
export async function stepOf(db: Database, anglerId: string, readerId: string): Promise<SharingStep> {
  const [found] = await rows<{ may: SharingStep }>(
    db,
    `select c.may from crew c join anglers a on a.id = c.angler_id and a.erase_at is null
     where c.angler_id = $anglerId and c.member_id = $readerId`,
    { anglerId, readerId },
  )
  return found?.may ?? 'nothing'
}

/** Whether somebody is of an angler's crew. */
export const isOfCrew = async (db: Database, anglerId: string, memberId: string): Promise<boolean> =>
  (await rows(db, 'select 1 from crew where angler_id = $anglerId and member_id = $memberId', { anglerId, memberId }))
    .length > 0

/** An angler's days as another sees them, the latest first. */
export async function daysSeen(db: Database, anglerId: string, readerId: string, nowMs: number): Promise<SeenDay[]> {
  const may = await stepOf(db, anglerId, readerId)
  if (may === 'nothing') return []
  const trips = await rows<{ id: string; body: TripRecord }>(
    db,
    `select id, body from records where angler_id = $anglerId and kind = 'trip' and body is not null
     order by body ->> 'startedAt' desc, id limit ${MOST_DAYS}`,
    { anglerId },
  )
  const taps = await rows<{ body: TapRecord }>(
    db,
    `select body from records where angler_id = $anglerId and kind = 'tap' and body is not null
       and body ->> 'tripId' = any ($trips)`,
    { anglerId, trips: trips.map(t => t.id) },
  )
  const waters = await rows<{ id: string; body: WaterRecord }>(
    db,
    `select id, body from records where angler_id = $anglerId and kind = 'water' and body is not null`,
    { anglerId },
  )
  return trips.flatMap(({ id, body: trip }) => {
    const own = taps.flatMap(t => (t.body.tripId === id ? [t.body] : []))
    const water = waters.find(w => w.id === trip.waterId)?.body ?? null
    return dayAt(may, { id, trip, taps: own, water }, nowMs) ?? []
  })
}
