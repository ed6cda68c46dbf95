import { joinSchema } from '#shared/schema/crew'
import { inviterOf } from '#server/crew/crew'
import { INVITATION_GONE } from '#server/utils/accountFaults'
import { addressOf } from '#server/utils/address'
import { GUESSES } from '#server/utils/limiters'

/** Who asks along by an invitation, before one goes. */
export default defineEventHandler(async event => {
  const { token } = await validatedBody(event, joinSchema)
  await GUESSES.address.take(event, addressOf(event))
  const name = await inviterOf(database(), token)
  if (name === null) throw faultError(404, [INVITATION_GONE])
  return { name }
})
