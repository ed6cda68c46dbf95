import { QueryTypes, type Transaction } from 'sequelize'
import type { Database } from './connection'

/** Rows of a query whose values are bound by name, as `$name`: those read, or those a change gives back. */
export const rows = <Row extends object>(
  { sequelize }: Pick<Database, 'sequelize'>,
  sql: string,
  bind: Record<string, unknown> = {},
  transaction?: Transaction,
): Promise<Row[]> =>
  sequelize.query<Row>(sql, { bind, type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) })
