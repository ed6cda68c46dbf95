import { cursorOf, cursorText, listCalls } from '#server/records/calls'

/**
 * A page of the calls kept by this angler, newest first; a `link` header leads to the next where there is one. A device
 * that has kept none gets an empty list and is known by its cookie from then on.
 */
export default defineEventHandler(async event => {
  const { after } = getQuery(event)
  const cursor = typeof after === 'string' ? cursorOf(after) : null
  if (after !== undefined && !cursor) {
    throw faultError(422, [{ path: 'after', code: 'cursor', message: 'That is no place in the list. Begin anew.' }])
  }
  const { calls, next } = await listCalls(database(), await knownAngler(event), cursor)
  if (next) setResponseHeader(event, 'link', `</api/v1/calls?after=${cursorText(next)}>; rel="next"`)
  return calls
})
