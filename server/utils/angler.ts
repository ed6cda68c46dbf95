import { randomUUID } from 'node:crypto'
import type { H3Event } from 'h3'
import { database } from './database'

/**
 * Who is asking: the one place where ownership is decided. An angler is a device with a signed cookie; everything an angler owns is read and
 * written through the id this gives, and through nothing the client sends.
 */
export async function anglerId(event: H3Event): Promise<string | null> {
  const session = await getUserSession(event)
  return (session.user as { anglerId?: string } | undefined)?.anglerId ?? null
}

/**
 * The same, made for a device that has none yet; in its cookie alone, so that looking leaves nothing behind. A device is to be known before
 * it sends anything: were the answer to its first sending lost, it would come again as somebody else.
 */
export async function knownAngler(event: H3Event): Promise<string> {
  const id = await anglerId(event) ?? randomUUID()
  await setUserSession(event, { user: { anglerId: id } })
  return id
}

/** The same, with the row that what it keeps hangs on. */
export async function ensureAngler(event: H3Event): Promise<string> {
  const id = await knownAngler(event)
  // The row can be gone while the cookie lives on (a database made anew); keeping must still work.
  await database().Angler.findOrCreate({ where: { id }, defaults: { id } })
  return id
}
