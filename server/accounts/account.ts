import { UniqueConstraintError } from 'sequelize'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'
import { nameKey } from './names'
import { hashOf, isPassword } from './passwords'

export interface Passkey {
  id: string
  name: string
  createdAt: Date
  usedAt: Date | null
}

/** What an angler can be signed in to by. */
export interface Ways {
  passkeys: Passkey[]
  password: boolean
  code: boolean
}

export interface Account extends Ways {
  /** Null while it is a device's alone. */
  name: string | null
}

export async function accountOf(db: Database, anglerId: string): Promise<Account> {
  const [angler] = await rows<{ name: string | null; password: boolean; code: boolean }>(
    db,
    `select name, password_hash is not null as password, recovery_hash is not null as code
     from anglers where id = $anglerId`,
    { anglerId },
  )
  const passkeys = await rows<Passkey>(
    db,
    `select id, name, created_at as "createdAt", used_at as "usedAt" from passkeys
     where angler_id = $anglerId order by created_at, id`,
    { anglerId },
  )
  return { name: null, password: false, code: false, ...angler, passkeys }
}

/** The name of an angler's account, or null where it is none. */
export async function nameOf({ Angler }: Database, anglerId: string): Promise<string | null> {
  return (await Angler.findByPk(anglerId, { attributes: ['name'], raw: true }))?.name ?? null
}

/** Give an angler a name, or another; false where somebody has it. */
export async function setName({ Angler }: Database, anglerId: string, name: string): Promise<boolean> {
  try {
    await Angler.update({ name: name.trim(), nameKey: nameKey(name) }, { where: { id: anglerId } })
    return true
  } catch (error) {
    if (error instanceof UniqueConstraintError) return false
    throw error
  }
}

/** Whether a name is somebody else's. */
export async function isNameTaken(db: Database, anglerId: string, name: string): Promise<boolean> {
  const found = await rows(db, 'select 1 from anglers where name_key = $key and id <> $anglerId', {
    key: nameKey(name),
    anglerId,
  })
  return found.length > 0
}

export async function setPassword({ Angler }: Database, anglerId: string, password: string): Promise<void> {
  await Angler.update({ passwordHash: await hashOf(password) }, { where: { id: anglerId } })
}

/** The angler whose name and password are given, or null, after as long. */
export async function anglerOfPassword(db: Database, name: string, password: string): Promise<string | null> {
  const [found] = await rows<{ id: string; hash: string | null }>(
    db,
    'select id, password_hash as hash from anglers where name_key = $key and erase_at is null',
    { key: nameKey(name) },
  )
  return (await isPassword(found?.hash ?? null, password)) ? found!.id : null
}

/** Whether a password is the angler's; one without any has none to be asked for. */
export async function isPasswordOf({ Angler }: Database, anglerId: string, password: string): Promise<boolean> {
  const row = await Angler.findByPk(anglerId, { attributes: ['passwordHash'], raw: true })
  return isPassword(row?.passwordHash ?? null, password)
}

/**
 * Take one of an angler's ways of signing in away.
 * @param passkeyId the passkey's id, or null for the password
 * @returns 'last' where nothing else would be left to come back by
 */
export async function removeWay(
  db: Database,
  anglerId: string,
  passkeyId: string | null,
): Promise<'removed' | 'unknown' | 'last'> {
  return db.sequelize.transaction(async transaction => {
    // Two taken away at once would each be sure of the other.
    await rows(db, 'select 1 from anglers where id = $anglerId for update', { anglerId }, transaction)
    const { passkeys, password, code } = await accountOf(db, anglerId)
    const has = passkeyId === null ? password : passkeys.some(p => p.id === passkeyId)
    if (!has) return 'unknown'
    if (passkeys.length + Number(password) + Number(code) < 2) return 'last'
    if (passkeyId === null)
      await rows(db, 'update anglers set password_hash = null where id = $anglerId', { anglerId }, transaction)
    else
      await rows(
        db,
        'delete from passkeys where id = $passkeyId and angler_id = $anglerId',
        { passkeyId, anglerId },
        transaction,
      )
    return 'removed'
  })
}
