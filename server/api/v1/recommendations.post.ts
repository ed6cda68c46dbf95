import { requestSchema } from '#shared/schema/request'
import { answerText } from '../../services/recommendations'

/** Ranks finishes: 200 with the contract's answer, 422 with one entry per fault. Needs no account, stores nothing. */
export default defineEventHandler(async (event) => {
  const request = await validatedBody(event, requestSchema)
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return answerText(request)
})
