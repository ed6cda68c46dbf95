import { listCalls } from '../../../services/calls'

/** Calls kept by this angler, newest first; an empty list for a device that has kept none. */
export default defineEventHandler(event => withDatabaseErrors(async () => {
  const id = await anglerId(event)
  return id ? listCalls(database(), id) : []
}))
