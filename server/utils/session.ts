import { createHash } from 'node:crypto'
import {
  type H3Event,
  type SessionConfig,
  clearSession,
  getCookie,
  getRequestProtocol,
  unsealSession,
  useSession,
} from 'h3'

/** Who a device is: the angler it belongs to, and the version of that angler's sessions it was given. */
export interface DeviceSession {
  anglerId: string
  version: number
}

const DAY_S = 60 * 60 * 24
/** As long as browsers keep a cookie at all. */
const MAX_AGE_S = 400 * DAY_S

/**
 * How this installation's cookie is called: by its own secret, so that two installations on one host, whose ports
 * browsers do not tell apart, never take each other's cookie.
 */
export const cookieName = (secret: string) =>
  `piscator-${createHash('sha256').update(`cookie:${secret}`).digest('hex').slice(0, 10)}`

function config(event: H3Event): SessionConfig {
  const password = useRuntimeConfig(event).session.password
  return {
    password,
    name: cookieName(password),
    maxAge: MAX_AGE_S,
    cookie: {
      httpOnly: true,
      sameSite: 'lax',
      path: '/',
      // Over plain HTTP on a network of one's own a secure cookie would never come back.
      secure: getRequestProtocol(event, { xForwardedProto: true }) === 'https',
    },
  }
}

/**
 * The device's session as its cookie gives it, or null; a cookie that was tampered with gives none. Reading gives out
 * no cookie: an empty one that arrives late would take the place of the one that another answer has just given.
 */
export async function readSession(event: H3Event): Promise<DeviceSession | null> {
  const settings = config(event)
  const sealed = getCookie(event, settings.name!)
  if (!sealed) return null
  try {
    const { data } = await unsealSession(event, settings, sealed)
    const { anglerId, version = 0 } = (data ?? {}) as Partial<DeviceSession>
    return anglerId ? { anglerId, version } : null
  } catch {
    return null
  }
}

export async function writeSession(event: H3Event, session: DeviceSession): Promise<void> {
  const held = await useSession<Partial<DeviceSession>>(event, config(event))
  await held.update({ ...session })
}

export const endSession = (event: H3Event) => clearSession(event, config(event))
