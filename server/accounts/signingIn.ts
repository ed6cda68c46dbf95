import { v7 as newId } from 'uuid'
import type { Database } from '#server/db/connection'
import { inTime } from '#server/db/inTime'
import { rows } from '#server/db/rows'
import { beginMove } from '#server/records/moves'
import { type DeviceKind, type DeviceSession, beginSession, endSessionOf } from './sessions'

/** Who a device was until it signed in. */
export interface Before {
  anglerId: string
  sessionId: string
}

/** The row of an angler, made where it is missing; whether it was. */
export async function makeAngler(db: Database, id: string): Promise<boolean> {
  return (
    (await rows(db, 'insert into anglers (id) values ($id) on conflict do nothing returning id', { id })).length > 0
  )
}

/** Whether an angler can be signed in to by a name, a password or a passkey: what it has is nobody else's to take. */
export async function hasAccount(db: Database, id: string): Promise<boolean> {
  const found = await rows(
    db,
    `select 1 from anglers a where a.id = $id and (a.name is not null or a.password_hash is not null
       or exists (select 1 from passkeys p where p.angler_id = a.id))`,
    { id },
  )
  return found.length > 0
}

/**
 * A session of an angler for a device, a new one at every signing in, so that nobody who knew the one before knows this
 * one. What the device kept under no account joins the account, and goes over with `continueMoves`; what belongs to
 * another account stays there.
 * @returns null where the angler is gone
 */
export async function signIn(
  db: Database,
  anglerId: string,
  before: Before | null,
  kind: DeviceKind,
): Promise<DeviceSession | null> {
  const joins = before && before.anglerId !== anglerId && !(await hasAccount(db, before.anglerId))
  const done = db.sequelize.transaction(async transaction => {
    const [angler] = await rows<{ version: number }>(
      db,
      'select session_version as version from anglers where id = $anglerId and erase_at is null for share',
      { anglerId },
      transaction,
    )
    if (!angler) return null
    const session = { id: newId(), anglerId, version: angler.version }
    await beginSession(db, session, kind, transaction)
    if (before) await endSessionOf(db, before.anglerId, before.sessionId, transaction)
    if (joins) await beginMove(db, { from: before.anglerId, to: anglerId }, transaction)
    return session
  })
  return inTime(done)
}
