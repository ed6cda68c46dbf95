import { nameSchema } from '#shared/schema/account'
import { setName } from '#server/accounts/account'
import { NAME_TAKEN } from '#server/utils/accountFaults'

/** Changes the angler's name: 204; 409 where somebody has it. */
export default defineEventHandler(async event => {
  const { name } = await validatedBody(event, nameSchema)
  const { anglerId } = await accountSession(event)
  if (!(await setName(database(), anglerId, name))) throw faultError(409, [NAME_TAKEN])
  return sendNoContent(event)
})
