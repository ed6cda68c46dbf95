/**
 * Makes the device known by its cookie: 204. Asked before anything is sent, so that nothing is sent by a stranger; a
 * cookie that has grown old is given out anew.
 */
export default defineEventHandler(async event => {
  await knownAngler(event)
  await renewSession(event)
  return sendNoContent(event)
})
