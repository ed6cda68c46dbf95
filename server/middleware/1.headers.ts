/**
 * Headers every answer carries. The page's own policy is set where its scripts are known (plugins/policy.ts). What the
 * API answers is private to whoever asked, but for its own description.
 */
export default defineEventHandler(event => {
  setResponseHeaders(event, {
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'same-origin',
    'x-frame-options': 'DENY',
    'permissions-policy': 'camera=(), microphone=(), payment=()',
    'cross-origin-opener-policy': 'same-origin',
    'cross-origin-resource-policy': 'same-origin',
  })
  if (event.path.startsWith('/api/')) setResponseHeader(event, 'cache-control', 'no-store')
})
