import { closeRanking } from '#server/ranking/pool'
import { closeInstruments } from '#server/utils/instruments'
import { closeDatabase } from '#server/utils/database'

/** What was opened is closed with the server: the connections, and the threads that rank. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('close', async () => {
    closeInstruments()
    await Promise.all([closeDatabase(), closeRanking()])
  })
})
