import { QueryTypes, type Transaction } from 'sequelize'
import { Umzug } from 'umzug'
import type { Database } from './connection'
import { first } from '#server/db/migrations/0001-first'
import { lists } from '#server/db/migrations/0002-lists'
import { identity } from '#server/db/migrations/0003-identity'
import { events } from '#server/db/migrations/0004-events'
import { ownWaters } from '#server/db/migrations/0005-own-waters'
import { turns } from '#server/db/migrations/0006-turns'
import { leaned } from '#server/db/migrations/0007-leaned'

/** Any number, the same for every Piscator process: two starting at once take turns. */
const LOCK = 7_402_611

const MIGRATIONS = [first, lists, identity, events, ownWaters, turns, leaned]
/** The newest state of the schema this code knows. */
export const SCHEMA = MIGRATIONS.at(-1)!.name

type Sql = Database['sequelize']

/** Which migrations have been noted, in their order. */
async function noted(sequelize: Sql, transaction?: Transaction): Promise<string[]> {
  const rows = await sequelize.query<{ name: string }>('select name from "SequelizeMeta" order by name', {
    type: QueryTypes.SELECT,
    ...(transaction ? { transaction } : {}),
  })
  return rows.map(r => r.name)
}

/**
 * Notes of what has been done, written in the transaction that does it: a migration and its note stand or fall
 * together.
 */
const notes = (sequelize: Sql, transaction: Transaction) => ({
  executed: () => noted(sequelize, transaction),
  logMigration: async ({ name }: { name: string }) => {
    await sequelize.query('insert into "SequelizeMeta" (name) values (:name)', { replacements: { name }, transaction })
  },
  unlogMigration: async ({ name }: { name: string }) => {
    await sequelize.query('delete from "SequelizeMeta" where name = :name', { replacements: { name }, transaction })
  },
})

/** Bring the schema up to date, all or nothing, one process at a time. Safe to call at every start. */
export async function migrate({ sequelize }: Database): Promise<string[]> {
  return sequelize.transaction(async transaction => {
    await sequelize.query('select pg_advisory_xact_lock(:lock)', { replacements: { lock: LOCK }, transaction })
    await sequelize.query('create table if not exists "SequelizeMeta" (name varchar(255) primary key)', { transaction })
    const queries = sequelize.getQueryInterface()
    // Whatever a migration runs, it runs in this transaction.
    const context = Object.assign(Object.create(queries) as typeof queries, {
      sequelize: { query: (sql: string) => sequelize.query(sql, { transaction }) } as unknown as Sql,
    })
    const umzug = new Umzug({
      migrations: MIGRATIONS,
      context,
      storage: notes(sequelize, transaction),
      logger: undefined,
    })
    return (await umzug.up()).map(m => m.name)
  })
}

/** The newest migration noted in the database, or null where there is none. */
export async function schemaOf({ sequelize }: Database): Promise<string | null> {
  return (await noted(sequelize)).at(-1) ?? null
}
