import { checkedDay } from '#server/services/dayPlans'

/** Most bytes of a day: 48 hours of forecast and eight lures with all their finishes. */
const MOST_BYTES = 128 * 1024

/** The day's changes: 200 with the contract's answer, in pieces where it takes long; 422 with one entry per fault. */
export default defineEventHandler(async event => {
  const input = await longBody(event, MOST_BYTES)
  return workedOutAtLength(event, 'day-plan', asker => checkedDay(input, asker))
})
