import { createHash, webcrypto } from 'node:crypto'
import { type H3Event, deleteCookie, getCookie, getRequestProtocol, setCookie } from 'h3'
import * as Iron from 'iron-webcrypto'
import type { DeviceSession } from '#server/accounts/sessions'

const DAY_S = 60 * 60 * 24
/** As long as browsers keep a cookie at all. */
const MAX_AGE_S = 400 * DAY_S
/** A cookie older than this is given out anew when the device next introduces itself, so that none in use runs out. */
const RENEW_S = DAY_S

/** What a cookie holds, sealed. */
interface Sealed {
  /** The session's: it stays when the cookie is given out anew. */
  id: string
  /** When it was given out, ms since 1970. */
  createdAt: number
  data: Partial<Omit<DeviceSession, 'id'>>
}

/**
 * How this installation's cookie is called: by its own secret, so that two installations on one host, whose ports
 * browsers do not tell apart, never take each other's cookie.
 */
export const cookieName = (secret: string) =>
  `piscator-${createHash('sha256').update(`cookie:${secret}`).digest('hex').slice(0, 10)}`

/** Over HTTPS browsers hold a cookie of this name to be secure and of this host alone (RFC 6265bis, 4.1.3.2). */
const HOST_PREFIX = '__Host-'

const isHttps = (event: H3Event) => getRequestProtocol(event, { xForwardedProto: true }) === 'https'

/** Secrets that open cookies, the newest first: it alone seals them. */
function secrets(event: H3Event): string[] {
  const { password, older } = useRuntimeConfig(event).session
  return [password, ...older.split(',').map(s => s.trim())].filter(s => s.length > 0)
}

/** Names a device's cookie may have come under, with the secret of each; what would be given out now first. */
function names(event: H3Event): { name: string; secret: string }[] {
  const prefixes = isHttps(event) ? [HOST_PREFIX, ''] : ['']
  return secrets(event).flatMap(secret => prefixes.map(p => ({ name: p + cookieName(secret), secret })))
}

/** The same interface; its types and the package's differ in what may hold bytes. */
const CRYPTO = webcrypto as unknown as Parameters<typeof Iron.seal>[0]
const ironSettings = (secret: string) => ({ ...Iron.defaults, ttl: MAX_AGE_S * 1000, password: secret })

async function opened(sealed: string, secret: string): Promise<Sealed | null> {
  try {
    const value = (await Iron.unseal(CRYPTO, sealed, secret, ironSettings(secret))) as Sealed
    return Date.now() - value.createdAt < MAX_AGE_S * 1000 ? value : null
  } catch {
    return null
  }
}

interface Held {
  session: DeviceSession
  /** Whether it should be given out anew: it has grown old, or the secret or its name has changed since. */
  stale: boolean
}

async function read(event: H3Event): Promise<Held | null> {
  for (const [i, { name, secret }] of names(event).entries()) {
    const cookie = getCookie(event, name)
    const value = cookie ? await opened(cookie, secret) : null
    const { anglerId, version = 0 } = value?.data ?? {}
    if (!value || !anglerId) continue
    return {
      session: { id: value.id, anglerId, version },
      stale: i > 0 || Date.now() - value.createdAt > RENEW_S * 1000,
    }
  }
  return null
}

/** What was read of a request's cookie: opening it once is enough. */
interface Context {
  held?: Promise<Held | null>
}
const held = (event: H3Event): Promise<Held | null> => ((event.context as Context).held ??= read(event))

/**
 * The device's session as its cookie gives it, or null; a cookie that was tampered with gives none. Reading gives out
 * no cookie: one that arrives late would take the place of the one that another answer has just given.
 */
export const readSession = async (event: H3Event): Promise<DeviceSession | null> => (await held(event))?.session ?? null

const cookieSettings = (event: H3Event) => ({
  httpOnly: true,
  sameSite: 'lax' as const,
  path: '/',
  // Over plain HTTP on a network of one's own a secure cookie would never come back.
  secure: isHttps(event),
})

export async function writeSession(event: H3Event, session: DeviceSession): Promise<void> {
  const [now, ...before] = names(event)
  const { id, ...data } = session
  const value: Sealed = { id, createdAt: Date.now(), data }
  const sealed = await Iron.seal(CRYPTO, value, now!.secret, ironSettings(now!.secret))
  setCookie(event, now!.name, sealed, { ...cookieSettings(event), maxAge: MAX_AGE_S })
  for (const { name } of before) if (getCookie(event, name)) deleteCookie(event, name, cookieSettings(event))
  const context = event.context as Context
  context.held = Promise.resolve({ session, stale: false })
}

/** Give a device's cookie out anew where it has grown old, so that no device that is used becomes a stranger. */
export async function renewSession(event: H3Event): Promise<void> {
  const mine = await held(event)
  if (mine?.stale) await writeSession(event, mine.session)
}

export function endSession(event: H3Event): void {
  for (const { name } of names(event)) if (getCookie(event, name)) deleteCookie(event, name, cookieSettings(event))
}
