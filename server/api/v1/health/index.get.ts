import { databaseState } from '#server/services/health'

/** 200 when the server and its database serve, also while the database is busy; 503 when it does not answer. */
export default defineEventHandler(async event => {
  const version = useRuntimeConfig().public.version
  const state = await databaseState(database(), Date.now())
  if (state === 'away') {
    setResponseStatus(event, 503)
    setResponseHeader(event, 'retry-after', 3)
    return { status: 'database-away', version }
  }
  return { status: 'ok', version, ...(state === 'busy' ? { database: state } : {}) }
})
