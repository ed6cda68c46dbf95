import { type Database, openDatabase } from '#server/db/connection'

let db: Database | null = null

/** The process's one connection pool, made when first needed. */
export function database(): Database {
  if (!db) db = openDatabase(useRuntimeConfig().databaseUrl)
  return db
}

export async function closeDatabase(): Promise<void> {
  await db?.sequelize.close()
  db = null
}
