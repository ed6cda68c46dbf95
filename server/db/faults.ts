import { BaseError, ConnectionAcquireTimeoutError, ConnectionError, DatabaseError } from 'sequelize'
import { OutOfTimeError } from './inTime'

/** What a fault of the database means to whoever asked: a status, a code for programs, words for anglers. */
export interface DatabaseFault {
  status: number
  code: string
  message: string
  /** Seconds after which asking again makes sense; absent where it does not. */
  retryAfterS?: number
}

const AWAY: DatabaseFault = {
  status: 503,
  code: 'database-away',
  message: 'Your records cannot be reached just now. Try again in a moment.',
  retryAfterS: 3,
}
const BUSY: DatabaseFault = {
  ...AWAY,
  code: 'database-busy',
  message: 'Your records are busy just now. Try again in a moment.',
}
const READ_ONLY: DatabaseFault = {
  status: 503,
  code: 'database-read-only',
  message: 'Your records can be read but not written just now. What you keep stays on your device.',
  retryAfterS: 60,
}
const FULL: DatabaseFault = {
  status: 507,
  code: 'database-full',
  message: 'There is no room for more records just now. What you keep stays on your device.',
  retryAfterS: 300,
}
const UNREADY: DatabaseFault = {
  status: 503,
  code: 'database-unready',
  message:
    'Your records are not set up as they should be. Whoever runs this Piscator has to bring its database up to date.',
  retryAfterS: 60,
}
const BROKEN: DatabaseFault = {
  status: 500,
  code: 'database-fault',
  message: 'Something went wrong with your records. What you typed is still on your screen; try again.',
}

/** By SQLSTATE, whole or by its class (first two characters); PostgreSQL 15 documentation, appendix A. */
const BY_SQLSTATE: Readonly<Record<string, DatabaseFault>> = {
  '08': AWAY,
  '57P01': AWAY,
  '57P02': AWAY,
  '57P03': AWAY,
  '53300': BUSY,
  '57014': BUSY,
  '55P03': BUSY,
  '40': BUSY,
  '25006': READ_ONLY,
  '53': FULL,
  '54': FULL,
  '42': UNREADY,
  '3D': UNREADY,
  '28': UNREADY,
  // A call speaks of a finish the catalogue's table does not hold: it was not filled.
  '23503': UNREADY,
}
/** By the name Node gives a fault of the connection. */
const LOST = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EHOSTUNREACH']

const codeOf = (error: unknown): string => {
  const { code } = (error ?? {}) as { code?: unknown }
  return typeof code === 'string' ? code : ''
}

/**
 * The fault behind an error, or null where it is none of the database's. Looks at classes and codes, never at words.
 */
export function databaseFault(error: unknown): DatabaseFault | null {
  if (error instanceof ConnectionAcquireTimeoutError) return BUSY
  if (error instanceof OutOfTimeError) return AWAY
  const own = error instanceof BaseError ? codeOf((error as { original?: unknown }).original ?? error) : codeOf(error)
  if (LOST.includes(own)) return AWAY
  const known = BY_SQLSTATE[own] ?? BY_SQLSTATE[own.slice(0, 2)]
  if (known && (error instanceof BaseError || /^[0-9A-Z]{5}$/.test(own))) return known
  if (error instanceof ConnectionError) return AWAY
  // The driver drops a connection that closes under a query without a code of its own.
  if (error instanceof DatabaseError) return own ? BROKEN : AWAY
  return error instanceof BaseError ? BROKEN : null
}
