import { requestSchema } from '#shared/schema/request'
import { refuseWhenFull } from '#server/ranking/pool'

/**
 * Ranks finishes: 200 with the contract's answer, 422 with one entry per fault, 503 at once where too many wait
 * already. Needs no account, stores nothing.
 */
export default defineEventHandler(async event => {
  refuseWhenFull()
  const request = await validatedBody(event, requestSchema)
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return answerText(request)
})
