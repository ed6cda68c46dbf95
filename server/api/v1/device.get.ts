/** Makes the device known by its cookie: 204. Asked before anything is sent, so that nothing is sent by a stranger. */
export default defineEventHandler(async event => {
  await knownAngler(event)
  return sendNoContent(event)
})
