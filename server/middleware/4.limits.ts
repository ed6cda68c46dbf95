import { createHash } from 'node:crypto'
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import { faultError } from '#server/utils/validated'

/** Requests are counted over so many seconds. */
const WINDOW_S = 10
/** A setting of the environment, or what is usual: requests a second, on average over the window. */
const perSecond = (name: string, usual: number) => {
  const set = Number(process.env[name])
  return Number.isFinite(set) && set > 0 ? set : usual
}
const limiter = (rate: number) => new RateLimiterMemory({ points: rate * WINDOW_S, duration: WINDOW_S })

const device = limiter(perSecond('PISCATOR_DEVICE_RATE', 300))
const everyone = limiter(perSecond('PISCATOR_TOTAL_RATE', 2000))

/** Who is counted: the device by its cookie, or where it has none by its address. */
const deviceKey = (cookie: string | undefined, address: string | undefined) =>
  createHash('sha256')
    .update(cookie ?? address ?? '')
    .digest('base64')

/** More than one device, or all together, may ask in a while is refused early: 429, with when to come again. */
export default defineEventHandler(async event => {
  if (!event.path.startsWith('/api/')) return
  try {
    await everyone.consume('all')
    await device.consume(deviceKey(getRequestHeader(event, 'cookie'), getRequestIP(event)))
  } catch (refused) {
    if (!(refused instanceof RateLimiterRes)) throw refused
    setResponseHeader(event, 'retry-after', Math.ceil(refused.msBeforeNext / 1000))
    throw faultError(429, [{ path: '', code: 'too-many', message: 'Too many requests. Try again in a moment.' }])
  }
})
