import PgBoss from 'pg-boss'
import { QueryTypes, type Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'

/** Where the queue keeps its tables. */
const SCHEMA = 'queue'
const QUEUE = 'long-work'

/** A turn that is not over by then was cut off: whoever had it is gone, s. It is looked for this often, s. */
const TURN_LOST_S = 15
const LOOK_S = 3
/** How often one turn is begun again; a worker that ends with it would else be ended by it for ever. */
const TRIES = 5
/** How long a process that has nothing to do waits until it looks again, s. */
const IDLE_S = 0.5
/** How long turns under way may take once the process is told to end, ms. */
const LEAVE_MS = 5000
/** Connections the queue may have of its own, in each process. */
const CONNECTIONS = 2
/** Turns that are over are put aside, and forgotten, s. */
const KEPT_S = { over: 60, aside: 3600 } as const

/** A turn of a job: what stands in the queue. */
export interface Turn {
  job: string
  turn: number
}
/** A turn with the number its entry has in the queue. */
export interface QueuedTurn extends Turn {
  entry: string
}

const settings = {
  schema: SCHEMA,
  schedule: false,
  maintenanceIntervalSeconds: LOOK_S,
  archiveCompletedAfterSeconds: KEPT_S.over,
  deleteAfterSeconds: KEPT_S.aside,
  max: CONNECTIONS,
} as const

/** The queue's statements on a connection of ours: in a transaction, they stand or fall with the rest of it. */
const sqlOn = ({ sequelize }: Database, transaction?: Transaction): PgBoss.Db => ({
  executeSql: async (text, bind?: unknown[]) => ({
    rows: await sequelize.query(text, {
      type: QueryTypes.SELECT,
      // What is not said is null to the database.
      ...(bind?.length ? { bind: bind.map(value => value ?? null) } : {}),
      ...(transaction ? { transaction } : {}),
    }),
  }),
})

/** Make the queue's own tables, or bring them up to date, as their owner; the app's role may use them then. */
export async function setUpQueue(owner: Database, app = 'piscator_app'): Promise<void> {
  const boss = new PgBoss({ ...settings, db: sqlOn(owner), supervise: false })
  await boss.start()
  await boss.createQueue(QUEUE, { name: QUEUE, policy: 'standard' })
  await boss.stop({ graceful: false })
  if (!(await rows(owner, 'select 1 as there from pg_roles where rolname = $app', { app })).length) return
  for (const grant of ['usage on schema', 'select, insert, update, delete on all tables in schema'])
    await owner.sequelize.query(`grant ${grant} ${SCHEMA} to ${app}`)
}

/** Whether an unfinished job has no turn in the queue though it should: whoever had it ended with it too often. */
export const LOST_TURN = `not exists (
  select from ${SCHEMA}.job q where q.name = '${QUEUE}' and q.state < 'completed' and q.data ->> 'job' = jobs.id::text)`

/** Which turn is whose: turns are taken in the order in which they were put in, each by one process. */
export function openQueue(url: string, fault: (error: unknown) => void) {
  const boss = new PgBoss({ ...settings, connectionString: url, migrate: false })
  boss.on('error', fault)
  return {
    /** Throws while the database is away, or has no queue yet. */
    start: async () => void (await boss.start()),
    /** Put a turn in, at the end, in a transaction of the records. */
    async put(db: Database, turn: Turn, transaction: Transaction): Promise<void> {
      const retry = { retryLimit: TRIES, retryDelay: 0 }
      await boss.send(QUEUE, turn, { db: sqlOn(db, transaction), expireInSeconds: TURN_LOST_S, ...retry })
    },
    /** A turn is over, in the transaction that says so. */
    over: (db: Database, { entry }: QueuedTurn, transaction: Transaction) =>
      boss.complete(QUEUE, entry, { over: true }, { db: sqlOn(db, transaction) }),
    /** Take turns as they come, so many at once, each until its work is done. */
    async work(atOnce: number, take: (turn: QueuedTurn) => Promise<void>): Promise<void> {
      for (let i = 0; i < atOnce; i++)
        await boss.work<Turn>(QUEUE, { pollingIntervalSeconds: IDLE_S, batchSize: 1 }, async ([entry]) => {
          await take({ ...entry!.data, entry: entry!.id })
        })
    },
    /** How many turns wait. */
    waiting: () => boss.getQueueSize(QUEUE, { before: 'active' }),
    /** Take no more turns; those under way are put back. */
    stop: () => boss.stop({ timeout: LEAVE_MS }),
  }
}
export type Queue = ReturnType<typeof openQueue>
