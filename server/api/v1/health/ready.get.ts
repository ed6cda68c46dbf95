import { isWarm } from '#server/ranking/pool'
import { unreadyFor } from '#server/services/health'

/**
 * 200 when everything can be served; 503 with what is missing: the database, its schema, writing to it, or a thread
 * that ranks. What each other part does is said with it, and keeps nothing from being served.
 */
export default defineEventHandler(async event => {
  const missing: string[] = await unreadyFor(database())
  if (answersRequests && !isWarm()) missing.push('ranking')
  const parts = {
    jobs: queueIsOpen() ? 'open' : 'away',
    instruments: instrumentsPart(),
    role: roleOfProcess,
    build: useRuntimeConfig().build,
  }
  if (!missing.length) return { status: 'ready', parts }
  setResponseStatus(event, 503)
  setResponseHeader(event, 'retry-after', 3)
  return { status: 'not-ready', missing, parts }
})
