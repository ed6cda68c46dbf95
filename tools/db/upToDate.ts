import type { Database } from '#server/db/connection'
import { migrate } from '#server/db/migrate'
import { setUpQueue } from '#server/jobs/queue'

/** Bring a database up to date, as its owner: the records' tables, and the queue's. */
export async function upToDate(owner: Database): Promise<void> {
  await migrate(owner)
  await setUpQueue(owner)
}
