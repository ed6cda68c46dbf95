import { planInPortions } from '#server/services/dayPlans'
import { daySchema } from '#shared/schema/day'

/** Most bytes of a day: 48 hours of forecast and eight lures with all their finishes. */
const MOST_BYTES = 128 * 1024

/** The day's changes: 200 with the contract's answer, in pieces where it takes long; 422 with one entry per fault. */
export default defineEventHandler(async event => {
  const asked = validated(daySchema, await workableBody(event, MOST_BYTES))
  return answeredInPieces(event, signal => planInPortions(asked, signal))
})
