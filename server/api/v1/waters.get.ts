import { listWaters } from '#server/services/waters'

/** The waters of the demonstration basin. */
export default defineEventHandler(() => listWaters(database()))
