import { verdictSchema } from '#shared/schema/trial'

/** What a fair test of two shows so far: 200 with the verdict, 422 with one entry per fault. Stores nothing. */
export default defineEventHandler(async event => {
  const input = await workableBody(event)
  return workedOut(event, { kind: 'verdict', asked: validated(verdictSchema, input) })
})
