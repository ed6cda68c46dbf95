import type { Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'
import { tellNews } from '#server/records/wake'

/** What a device's cookie says: its session, the angler, and the version of that angler's sessions it was given. */
export interface DeviceSession {
  id: string
  anglerId: string
  version: number
}

export const DEVICE_KINDS = ['phone', 'tablet', 'computer'] as const
export type DeviceKind = (typeof DEVICE_KINDS)[number]

/** What a session is: good and known, good with nothing kept yet, or ended since. */
export type SessionStanding = 'known' | 'new' | 'ended'

/** When a device was last seen is noted as often as this, s: often enough to tell today's from last week's. */
const SEEN_S = 60

/**
 * How a session stands. One of an angler that has a row gets a row itself the first time it is seen; every process asks
 * the same rows, so that an ended one is ended everywhere at once.
 */
export async function sessionStandingOf(db: Database, s: DeviceSession, kind: DeviceKind): Promise<SessionStanding> {
  const [found] = await rows<{ version: number; known: boolean; ended: boolean; old: boolean }>(
    db,
    `select a.session_version as version, s.id is not null as known,
       s.ended_at is not null or a.erase_at is not null as ended,
       s.seen_at < now() - interval '${SEEN_S} seconds' as old
     from anglers a left join sessions s on s.id = $id and s.angler_id = a.id
     where a.id = $anglerId`,
    { id: s.id, anglerId: s.anglerId },
  )
  // Asked once: a row that is made meanwhile must not look like one that was taken away.
  if (!found) return 'new'
  if (found.ended || found.version !== s.version) return 'ended'
  if (!found.known) await beginSession(db, s, kind)
  else if (found.old) await rows(db, 'update sessions set seen_at = now() where id = $id', { id: s.id })
  return 'known'
}

/** Give a session its row; nothing happens where it has one. */
export const beginSession = (db: Database, s: DeviceSession, kind: DeviceKind, transaction?: Transaction) =>
  rows(
    db,
    'insert into sessions (id, angler_id, kind) values ($id, $anglerId, $kind) on conflict do nothing',
    { id: s.id, anglerId: s.anglerId, kind },
    transaction,
  )

export interface Device {
  id: string
  name: string
  kind: DeviceKind
  createdAt: Date
  seenAt: Date
}

/** The devices an angler is signed in on, the one seen last first. */
export const listDevices = (db: Database, anglerId: string): Promise<Device[]> =>
  rows<Device>(
    db,
    `select id, name, kind, created_at as "createdAt", seen_at as "seenAt" from sessions
     where angler_id = $anglerId and ended_at is null order by seen_at desc, id`,
    { anglerId },
  )

/** Name a device; whether it is the angler's. */
export async function nameDevice(db: Database, anglerId: string, id: string, name: string): Promise<boolean> {
  const named = await rows(
    db,
    'update sessions set name = $name where id = $id and angler_id = $anglerId and ended_at is null returning id',
    { anglerId, id, name },
  )
  return named.length > 0
}

/** Sign a device out; whether it was the angler's and signed in. */
export async function endSessionOf(
  db: Database,
  anglerId: string,
  id: string,
  transaction?: Transaction,
): Promise<boolean> {
  const ended = await rows(
    db,
    `update sessions set ended_at = now() where id = $id and angler_id = $anglerId and ended_at is null returning id`,
    { anglerId, id },
    transaction,
  )
  if (ended.length) await tellNews(db, anglerId, '', transaction)
  return ended.length > 0
}

/**
 * End every session of an angler, on every device; also where nothing of it was kept, and only cookies know it.
 * @param by the session that does so, which hears of it by its answer
 */
export async function signOutEverywhere(db: Database, anglerId: string, by = ''): Promise<void> {
  await db.sequelize.transaction(async transaction => {
    await rows(
      db,
      `insert into anglers (id, session_version) values ($anglerId, 1)
       on conflict (id) do update set session_version = anglers.session_version + 1`,
      { anglerId },
      transaction,
    )
    await rows(
      db,
      'update sessions set ended_at = now() where angler_id = $anglerId and ended_at is null',
      { anglerId },
      transaction,
    )
    await tellNews(db, anglerId, by, transaction)
  })
}

/** End every other session of an angler: what a new password asks for. */
export async function endOtherSessions(db: Database, anglerId: string, id: string): Promise<void> {
  await rows(
    db,
    'update sessions set ended_at = now() where angler_id = $anglerId and id <> $id and ended_at is null',
    {
      anglerId,
      id,
    },
  )
  await tellNews(db, anglerId, id)
}
