import { closeRanking } from '#server/ranking/pool'
import { closeDatabase } from '#server/utils/database'

/** What was opened is closed with the server: the connections, and the threads that rank. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('close', async () => {
    await Promise.all([closeDatabase(), closeRanking()])
  })
})
