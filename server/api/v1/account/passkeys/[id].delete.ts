import { passkeyIdSchema } from '#shared/schema/account'
import { removeWay } from '#server/accounts/account'
import { LAST_WAY } from '#server/utils/accountFaults'

/** Takes a passkey away: 204, also where it is not there; 409 where nothing else would be left to sign in by. */
export default defineEventHandler(async event => {
  const id = validatedParam(event, 'id', passkeyIdSchema)
  const { anglerId } = await accountSession(event)
  if ((await removeWay(database(), anglerId, id)) === 'last') throw faultError(409, [LAST_WAY])
  return sendNoContent(event)
})
