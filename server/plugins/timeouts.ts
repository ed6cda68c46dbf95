import type { Server } from 'node:http'

/** How long a sender may take over the head of a request, and over all of it, ms. */
const HEAD_MS = 10_000
const WHOLE_MS = 20_000

/**
 * A sender that dawdles is cut off: its connection is not to be held for ever. Set on the server that took the
 * request.
 */
export default defineNitroPlugin(nitro => {
  const known = new WeakSet<object>()
  nitro.hooks.hook('request', event => {
    const server = (event.node.req.socket as { server?: Server }).server
    if (!server || known.has(server)) return
    known.add(server)
    server.headersTimeout = HEAD_MS
    server.requestTimeout = WHOLE_MS
  })
})
