import { unreadyFor } from '#server/services/health'

/** 200 when everything can be served; 503 with what is missing: the database, its schema, or writing to it. */
export default defineEventHandler(async event => {
  const missing = await unreadyFor(database())
  if (!missing.length) return { status: 'ready' }
  setResponseStatus(event, 503)
  setResponseHeader(event, 'retry-after', 3)
  return { status: 'not-ready', missing }
})
