import { ConnectionAcquireTimeoutError } from 'sequelize'
import { type Database, poolIsFull } from '#server/db/connection'
import { hasSchema } from '#server/db/migrate'
import { SCHEMA } from '#server/db/migrations/index'

export type DatabaseState = 'ok' | 'busy' | 'away'

/** A database that answered this recently is not lost because its pool is full just now, ms. */
const RECENT_MS = 10_000
const lastAnswer = new WeakMap<Database, number>()

/**
 * Whether the database serves: a busy pool is not a lost database, but one that waits for connections that nobody
 * answers is. `now` in ms.
 */
export async function databaseState(db: Database, now: number): Promise<DatabaseState> {
  try {
    await db.sequelize.query('select 1')
    lastAnswer.set(db, now)
    return 'ok'
  } catch (error) {
    const recent = now - (lastAnswer.get(db) ?? -Infinity) < RECENT_MS
    return error instanceof ConnectionAcquireTimeoutError && poolIsFull(db) && recent ? 'busy' : 'away'
  }
}

/** What keeps the server from serving everything, by name; empty where nothing does. */
export type Unready = 'database' | 'schema' | 'write'

/** Whether all of it can be served: a connection from the pool, the schema this code knows, and a write. */
export async function unreadyFor(db: Database): Promise<Unready[]> {
  const out: Unready[] = []
  try {
    if (!(await hasSchema(db, SCHEMA))) out.push('schema')
  } catch {
    return ['database']
  }
  try {
    // Written for real and taken back: nothing but a database that takes writes lets this pass.
    await db.sequelize.transaction(async transaction => {
      await db.sequelize.query('update anglers set session_version = session_version where false', { transaction })
      await db.sequelize.query('select pg_current_xact_id()', { transaction })
    })
  } catch {
    out.push('write')
  }
  return out
}
