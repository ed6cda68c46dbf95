import type { QueryInterface, Transaction } from 'sequelize'

/** What a migration works with: all of it within the one transaction that notes it as well. */
export interface MigrationContext {
  /** Run SQL in the transaction. */
  query: (sql: string) => Promise<unknown>
  /** Sequelize's own interface, for changes that are not SQL; each of its calls is given the transaction. */
  queries: QueryInterface
  transaction: Transaction
}

export interface Migration {
  name: string
  up: (of: { context: MigrationContext }) => Promise<void>
  down: (of: { context: MigrationContext }) => Promise<void>
}
