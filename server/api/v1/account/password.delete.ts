import { removeWay } from '#server/accounts/account'
import { LAST_WAY } from '#server/utils/accountFaults'

/** Takes the password away: 204; 409 where nothing else would be left to sign in by. */
export default defineEventHandler(async event => {
  const { anglerId } = await accountSession(event)
  if ((await removeWay(database(), anglerId, null)) === 'last') throw faultError(409, [LAST_WAY])
  return sendNoContent(event)
})
