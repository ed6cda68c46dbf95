/**
 * Makes the device known by its cookie: 204. Asked before anything is sent, so that nothing is sent by a stranger; a
 * cookie that has grown old is given out anew. One whose session was ended is told so once, 401, and is a stranger from
 * then on.
 */
export default defineEventHandler(async event => {
  if (await isSignedOut(event)) {
    endSession(event)
    throw faultError(401, [SIGNED_OUT])
  }
  await knownAngler(event)
  await renewSession(event)
  return sendNoContent(event)
})
