import { personIdSchema, showSchema } from '#shared/schema/crew'
import { show } from '#server/crew/crew'
import { NOT_OF_CREW } from '#server/utils/accountFaults'

/** Shows somebody of the crew so much and no more: 204. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', personIdSchema)
  const { may } = await validatedBody(event, showSchema)
  const { anglerId } = await accountSession(event)
  if (!(await show(database(), anglerId, id, may))) throw faultError(404, [NOT_OF_CREW])
  return sendNoContent(event)
})
