import pg from 'pg'
import { Sequelize } from 'sequelize'
import { defineModels } from './models'

/** Milliseconds after which a database that does not answer counts as gone. */
const PATIENCE_MS = 3000

/** A connection pool with its models. The caller closes it. */
export function openDatabase(url: string) {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres', dialectModule: pg, logging: false,
    pool: { max: 8, min: 0, acquire: PATIENCE_MS, idle: 10_000 },
    dialectOptions: { connectionTimeoutMillis: PATIENCE_MS, statement_timeout: 10_000 },
    retry: { max: 1 },
  })
  return { sequelize, ...defineModels(sequelize) }
}
export type Database = ReturnType<typeof openDatabase>
