import type { Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'
import { takeTurn } from '#server/records/turn'
import { tellNews } from '#server/records/wake'
import type { JobStatus } from '#shared/schema/job'
import { type LongAsk, type LongKind, longWork } from './kinds'
import { LOST_TURN, type Queue } from './queue'

/** Jobs one angler may have unfinished, and kept in all. */
export const MOST_JOBS = { unfinished: 60, kept: 200 } as const
/** An answer is kept for so long. */
const KEPT = '1 day'

const STATUS = `id, kind, state, done, parts, fault, created_at as "createdAt", ended_at as "endedAt"`

interface StatusRow extends Omit<JobStatus, 'createdAt' | 'endedAt' | 'fault'> {
  fault: string | null
  createdAt: Date
  endedAt: Date | null
}
const statusOut = ({ fault, createdAt, endedAt, ...row }: StatusRow): JobStatus => ({
  ...row,
  ...(fault ? { fault } : {}),
  createdAt: createdAt.toISOString(),
  ...(endedAt ? { endedAt: endedAt.toISOString() } : {}),
})

/**
 * Put the angler's longest waiting job in the queue, where none of its is there: one angler has one turn, and what
 * waits behind it stands in nobody's way. The angler's turn is taken.
 */
export async function queueNext(db: Database, queue: Queue, anglerId: string, transaction: Transaction): Promise<void> {
  const [next] = await rows<{ job: string; turn: number }>(
    db,
    `update jobs set queued = true where id = (
       select id from jobs where angler_id = $anglerId and ended_at is null
         and not exists (select from jobs where angler_id = $anglerId and ended_at is null and queued)
       order by created_at, id limit 1)
     returning id as job, turn`,
    { anglerId },
    transaction,
  )
  if (next) await queue.put(db, next, transaction)
}

interface Asked<K extends LongKind> {
  id: string
  anglerId: string
  kind: K
  /** What is asked, checked. */
  asked: LongAsk<K>
  /** The request it came by, to be found in the log. */
  requestId: string
}

/** Take a job in; what became of it, or null where the angler has as many as it may. */
export function putJob<K extends LongKind>(db: Database, queue: Queue, job: Asked<K>): Promise<JobStatus | null> {
  const { id, anglerId, kind, asked, requestId } = job
  const parts = longWork(kind, asked).parts.length + 1
  return db.sequelize.transaction(async transaction => {
    await takeTurn(db, [anglerId], transaction)
    const [has] = await rows<{ unfinished: string; kept: string }>(
      db,
      `select count(*) filter (where ended_at is null) as unfinished, count(*) as kept
       from jobs where angler_id = $anglerId`,
      { anglerId },
      transaction,
    )
    if (Number(has!.unfinished) >= MOST_JOBS.unfinished || Number(has!.kept) >= MOST_JOBS.kept) return null
    const [put] = await rows<StatusRow>(
      db,
      `insert into jobs (id, angler_id, kind, asked, parts, request_id)
       values ($id, $anglerId, $kind, cast($asked as jsonb), $parts, $requestId) returning ${STATUS}`,
      { id, anglerId, kind, asked: JSON.stringify(asked), parts, requestId },
      transaction,
    )
    await queueNext(db, queue, anglerId, transaction)
    return statusOut(put!)
  })
}

/** An angler's jobs, the newest first. */
export const listJobs = async (db: Database, anglerId: string): Promise<JobStatus[]> =>
  (
    await rows<StatusRow>(db, `select ${STATUS} from jobs where angler_id = $anglerId order by created_at desc, id`, {
      anglerId,
    })
  ).map(statusOut)

/** How an angler's job stands, or null where it has none of this id. */
export async function jobStatus(db: Database, anglerId: string, id: string): Promise<JobStatus | null> {
  const [row] = await rows<StatusRow>(db, `select ${STATUS} from jobs where id = $id and angler_id = $anglerId`, {
    id,
    anglerId,
  })
  return row ? statusOut(row) : null
}

/** The answer of a job that is done, as JSON text, or null. */
export async function jobAnswer(db: Database, anglerId: string, id: string): Promise<string | null> {
  const [row] = await rows<{ answer: string | null }>(
    db,
    'select answer from jobs where id = $id and angler_id = $anglerId',
    { id, anglerId },
  )
  return row?.answer ?? null
}

/** Stop a job; one that has ended is forgotten. A turn under way ends with the part it is at. */
export function stopJob(db: Database, queue: Queue, anglerId: string, id: string): Promise<void> {
  return db.sequelize.transaction(async transaction => {
    await takeTurn(db, [anglerId], transaction)
    const [stopped] = await rows(
      db,
      `update jobs set state = 'stopped', ended_at = now(), queued = false, asked = '{}'
       where id = $id and angler_id = $anglerId and ended_at is null returning id`,
      { id, anglerId },
      transaction,
    )
    if (stopped) {
      await rows(db, 'delete from job_parts where job_id = $id', { id }, transaction)
      await tellNews(db, id, '', transaction)
      await queueNext(db, queue, anglerId, transaction)
    } else await rows(db, 'delete from jobs where id = $id and angler_id = $anglerId', { id, anglerId }, transaction)
  })
}

/** Forget what ended long ago, and put back in the queue what fell out of it. */
export async function tidyJobs(db: Database, queue: Queue): Promise<void> {
  await rows(db, `delete from jobs where ended_at < now() - interval '${KEPT}'`)
  const lost = await rows<{ id: string; anglerId: string }>(
    db,
    `update jobs set queued = false where ended_at is null and queued and ${LOST_TURN}
     returning id, angler_id as "anglerId"`,
  )
  for (const { anglerId } of lost) {
    await db.sequelize.transaction(async transaction => {
      await takeTurn(db, [anglerId], transaction)
      await queueNext(db, queue, anglerId, transaction)
    })
  }
}
