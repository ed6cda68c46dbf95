/** What a fair test of two shows so far: 200 with the verdict, 422 with one entry per fault. Stores nothing. */
export default defineEventHandler(async event => workedOut(event, { kind: 'verdict', asked: await glanceBody(event) }))
