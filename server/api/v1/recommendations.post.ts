import { tellsByReadings } from '#shared/schema/request'

/**
 * Ranks finishes: 200 with the contract's answer, 422 with one entry per fault, 503 at once where too many wait
 * already. Needs no account, stores nothing.
 */
export default defineEventHandler(async event => {
  const input = await glanceBody(event)
  if (!tellsByReadings(input)) return workedOut(event, { kind: 'rank', asked: input })
  return longJob(event, { kind: 'rank-by-readings', asked: input })
})
