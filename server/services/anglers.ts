import { createHash, randomBytes } from 'node:crypto'
import type { Database } from '#server/db/connection'
import { QueryTypes } from 'sequelize'
import { inTime } from '#server/db/inTime'
import { beginMove } from '#server/records/moves'

/** What a session is: good and known, good with nothing kept yet, or ended by a signing out since. */
export type SessionStanding = 'known' | 'new' | 'ended'

export async function sessionStandingOf(
  { Angler }: Database,
  s: { anglerId: string; version: number },
): Promise<SessionStanding> {
  const row = await Angler.findByPk(s.anglerId, { attributes: ['sessionVersion'], raw: true })
  if (!row) return 'new'
  return row.sessionVersion === s.version ? 'known' : 'ended'
}

/** The row of an angler, made where it is missing; whether it was. */
export async function makeAngler({ sequelize }: Database, id: string): Promise<boolean> {
  const made = await sequelize.query('insert into anglers (id) values (:id) on conflict do nothing returning 1', {
    replacements: { id },
    type: QueryTypes.SELECT,
  })
  return made.length > 0
}

/** End every session of an angler, on every device; also where nothing of it was kept, and only cookies know it. */
export async function signOut(db: Database, id: string): Promise<void> {
  await db.sequelize.query(
    `insert into anglers (id, session_version) values (:id, 1)
     on conflict (id) do update set session_version = anglers.session_version + 1`,
    { replacements: { id } },
  )
}

/** Letters and figures that cannot be taken for one another (Crockford's base 32), a power of two of them. */
const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ'
/** Characters of a code: 100 bits, in groups of five to write down. */
const LENGTH = 20
const GROUP = 5

/** A code as it is compared: without its dashes and spaces, with letters that are read for figures put right. */
export function plainCode(code: string): string {
  return code.toUpperCase().replace(/[\s-]/g, '').replace(/O/g, '0').replace(/[IL]/g, '1')
}

const hashOf = (code: string) =>
  createHash('sha256')
    .update(`recovery:${plainCode(code)}`)
    .digest('hex')

/**
 * A new recovery code for an angler, to be written down; the one before is void. Only its hash is kept: with 100 random
 * bits there is nothing to guess.
 */
export async function newRecoveryCode({ Angler }: Database, id: string): Promise<string> {
  const characters = [...randomBytes(LENGTH)].map(b => ALPHABET[b % ALPHABET.length])
  const code = characters.join('').replace(new RegExp(`(.{${GROUP}})(?=.)`, 'g'), '$1-')
  await Angler.update({ recoveryHash: hashOf(code) }, { where: { id } })
  return code
}

/**
 * The angler a code belongs to, or null. That what the device kept before under another name moves along is noted in
 * the same breath; `continueMoves` does it.
 * @param from the angler the device was until now, or null
 */
export async function recover(
  db: Database,
  code: string,
  from: string | null,
): Promise<{ anglerId: string; version: number } | null> {
  const done = db.sequelize.transaction(async transaction => {
    const row = await db.Angler.findOne({ where: { recoveryHash: hashOf(code) }, transaction })
    if (!row) return null
    if (from && from !== row.id) await beginMove(db, { from, to: row.id }, transaction)
    return { anglerId: row.id, version: row.sessionVersion }
  })
  return inTime(done)
}
