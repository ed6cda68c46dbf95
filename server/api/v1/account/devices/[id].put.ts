import { deviceIdSchema, deviceNameSchema } from '#shared/schema/account'
import { nameDevice } from '#server/accounts/sessions'
import { NO_DEVICE } from '#server/utils/accountFaults'

/** Names one of the angler's devices: 204. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', deviceIdSchema)
  const { name } = await validatedBody(event, deviceNameSchema)
  const { anglerId } = await ensureSession(event)
  if (!(await nameDevice(database(), anglerId, id, name))) throw faultError(404, [NO_DEVICE])
  return sendNoContent(event)
})
