import type { H3Event } from 'h3'
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
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
}

function refuse(event: H3Event, msBeforeNext: number): never {
  setResponseHeader(event, 'retry-after', Math.ceil(msBeforeNext / 1000))
  throw faultError(429, [{ path: '', code: 'too-many', message: 'Too many requests. Try again in a moment.' }])
}

function limit(points: number, seconds: number): Limit {
  const limiter = new RateLimiterMemory({ points, duration: seconds })
  return {
    async take(event, key) {
      try {
        await limiter.consume(key)
      } catch (refused) {
        if (!(refused instanceof RateLimiterRes)) throw refused
        refuse(event, refused.msBeforeNext)
      }
    },
    async refuseWhenFull(event, key) {
      const so = await limiter.get(key)
      if (so && so.remainingPoints <= 0) refuse(event, so.msBeforeNext)
    },
  }
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
export const GUESSES = {
  address: limit(setting('PISCATOR_GUESSES', 20), GUESSES_S),
  everyone: limit(10 * setting('PISCATOR_GUESSES', 20), GUESSES_S),
} as const
