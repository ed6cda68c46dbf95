import { type PoolShare, type PoolSum, poolFault } from '#core/season-learning/pool'
import { type Asker, FaultyError, chunk } from '#server/ranking/chunks'
import type { LongWork } from '#server/ranking/longWork'
import { pieces } from '#shared/pieces'

/** Shares added up between two others' requests. */
const AT_ONCE = 500
const ANOTHER = 'This share is of another version of the engine than the first.'

export interface PoolAsk {
  shares: PoolShare[]
}

/** The shares of a pool, checked; throws a `FaultyError` where they are none. */
export async function checkedPool(input: unknown, asker: Asker): Promise<PoolAsk> {
  const asked = await chunk<PoolAsk>({ kind: 'check-pool', asked: input }, asker)
  const fault = poolFault(asked.shares)
  if (fault) throw new FaultyError([{ path: `shares.${fault.at}.engine`, code: fault.code, message: ANOTHER }])
  return asked
}

/** The work of a pool: its shares added up, then what they come to. */
export const poolWork = ({ shares }: PoolAsk): LongWork => ({
  parts: pieces(shares, AT_ONCE).map(some => ({ kind: 'add-shares', asked: some })),
  whole: sums => ({ kind: 'pool', asked: sums as PoolSum[] }),
})
