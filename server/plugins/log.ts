import { randomUUID } from 'node:crypto'
import { logRequest } from '#server/utils/log'

/** One line a request of the API; those that are refused get theirs where the refusal is worded (error.ts). */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => {
    event.context.requestId = randomUUID()
    event.context.startedAt = performance.now()
    setResponseHeader(event, 'x-request-id', event.context.requestId as string)
  })
  nitro.hooks.hook('afterResponse', event => {
    if (event.path.startsWith('/api/')) logRequest(event, event.node.res.statusCode)
  })
})
