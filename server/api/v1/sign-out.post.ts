import { signOutEverywhere } from '#server/accounts/sessions'

/** Ends this angler's sessions on every device: 204. Cookies given before open nothing any more. */
export default defineEventHandler(async event => {
  const id = await anglerId(event)
  const session = await readSession(event)
  if (id) await signOutEverywhere(database(), id, session?.id)
  endSession(event)
  return sendNoContent(event)
})
