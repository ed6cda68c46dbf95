import { restoreSchema } from '#shared/schema/account'
import { bringBack } from '#server/accounts/erasing'
import { UNDONE } from '#server/utils/accountFaults'
import { signingIn } from '#server/utils/signIns'

/** Brings back what was taken away, by the word it was answered with: 204, and this device is signed in. */
export default defineEventHandler(async event => {
  const { undo } = await validatedBody(event, restoreSchema)
  const owner = await signingIn(event, null, () => bringBack(database(), undo))
  if (!owner || !(await signInAs(event, owner))) throw faultError(422, [UNDONE])
  return sendNoContent(event)
})
