import { passwordSignInSchema } from '#shared/schema/account'
import { anglerOfPassword } from '#server/accounts/account'
import { nameKey } from '#server/accounts/names'
import { WRONG_PASSWORD } from '#server/utils/accountFaults'
import { signingIn } from '#server/utils/signIns'

/**
 * Makes this device one of the angler's whose name and password these are: 204, with what it kept under no account
 * added. What is wrong of the two is not said, and takes as long.
 */
export default defineEventHandler(async event => {
  const { name, password } = await validatedBody(event, passwordSignInSchema)
  const owner = await signingIn(event, nameKey(name), () => anglerOfPassword(database(), name, password))
  if (!owner || !(await signInAs(event, owner))) throw faultError(422, [WRONG_PASSWORD])
  return sendNoContent(event)
})
