import { createHash } from 'node:crypto'
import { v7 as newId } from 'uuid'
import type { H3Event } from 'h3'
import { type DeviceKind, type DeviceSession, sessionStandingOf } from '#server/accounts/sessions'
import { type Before, hasAccount, makeAngler, signIn } from '#server/accounts/signingIn'
import { continueMoves } from '#server/records/moves'
import { NO_ACCOUNT } from './accountFaults'
import { addressOf } from './address'
import { database } from './database'
import { ALL, NEW_ANGLERS } from './limiters'
import { logLater } from './log'
import { readSession, writeSession } from './session'
import { faultError } from './validated'

interface Asking {
  session: DeviceSession
  /** Whether there is a row of this angler's. */
  known: boolean
}

/** What a browser says it runs on: enough to tell a list of one's own devices apart. */
function deviceKindOf(event: H3Event): DeviceKind {
  const agent = getRequestHeader(event, 'user-agent') ?? ''
  if (/iPad|Tablet|Android(?!.*Mobile)/.test(agent)) return 'tablet'
  return /Mobi/.test(agent) ? 'phone' : 'computer'
}

/** Who asks; 'ended' where its session was signed out. */
async function asking(event: H3Event): Promise<Asking | 'ended' | null> {
  const session = await readSession(event)
  if (!session) return null
  const standing = await sessionStandingOf(database(), session, deviceKindOf(event))
  return standing === 'ended' ? 'ended' : { session, known: standing === 'known' }
}

export const SIGNED_OUT = { path: '', code: 'signed-out', message: 'This device was signed out.' } as const

/**
 * The angler of this device; where it has none yet, one in its cookie alone. A device that was signed out is told so
 * before it becomes somebody else: what it holds is not the next one's.
 */
async function askingOrNew(event: H3Event): Promise<Asking> {
  const known = await asking(event)
  if (known === 'ended') throw faultError(401, [SIGNED_OUT])
  if (known) return known
  const session = { id: newId(), anglerId: newId(), version: 0 }
  await writeSession(event, session)
  return { session, known: false }
}

/** The same where there is one, or null: a session that was signed out is nobody's. */
async function askingOrNobody(event: H3Event): Promise<Asking | null> {
  const known = await asking(event)
  return known === 'ended' ? null : known
}

/**
 * Who is asking: the one place where ownership is decided. An angler is whoever a device's signed cookie names;
 * everything an angler owns is read and written through the id this gives, and through nothing the client sends.
 */
export const anglerId = async (event: H3Event): Promise<string | null> =>
  (await askingOrNobody(event))?.session.anglerId ?? null

/** Whether who asks is an angler of this place: one that has kept something here. */
export const isKnownAngler = async (event: H3Event): Promise<boolean> => (await askingOrNobody(event))?.known ?? false

/** Whether this device's session was ended. */
export const isSignedOut = async (event: H3Event): Promise<boolean> => (await asking(event)) === 'ended'

/**
 * The same, made for a device that has none yet; in its cookie alone, so that looking leaves nothing behind. A device
 * is to be known before it sends anything: were the answer to its first sending lost, it would come again as somebody
 * else.
 */
export const knownAngler = async (event: H3Event): Promise<string> => (await askingOrNew(event)).session.anglerId

/**
 * The session of an angler with the row that what it keeps hangs on. The row can be gone while the cookie lives on (a
 * database made anew); keeping must still work.
 */
export async function ensureSession(event: H3Event): Promise<DeviceSession> {
  const { session, known } = await askingOrNew(event)
  if (!known) {
    const address = addressOf(event)
    await NEW_ANGLERS.everyone.refuseWhenFull(event, ALL)
    await NEW_ANGLERS.address.refuseWhenFull(event, address)
    // Sent many at once by a device that is new, only one makes it.
    if (await makeAngler(database(), session.anglerId)) {
      await NEW_ANGLERS.everyone.take(event, ALL)
      await NEW_ANGLERS.address.take(event, address)
    }
  }
  return session
}
export const ensureAngler = async (event: H3Event): Promise<string> => (await ensureSession(event)).anglerId

/** The session of an angler that can be signed in to; 409 where there is nothing to sign in by yet. */
export async function accountSession(event: H3Event): Promise<DeviceSession> {
  const session = await ensureSession(event)
  if (!(await hasAccount(database(), session.anglerId))) throw faultError(409, [NO_ACCOUNT])
  return session
}

/** What a passkey made on this device is called. */
export const deviceWords = (event: H3Event): string => `this ${deviceKindOf(event)}`

/** How long the moving of what joins an account is waited for, ms; many records go on after the answer. */
const MOVING_MS = 1500

/**
 * Make this device one of an angler's, under a session of its own; what it kept under no account joins.
 * @returns false where the angler is gone
 */
export async function signInAs(event: H3Event, anglerId: string): Promise<boolean> {
  const db = database()
  const now = await askingOrNobody(event)
  // A device that has kept nothing has nothing to bring.
  const before: Before | null = now?.known ? { anglerId: now.session.anglerId, sessionId: now.session.id } : null
  const session = await signIn(db, anglerId, before, deviceKindOf(event))
  if (!session) return false
  await writeSession(event, session)
  await continueMoves(db, anglerId, MOVING_MS).catch(logLater)
  return true
}

/** Who an angler is to its devices: enough to tell that it is another, and nothing to be it by. */
export const anglerMark = (anglerId: string): string =>
  createHash('sha256').update(`mark:${anglerId}`).digest('hex').slice(0, 16)
