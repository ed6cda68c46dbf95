import { type Database, UNHURRIED, openDatabase } from '#server/db/connection'

/** Run something with the database the environment names, and close it whatever happens. */
export async function withDatabase(work: (db: Database) => Promise<void>): Promise<void> {
  // Tables are made by their owner; the app's own role may only use them.
  const url = process.env.NUXT_DATABASE_OWNER_URL ?? process.env.NUXT_DATABASE_URL
  if (!url) throw new Error('NUXT_DATABASE_OWNER_URL is not set; the run script sets it')
  const db = openDatabase(url, UNHURRIED)
  try {
    await work(db)
  } finally {
    await db.sequelize.close()
  }
}
