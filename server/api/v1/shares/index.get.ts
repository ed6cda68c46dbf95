import { listShares } from '#server/shares/shares'

/** The angler's links that are good, the newest first. */
export default defineEventHandler(async event => listShares(database(), await knownAngler(event)))
