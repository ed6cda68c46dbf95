import { checkedKit } from '#server/services/kits'

/** Most bytes of a kit: 2,000 scenes of some 600 bytes. */
const MOST_BYTES = 1536 * 1024

/** The few that cover the rest: 200 with the contract's answer, in pieces where it takes long; 422 per fault. */
export default defineEventHandler(async event => {
  const input = await longBody(event, MOST_BYTES)
  return workedOutAtLength(event, 'kit', asker => checkedKit(input, asker))
})
