import { rmSync } from 'node:fs'
import { UNHURRIED, openDatabase } from '#server/db/connection'
import { seedBasin } from '#server/db/seeds/basin'
import { upToDate } from '../db/upToDate'
import { testDatabase } from '../testDatabase'

/** A database of a benchmark's own, brought up to date, in a folder that goes with it; servers started then use it. */
export async function ownDatabase(state: string) {
  const env = testDatabase('start', '.', state)
  Object.assign(process.env, env)
  const url = env.NUXT_DATABASE_OWNER_URL!
  const owner = openDatabase(url, UNHURRIED)
  await upToDate(owner)
  await seedBasin(owner)
  return {
    url,
    async remove() {
      await owner.sequelize.close()
      testDatabase('stop', '.', state)
      rmSync(state, { recursive: true, force: true })
    },
  }
}
