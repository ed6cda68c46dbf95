import { createHash } from 'node:crypto'
import type { H3Event } from 'h3'
import { addressOf } from './address'
import { ALL, SIGN_INS } from './limiters'

const hashOf = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 24)

/**
 * Try a way of signing in, within the limits; only what fails counts towards them.
 * @param name what is tried for, or null where an answer is good for one angler alone
 */
export async function signingIn<T>(event: H3Event, name: string | null, attempt: () => Promise<T>): Promise<T> {
  const limits = [
    [SIGN_INS.address, addressOf(event)],
    // What nobody can guess is not held up by those who guess.
    ...(name === null
      ? []
      : ([
          [SIGN_INS.name, hashOf(name)],
          [SIGN_INS.everyone, ALL],
        ] as const)),
  ] as const
  // Counted before, so that many at once are not all let through; given back where it was right.
  for (const [limit, key] of limits) await limit.take(event, key)
  const result = await attempt()
  if (result) for (const [limit, key] of limits) await limit.giveBack(key)
  return result
}
