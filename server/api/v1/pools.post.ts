import { checkedPool } from '#server/services/pools'

/** Most bytes of shares. */
const MOST_BYTES = 4 * 1024 * 1024

/** What many logs say together: 200 with the prior they give to each angler; 422 with one entry per fault. */
export default defineEventHandler(async event => {
  const input = await longBody(event, MOST_BYTES)
  return workedOutAtLength(event, 'pool', asker => checkedPool(input, asker))
})
