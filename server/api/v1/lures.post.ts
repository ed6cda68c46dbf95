/** Which lure here: 200 with the contract's answer, 422 with one entry per fault. Stores nothing. */
export default defineEventHandler(async event => longJob(event, { kind: 'which-lure', asked: await longBody(event) }))
