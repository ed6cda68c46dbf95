import { requestOptions } from '#server/accounts/passkeys'
import { addressOf } from '#server/utils/address'
import { CHALLENGES } from '#server/utils/limiters'

/** What the browser is to ask its passkeys by. */
export default defineEventHandler(async event => {
  const origin = originOf(event)
  await CHALLENGES.take(event, addressOf(event))
  return requestOptions(database(), origin)
})
