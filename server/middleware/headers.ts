/** Headers every answer carries. The page's own policy is set where its scripts are known (plugins/policy.ts). */
export default defineEventHandler((event) => {
  setResponseHeaders(event, {
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'same-origin',
    'x-frame-options': 'DENY',
    'permissions-policy': 'camera=(), microphone=(), payment=()',
    'cross-origin-opener-policy': 'same-origin',
  })
})
