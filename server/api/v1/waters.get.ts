import { listWaters } from '#server/services/waters'

/** The angler's waters and the demonstration basin's. */
export default defineEventHandler(async event => listWaters(database(), await anglerId(event)))
