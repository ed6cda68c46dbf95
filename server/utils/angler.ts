import { v7 as newId } from 'uuid'
import type { H3Event } from 'h3'
import { makeAngler, sessionStandingOf } from '#server/services/anglers'
import { addressOf } from './address'
import { database } from './database'
import { ALL, NEW_ANGLERS } from './limiters'
import { readSession, writeSession } from './session'

interface Asking {
  id: string
  /** Whether there is a row of this angler's. */
  known: boolean
}

async function asking(event: H3Event): Promise<Asking | null> {
  const session = await readSession(event)
  if (!session) return null
  const standing = await sessionStandingOf(database(), session)
  return standing === 'ended' ? null : { id: session.anglerId, known: standing === 'known' }
}

/** The angler of this device; where it has none yet, one in its cookie alone. */
async function askingOrNew(event: H3Event): Promise<Asking> {
  const known = await asking(event)
  if (known) return known
  const id = newId()
  await writeSession(event, { anglerId: id, version: 0 })
  return { id, known: false }
}

/**
 * Who is asking: the one place where ownership is decided. An angler is a device with a signed cookie; everything an
 * angler owns is read and written through the id this gives, and through nothing the client sends. A session that was
 * signed out is nobody's.
 */
export const anglerId = async (event: H3Event): Promise<string | null> => (await asking(event))?.id ?? null

/** Whether who asks is an angler of this place: one that has kept something here. */
export const isKnownAngler = async (event: H3Event): Promise<boolean> => (await asking(event))?.known ?? false

/**
 * The same, made for a device that has none yet; in its cookie alone, so that looking leaves nothing behind. A device
 * is to be known before it sends anything: were the answer to its first sending lost, it would come again as somebody
 * else.
 */
export const knownAngler = async (event: H3Event): Promise<string> => (await askingOrNew(event)).id

/**
 * The same, with the row that what it keeps hangs on. The row can be gone while the cookie lives on (a database made
 * anew); keeping must still work.
 */
export async function ensureAngler(event: H3Event): Promise<string> {
  const { id, known } = await askingOrNew(event)
  if (!known) {
    const address = addressOf(event)
    await NEW_ANGLERS.everyone.refuseWhenFull(event, ALL)
    await NEW_ANGLERS.address.refuseWhenFull(event, address)
    // Sent many at once by a device that is new, only one makes it.
    if (await makeAngler(database(), id)) {
      await NEW_ANGLERS.everyone.take(event, ALL)
      await NEW_ANGLERS.address.take(event, address)
    }
  }
  return id
}
