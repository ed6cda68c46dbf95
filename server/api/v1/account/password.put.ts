import { passwordSchema } from '#shared/schema/account'
import { accountOf, isPasswordOf, setName, setPassword } from '#server/accounts/account'
import { weaknessOf } from '#server/accounts/passwords'
import { endOtherSessions } from '#server/accounts/sessions'
import { NAME_MISSING, NAME_TAKEN, WEAK, WRONG_CURRENT } from '#server/utils/accountFaults'
import { signingIn } from '#server/utils/signIns'

/**
 * Sets or changes the password: 204. An angler without a name takes one with it, and is an account from then on; one
 * that has a password says it first, and every other device is signed out.
 */
export default defineEventHandler(async event => {
  const { name, password, current } = await validatedBody(event, passwordSchema)
  const { id: sessionId, anglerId } = await ensureSession(event)
  const db = database()
  const account = await accountOf(db, anglerId)
  const called = account.name ?? name
  if (!called) throw faultError(422, [NAME_MISSING])
  const weakness = weaknessOf(password, called)
  if (weakness) throw faultError(422, [WEAK[weakness]])
  if (account.password) {
    const right = await signingIn(event, anglerId, () => isPasswordOf(db, anglerId, current ?? ''))
    if (!right) throw faultError(422, [WRONG_CURRENT])
  }
  if (!account.name && !(await setName(db, anglerId, called))) throw faultError(409, [NAME_TAKEN])
  await setPassword(db, anglerId, password)
  if (account.password) await endOtherSessions(db, anglerId, sessionId)
  await signInAs(event, anglerId)
  return sendNoContent(event)
})
