import pg from 'pg'
import { Sequelize } from 'sequelize'
import { defineModels } from './models'

/**
 * How long anything waits for the database, ms. A request does several things in turn, and the first that times out
 * ends it: waiting for a connection and one query after it stay within the three seconds an answer may take.
 */
export const PATIENCE = { connectMs: 1200, acquireMs: 1200, queryMs: 1500 } as const
/** What the server itself gives a statement, ms, so that what nobody waits for any more ends too. */
const STATEMENT_MS = 5000
/** Most connections of one process. */
export const CONNECTIONS = 8

/** For work that has all the time it takes, such as bringing a large database up to date. */
export const UNHURRIED = { connectMs: 10_000, acquireMs: 60_000, queryMs: 0, statementMs: 0 } as const

export interface Patience {
  connectMs: number
  acquireMs: number
  /** 0: as long as it takes. */
  queryMs: number
  statementMs: number
}

/** A connection pool with its models. The caller closes it. */
export function openDatabase(url: string, patience: Patience = { ...PATIENCE, statementMs: STATEMENT_MS }) {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: CONNECTIONS, min: 0, acquire: patience.acquireMs, idle: 10_000 },
    dialectOptions: {
      connectionTimeoutMillis: patience.connectMs,
      query_timeout: patience.queryMs,
      statement_timeout: patience.statementMs,
      keepAlive: true,
    },
    retry: { max: 1 },
  })
  return { sequelize, ...defineModels(sequelize) }
}
export type Database = ReturnType<typeof openDatabase>

/** Connections of the pool that are in use. */
export function connectionsInUse(db: Database): number {
  // Not in Sequelize's types, though documented for its pool.
  const { pool } = db.sequelize.connectionManager as unknown as { pool: { using: number } }
  return pool.using
}

/** Whether every connection the pool may have is open and in use: waiting for one then says nothing of the database. */
export const poolIsFull = (db: Database): boolean => connectionsInUse(db) >= CONNECTIONS
