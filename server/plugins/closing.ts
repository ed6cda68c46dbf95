import { once } from 'node:events'
import type { Server } from 'node:http'
import { closeRanking } from '#server/ranking/pool'
import { closeInstruments } from '#server/utils/instruments'
import { closeStreams } from '#server/utils/streams'
import { closeQueue } from '#server/utils/jobQueue'
import { closeNews } from '#server/utils/news'
import { closeDatabase } from '#server/utils/database'

/** How long a sender may take over the head of a request, and over all of it, ms. */
const HEAD_MS = 10_000
const WHOLE_MS = 20_000
/** How long what is under way may take once the server is told to end, ms. */
const LEAVE_MS = 30_000

/**
 * The server's beginning and end. A sender that dawdles is cut off: its connection is not to be held for ever. Told to
 * end, it takes no more requests, lets those under way finish, and closes what was opened: the connections of the
 * database, and the threads that rank.
 */
export default defineNitroPlugin(nitro => {
  // Nitro's own way of ending stumbles over connections that broke off; Node's closes idle ones by itself.
  process.env.NITRO_SHUTDOWN_DISABLED = '1'
  let server: Server | null = null
  nitro.hooks.hook('request', event => {
    const mine = (event.node.req.socket as { server?: Server } | null)?.server
    if (!mine || mine === server) return
    server = mine
    server.headersTimeout = HEAD_MS
    server.requestTimeout = WHOLE_MS
  })
  nitro.hooks.hook('close', async () => {
    await Promise.all([closeRanking(), closeNews(), closeInstruments()])
    await closeDatabase()
  })
  const end = async () => {
    setTimeout(() => process.exit(0), LEAVE_MS).unref()
    // Listeners would never go of themselves.
    closeStreams()
    const leavingQueue = closeQueue().catch(logLater)
    if (server) {
      const closed = once(server, 'close')
      server.close()
      server.closeIdleConnections()
      await closed
    }
    // What is half done goes back to the queue, while there is still a database to say so.
    await leavingQueue
    await nitro.hooks.callHook('close')
    process.exit(0)
  }
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => void end())
})
