import { deviceIdSchema } from '#shared/schema/account'
import { endSessionOf } from '#server/accounts/sessions'

/** Signs one of the angler's devices out, this one or another: 204, also where it is not there. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', deviceIdSchema)
  const { anglerId, id: here } = await ensureSession(event)
  await endSessionOf(database(), anglerId, id)
  if (id === here) endSession(event)
  return sendNoContent(event)
})
