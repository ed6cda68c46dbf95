import { checkedSeason } from '#server/services/season'

/** Most bytes of a log. */
const MOST_BYTES = 2 * 1024 * 1024

/** What a log says: 200 with the contract's answer, in pieces where it takes long; 422 with one entry per fault. */
export default defineEventHandler(async event => {
  const input = await longBody(event, MOST_BYTES)
  return workedOutAtLength(event, 'season', asker => checkedSeason(input, asker))
})
