/**
 * Which water it is, by readings of any kinds: 200 with the contract's answer, 422 with one entry per fault, 503 at
 * once where the device has enough under way. Needs no account, stores nothing.
 */
export default defineEventHandler(async event => longJob(event, { kind: 'read-water', asked: await longBody(event) }))
