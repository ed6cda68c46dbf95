import { hash, verify } from '@node-rs/argon2'
import { dictionary } from '@zxcvbn-ts/language-common'
import { nameKey } from './names'

/**
 * Argon2id, 19 MiB, two passes (OWASP Password Storage Cheat Sheet): the package's own defaults, named so that a newer
 * one changes nothing unsaid.
 */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const

/** Passwords that were seen in breaches, the commonest some 49,000 of them. */
const BREACHED: ReadonlySet<string> = new Set(dictionary['passwords-common'])

/** A password as it is compared: however a keyboard puts its letters together (RFC 8265). */
const plain = (password: string) => password.normalize('NFC')

export type Weakness = 'breached' | 'like-name' | 'repeated'

/** What is wrong with a password of the right length, or null. */
export function weaknessOf(password: string, name: string): Weakness | null {
  const low = plain(password).toLowerCase()
  // A breached one is not made better by figures or marks at its end.
  const bare = low.replace(/[^\p{L}]+$/u, '')
  if (BREACHED.has(low) || BREACHED.has(bare)) return 'breached'
  const key = nameKey(name)
  if (key.length > 2 && low.replaceAll(/\s/g, '').includes(key.replaceAll(' ', ''))) return 'like-name'
  return new Set(low).size < 5 ? 'repeated' : null
}

export const hashOf = (password: string): Promise<string> => hash(plain(password), COST)

/** The hash of nothing anybody knows: to be compared with where there is no such name, so that it takes as long. */
let nobodys: Promise<string> | null = null

/** Whether a password is the one whose hash is given; a missing hash is compared as long, and is never it. */
export async function isPassword(known: string | null, password: string): Promise<boolean> {
  nobodys ??= hashOf(crypto.randomUUID())
  const matches = await verify(known ?? (await nobodys), plain(password))
  return matches && known !== null
}
