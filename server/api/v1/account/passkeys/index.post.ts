import type { RegistrationResponseJSON } from '@simplewebauthn/server'
import { passkeySchema } from '#shared/schema/account'
import { accountOf, setName } from '#server/accounts/account'
import { addPasskey } from '#server/accounts/passkeys'
import { NAME_TAKEN, PASSKEY_REFUSED } from '#server/utils/accountFaults'

/** Keeps the passkey the browser made: 204. An angler without a name takes one with it, and is an account from then. */
export default defineEventHandler(async event => {
  const { name, response } = await validatedBody(event, passkeySchema)
  const origin = originOf(event)
  const { anglerId } = await ensureSession(event)
  const db = database()
  const asJson = response as unknown as RegistrationResponseJSON
  if (!(await addPasskey(db, origin, anglerId, deviceWords(event), asJson))) throw faultError(422, [PASSKEY_REFUSED])
  const account = await accountOf(db, anglerId)
  if (!account.name && !(await setName(db, anglerId, name))) throw faultError(409, [NAME_TAKEN])
  await signInAs(event, anglerId)
  return sendNoContent(event)
})
