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

/** The same, made on the spot for a device that has none yet. */
export async function ensureAngler(event: H3Event): Promise<string> {
  const id = await anglerId(event) ?? randomUUID()
  // The row can be gone while the cookie lives on (a database made anew); keeping must still work.
  await database().Angler.findOrCreate({ where: { id }, defaults: { id } })
  await setUserSession(event, { user: { anglerId: id } })
  return id
}
