import { type Database, openDatabase } from '../../server/db/connection'

/** Run something with the database the environment names, and close it whatever happens. */
export async function withDatabase(work: (db: Database) => Promise<void>): Promise<void> {
  const url = process.env.NUXT_DATABASE_URL
  if (!url) throw new Error('NUXT_DATABASE_URL is not set; the run script sets it')
  const db = openDatabase(url)
  try {
    await work(db)
  }
  finally {
    await db.sequelize.close()
  }
}
