import type { H3Event } from 'h3'
import { type RateLimiterAbstract, RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { database } from './database'
import { faultError } from './validated'

/** A setting of the environment, or what is usual. */
const setting = (name: string, usual: number) => {
  const set = Number(process.env[name])
  return Number.isFinite(set) && set > 0 ? set : usual
}

/** A limit on how often something may be done, counted by a key. */
export interface Limit {
  /** Count one; a 429 with when to come again where it is one too many. */
  take: (event: H3Event, key: string) => Promise<void>
  /** The same where one more would be too many, without counting it. */
  refuseWhenFull: (event: H3Event, key: string) => Promise<void>
  /** Take one back. */
  giveBack: (key: string) => Promise<void>
}

function refuse(event: H3Event, msBeforeNext: number): never {
  setResponseHeader(event, 'retry-after', Math.ceil(msBeforeNext / 1000))
  throw faultError(429, [{ path: '', code: 'too-many', message: 'Too many requests. Try again in a moment.' }])
}

function limitBy(limiter: () => RateLimiterAbstract): Limit {
  return {
    async take(event, key) {
      try {
        await limiter().consume(key)
      } catch (refused) {
        if (!(refused instanceof RateLimiterRes)) throw refused
        refuse(event, refused.msBeforeNext)
      }
    },
    async refuseWhenFull(event, key) {
      const so = await limiter().get(key)
      if (so && so.remainingPoints <= 0) refuse(event, so.msBeforeNext)
    },
    async giveBack(key) {
      await limiter().reward(key)
    },
  }
}

/** Counted by this process: what is asked thousands of times a second. */
function limit(points: number, seconds: number): Limit {
  const limiter = new RateLimiterMemory({ points, duration: seconds })
  return limitBy(() => limiter)
}

/** Counted in the database, for all processes together; by this one alone while it is away. */
function sharedLimit(name: string, points: number, seconds: number): Limit {
  let limiter: RateLimiterAbstract | null = null
  const make = () =>
    new RateLimiterPostgres({
      storeClient: database().sequelize,
      storeType: 'sequelize',
      tableName: 'limits',
      tableCreated: true,
      keyPrefix: name,
      points,
      duration: seconds,
      insuranceLimiter: new RateLimiterMemory({ points, duration: seconds }),
    })
  return limitBy(() => (limiter ??= make()))
}

/** Requests are counted over so many seconds. */
const WINDOW_S = 10
const rate = (name: string, perSecond: number) => limit(setting(name, perSecond) * WINDOW_S, WINDOW_S)

/** Key of what is counted for all together. */
export const ALL = 'all'

/** Requests: of one device, of one address with all its devices, of all without a cookie, and of everybody. */
export const REQUESTS = {
  device: rate('PISCATOR_DEVICE_RATE', 300),
  address: rate('PISCATOR_ADDRESS_RATE', 1000),
  strangers: rate('PISCATOR_STRANGER_RATE', 1200),
  everyone: rate('PISCATOR_TOTAL_RATE', 2000),
} as const

const HOUR_S = 3600
/** Anglers made: of one address, and altogether. */
export const NEW_ANGLERS = {
  address: limit(setting('PISCATOR_NEW_ANGLERS', 1000), HOUR_S),
  everyone: limit(20 * setting('PISCATOR_NEW_ANGLERS', 1000), HOUR_S),
} as const

/** Codes tried: of one address, and altogether; a code has 100 bits, so that this is far more than is needed. */
const GUESSES_S = 600
const GUESSED = setting('PISCATOR_GUESSES', 20)
export const GUESSES = {
  address: sharedLimit('code', GUESSED, GUESSES_S),
  everyone: sharedLimit('codes', 10 * GUESSED, GUESSES_S),
} as const

/**
 * Passwords tried: of one address, for one name from wherever, and altogether. The name's own is what holds up many
 * addresses together; who is signed in already, has a passkey or a code is held up by none of it.
 */
export const SIGN_INS = {
  address: sharedLimit('sign-in', GUESSED, GUESSES_S),
  name: sharedLimit('sign-in-name', GUESSED, HOUR_S),
  everyone: sharedLimit('sign-ins', 50 * GUESSED, GUESSES_S),
} as const

/** Challenges of passkeys asked for by one address. */
export const CHALLENGES = sharedLimit('challenge', 5 * GUESSED, GUESSES_S)
