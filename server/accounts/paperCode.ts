import { createHash, randomBytes } from 'node:crypto'
import type { Database } from '#server/db/connection'

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

/** The angler a code belongs to, or null. */
export async function anglerOfCode({ Angler }: Database, code: string): Promise<string | null> {
  const row = await Angler.findOne({ where: { recoveryHash: hashOf(code) }, attributes: ['id'], raw: true })
  return row?.id ?? null
}
