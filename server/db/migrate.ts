import { QueryTypes, type Transaction } from 'sequelize'
import { Umzug } from 'umzug'
import type { Database } from './connection'
import type { MigrationContext } from '#server/db/migrations/context'
import { MIGRATIONS } from '#server/db/migrations/index'

/** Any number, the same for every Piscator process: two starting at once take turns. */
const LOCK = 7_402_611

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
    const context: MigrationContext = {
      query: sql => sequelize.query(sql, { transaction }),
      queries: sequelize.getQueryInterface(),
      transaction,
    }
    const umzug = new Umzug({
      migrations: [...MIGRATIONS],
      context,
      storage: notes(sequelize, transaction),
      logger: undefined,
    })
    return (await umzug.up()).map(m => m.name)
  })
}

/**
 * Whether the database has come as far as a migration: further is well too, as migrations only add to what the version
 * before uses, so that both may run while one takes the other's place.
 */
export const hasSchema = async ({ sequelize }: Database, name: string): Promise<boolean> =>
  (await noted(sequelize)).includes(name)
