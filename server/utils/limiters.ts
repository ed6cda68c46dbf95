import { createHash } from 'node:crypto'
import type { H3Event } from 'h3'
import { type RateLimiterAbstract, RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { tellNews } from '#server/records/wake'
import { database } from './database'
import { newsLine } from './news'
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

/** How a limit is counted: so many points in so many seconds. */
type Counting = (name: string, points: number, seconds: number) => Limit

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

/** Counted by this process alone: what it bears itself. */
const ownLimit: Counting = (_name, points, seconds) => {
  const limiter = new RateLimiterMemory({ points, duration: seconds })
  return limitBy(() => limiter)
}

/** A count in the database, for all processes together; made when it is first asked. */
function inDatabase(name: string, points: number, seconds: number, insurance?: RateLimiterAbstract) {
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
      ...(insurance ? { insuranceLimiter: insurance } : {}),
    })
  return () => (limiter ??= make())
}

/** Counted in the database at once; by this process alone while it is away. */
const sharedLimit: Counting = (name, points, seconds) =>
  limitBy(inDatabase(name, points, seconds, new RateLimiterMemory({ points, duration: seconds })))

/** What a key may use, as a share of its points, before other processes are told; how often they are told, ms. */
const QUIET = 0.1
const TELL_MS = 250

/** What is counted of whom for all processes: nothing that tells who it is. */
const nameless = (key: string) => createHash('sha256').update(`limit:${key}`).digest('base64url').slice(0, 22)

/** Under this processes tell one another of limits that are reached. */
const REACHED = 'limit'

/**
 * Counted by each process, and in the database too where a key is busy: who asks now and then costs nothing, and who
 * asks much is held to one limit by all processes together, some hundred requests late. By this one alone while the
 * database is away.
 */
function busyLimit(name: string, points: number, seconds: number): Limit {
  const here = new RateLimiterMemory({ points, duration: seconds })
  const everywhere = inDatabase(name, points, seconds)
  const untold = new Map<string, number>()
  /** Keys that are refused here, and until when, ms: told once. */
  const reached = new Map<string, number>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let hears = false
  // Blocked for no time at all would be for ever.
  async function block(key: string, untilMs: number): Promise<void> {
    const ms = untilMs - Date.now()
    if (ms > 0) await here.block(key, ms / 1000)
  }
  /** Hear of limits that were reached at another process. */
  function hear(event: H3Event): void {
    if (hears) return
    hears = true
    newsLine(event).listen(REACHED, told => {
      const [of, key, untilMs] = told.split(':')
      if (of === name) void block(key!, Number(untilMs))
    })
  }
  function note(key: string, count: number): void {
    untold.set(key, (untold.get(key) ?? 0) + count)
    timer ??= setTimeout(() => void tell(), TELL_MS).unref()
  }
  async function tell(): Promise<void> {
    timer = undefined
    for (const [key, untilMs] of reached) if (untilMs < Date.now()) reached.delete(key)
    const counts = [...untold]
    untold.clear()
    for (const [key, count] of counts) {
      try {
        await everywhere().consume(key, count)
      } catch (refused) {
        if (!(refused instanceof RateLimiterRes)) continue
        const untilMs = Date.now() + refused.msBeforeNext
        await block(key, untilMs)
        await tellNews(database(), REACHED, `${name}:${key}:${untilMs}`).catch(() => {})
      }
    }
  }
  return {
    ...limitBy(() => here),
    async take(event, who) {
      hear(event)
      const key = nameless(who)
      const so = await here.consume(key).catch((refused: RateLimiterRes) => {
        if (!reached.has(key)) {
          reached.set(key, Date.now() + refused.msBeforeNext)
          note(key, 1)
        }
        return refuse(event, refused.msBeforeNext)
      })
      const quiet = Math.floor(points * QUIET)
      // The first that is told brings what was not told before it.
      if (so.consumedPoints > quiet) note(key, so.consumedPoints === quiet + 1 ? so.consumedPoints : 1)
    },
  }
}

/** Requests are counted over so many seconds. */
const WINDOW_S = 10
const rate = (name: string, perSecond: number, by: Counting) => by(name, setting(name, perSecond) * WINDOW_S, WINDOW_S)

/** Key of what is counted for all together. */
export const ALL = 'all'

/**
 * Requests: of one device and of one address with all its devices, at all processes; of all without a cookie and of
 * everybody, at this one, which bears no more.
 */
export const REQUESTS = {
  device: rate('PISCATOR_DEVICE_RATE', 300, busyLimit),
  address: rate('PISCATOR_ADDRESS_RATE', 1000, busyLimit),
  strangers: rate('PISCATOR_STRANGER_RATE', 1200, ownLimit),
  everyone: rate('PISCATOR_TOTAL_RATE', 2000, ownLimit),
} as const

const HOUR_S = 3600
const NEW = setting('PISCATOR_NEW_ANGLERS', 1000)
/** Anglers made: of one address, and altogether. */
export const NEW_ANGLERS = {
  address: sharedLimit('new-anglers', NEW, HOUR_S),
  everyone: sharedLimit('new-anglers-all', 20 * NEW, HOUR_S),
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
