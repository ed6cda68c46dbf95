/** A year, s: browsers that came by HTTPS come back by it (RFC 6797). */
const HSTS = 'max-age=31536000'

/**
 * What hangs on the request: the headers that every answer carries are among the route rules (nuxt.config.ts). What the
 * API answers is private to whoever asked, but for its own description.
 */
export default defineEventHandler(event => {
  if (event.path.startsWith('/api/')) setResponseHeader(event, 'cache-control', 'no-store')
  if (getRequestProtocol(event, { xForwardedProto: true }) === 'https')
    setResponseHeader(event, 'strict-transport-security', HSTS)
})
