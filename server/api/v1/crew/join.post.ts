import { joinSchema } from '#shared/schema/crew'
import { join } from '#server/crew/crew'
import { INVITATION_GONE } from '#server/utils/accountFaults'
import { addressOf } from '#server/utils/address'
import { GUESSES } from '#server/utils/limiters'

const SELF = { path: 'token', code: 'self', message: 'That is your own invitation. Send it to somebody.' }
const FULL = { path: '', code: 'full', message: 'One of you has as many people as a crew holds. Part with one first.' }

/** Goes along by an invitation: 204; both show each other their days from then on, until either changes it. */
export default defineEventHandler(async event => {
  const { token } = await validatedBody(event, joinSchema)
  await GUESSES.address.take(event, addressOf(event))
  const { anglerId } = await accountSession(event)
  const how = await join(database(), anglerId, token)
  if (how === 'unknown') throw faultError(404, [INVITATION_GONE])
  if (how === 'self') throw faultError(409, [SELF])
  if (how === 'full') throw faultError(409, [FULL])
  return sendNoContent(event)
})
