/** The order of a fair test of two: 200 with its spells, 422 with one entry per fault. Stores nothing. */
export default defineEventHandler(async event => workedOut(event, { kind: 'order', asked: await glanceBody(event) }))
