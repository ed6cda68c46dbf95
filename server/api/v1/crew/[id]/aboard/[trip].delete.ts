import { personIdSchema, tripIdSchema } from '#shared/schema/crew'
import { putAshore } from '#server/crew/aboard'

/** Puts somebody ashore: 204; what was tapped until then stays in both logs. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', personIdSchema)
  const trip = validatedParam(event, 'trip', tripIdSchema)
  const { anglerId } = await accountSession(event)
  await putAshore(database(), anglerId, trip, id)
  return sendNoContent(event)
})
