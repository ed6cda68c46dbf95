import type { H3Event } from 'h3'
import proxyAddr from 'proxy-addr'

/** Proxies whose word on who asks is taken: addresses or networks, with commas between; none unless set. */
const trusted = proxyAddr.compile(
  (process.env.PISCATOR_TRUSTED_PROXIES ?? '').split(',').flatMap(a => (a.trim() ? [a.trim()] : [])),
)

/** The address a request comes from; what a proxy says of it counts only where that proxy is trusted. */
export const addressOf = (event: H3Event): string => proxyAddr(event.node.req, trusted) ?? 'unknown'
