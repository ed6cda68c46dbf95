import { orderSchema } from '#shared/schema/trial'

/** The order of a fair test of two: 200 with its spells, 422 with one entry per fault. Stores nothing. */
export default defineEventHandler(async event => {
  const input = await workableBody(event)
  return workedOut(event, { kind: 'order', asked: validated(orderSchema, input) })
})
