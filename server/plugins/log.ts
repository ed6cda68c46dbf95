import { randomUUID } from 'node:crypto'
import { useLog } from '#server/utils/log'

/** One line a request of the API: its id, method, route, status and time. Assets are not worth a line. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => {
    event.context.requestId = randomUUID()
    event.context.startedAt = performance.now()
    setResponseHeader(event, 'x-request-id', event.context.requestId as string)
  })
  nitro.hooks.hook('afterResponse', event => {
    if (!event.path.startsWith('/api/')) return
    const { requestId, startedAt, matchedRoute } = event.context as {
      requestId: string
      startedAt: number
      matchedRoute?: { path: string }
    }
    useLog().info({
      id: requestId,
      method: event.method,
      route: matchedRoute?.path ?? 'none',
      status: event.node.res.statusCode,
      ms: Math.round(performance.now() - startedAt),
    })
  })
})
