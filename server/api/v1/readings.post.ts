import { readingsSchema } from '#shared/schema/request'

/**
 * Which water it is, by readings of any kinds: 200 with the contract's answer, 422 with one entry per fault, 503 at
 * once where too many wait already. Needs no account, stores nothing.
 */
export default defineEventHandler(async event => {
  const input = await workableBody(event)
  return workedOut(event, { kind: 'read-water', asked: validated(readingsSchema, input) })
})
