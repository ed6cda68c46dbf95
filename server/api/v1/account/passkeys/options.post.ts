import { nameSchema } from '#shared/schema/account'
import { isNameTaken } from '#server/accounts/account'
import { creationOptions } from '#server/accounts/passkeys'
import { NAME_TAKEN } from '#server/utils/accountFaults'
import { addressOf } from '#server/utils/address'
import { CHALLENGES } from '#server/utils/limiters'

/** What the browser is to make a passkey by, for this device's angler under a name. */
export default defineEventHandler(async event => {
  const { name } = await validatedBody(event, nameSchema)
  const origin = originOf(event)
  await CHALLENGES.take(event, addressOf(event))
  const { anglerId } = await ensureSession(event)
  if (await isNameTaken(database(), anglerId, name)) throw faultError(409, [NAME_TAKEN])
  return creationOptions(database(), origin, anglerId, name)
})
