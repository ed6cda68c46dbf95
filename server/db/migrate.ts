import { SequelizeStorage, Umzug } from 'umzug'
import type { Database } from './connection'
import { first } from './migrations/0001-first'

/** Any number, the same for every Piscator process: two starting at once take turns. */
const LOCK = 7_402_611

/** Bring the schema up to date, one process at a time. Safe to call at every start. */
export async function migrate({ sequelize }: Database): Promise<string[]> {
  const umzug = new Umzug({
    migrations: [first],
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  })
  // The lock lives as long as this transaction's connection; the migrations use others of the pool.
  return sequelize.transaction(async (transaction) => {
    await sequelize.query('select pg_advisory_xact_lock(:lock)', { replacements: { lock: LOCK }, transaction })
    return (await umzug.up()).map(m => m.name)
  })
}
