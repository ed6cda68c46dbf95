import { listWaters } from '../../services/waters'

/** The angler's waters and the demonstration basin's. */
export default defineEventHandler(event => withDatabaseErrors(async () => listWaters(database(), await anglerId(event))))
