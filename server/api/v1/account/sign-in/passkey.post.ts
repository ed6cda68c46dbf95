import type { AuthenticationResponseJSON } from '@simplewebauthn/server'
import { passkeySignInSchema } from '#shared/schema/account'
import { anglerOfPasskey } from '#server/accounts/passkeys'
import { PASSKEY_UNKNOWN } from '#server/utils/accountFaults'
import { signingIn } from '#server/utils/signIns'

/** Makes this device one of the angler's whose passkey answered: 204, with what it kept under no account added. */
export default defineEventHandler(async event => {
  const { response } = await validatedBody(event, passkeySignInSchema)
  const origin = originOf(event)
  const asJson = response as unknown as AuthenticationResponseJSON
  const owner = await signingIn(event, null, () => anglerOfPasskey(database(), origin, asJson))
  if (!owner || !(await signInAs(event, owner))) throw faultError(422, [PASSKEY_UNKNOWN])
  return sendNoContent(event)
})
