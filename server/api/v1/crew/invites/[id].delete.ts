import { inviteIdSchema } from '#shared/schema/crew'
import { withdraw } from '#server/crew/crew'

/** Takes an invitation back: 204, also where it is not there. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', inviteIdSchema)
  const { anglerId } = await accountSession(event)
  await withdraw(database(), anglerId, id)
  return sendNoContent(event)
})
