import { personIdSchema } from '#shared/schema/crew'
import { part } from '#server/crew/crew'

/** Parts with somebody: 204, also where they are not of the crew. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', personIdSchema)
  const { anglerId } = await accountSession(event)
  await part(database(), anglerId, id)
  return sendNoContent(event)
})
