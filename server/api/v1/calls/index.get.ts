import { listCalls } from '../../../services/calls'

/** Calls kept by this angler, newest first; an empty list for a device that has kept none, which is known by its cookie from then on. */
export default defineEventHandler(event => withDatabaseErrors(async () => listCalls(database(), await knownAngler(event))))
