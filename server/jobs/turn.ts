import { ENGINE_VERSION } from '#core/ranking/version'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'
import { FaultyError } from '#server/ranking/chunks'
import type { Job } from '#server/ranking/jobs'
import { takeTurn } from '#server/records/turn'
import { NEWS_CHANNEL, tellNews } from '#server/records/wake'
import { queueNext } from './jobs'
import { type LongAsk, type LongKind, keptAnswer, longWork } from './kinds'
import type { Queue, QueuedTurn } from './queue'

/** A turn is over at the first part that ends after this long, ms: then whoever waits behind it comes. */
const TURN_MS = 1000
/** A job may take this long in all, ms; and be begun so often without getting on. */
const MOST = { workedMs: 10 * 60_000, tries: 5 } as const

/** What working a turn needs: it is the same in every process. */
export interface Working {
  db: Database
  queue: Queue
  /** The answer of one job of a thread, as JSON text. */
  answer: (job: Job, asker: string) => Promise<string>
  /** A clock, ms. */
  now: () => number
  /** Whether the process is about to end: the turn is given up after the part it is at. */
  leaving: () => boolean
}

interface Begun {
  anglerId: string
  requestId: string
  kind: LongKind
  asked: LongAsk<LongKind>
  workedMs: string
  tries: number
}

/** How a turn ended: with the answer, with why there is none, or with more to do. */
type Ended = { answer: string } | { fault: string } | 'goes-on' | 'stopped'

/** The parts of a job that are answered already, by this version of the engine: another's would not fit. */
async function partsKept(db: Database, job: string): Promise<Set<number>> {
  const kept = await rows<{ part: number }>(
    db,
    'select part from job_parts where job_id = $job and engine_version = $engine',
    { job, engine: ENGINE_VERSION },
  )
  return new Set(kept.map(k => k.part))
}

/** Keep a part's answer and tell how far it is; false where the job was stopped meanwhile. */
async function keepPart(db: Database, job: string, part: number, answer: string, done: number): Promise<boolean> {
  const kept = await rows(
    db,
    `with going as (
         update jobs set done = $done where id = $job and ended_at is null returning id),
       put as (
         insert into job_parts (job_id, engine_version, part, answer)
         select id, cast($engine as text), cast($part as integer), cast($answer as text) from going
         on conflict do nothing),
       told as (select pg_notify($channel, id::text || ' ') from going)
     select id from going, told`,
    { job, part, answer, done, engine: ENGINE_VERSION, channel: NEWS_CHANNEL },
  )
  return kept.length > 0
}

async function answersKept(db: Database, job: string): Promise<unknown[]> {
  const kept = await rows<{ answer: string }>(
    db,
    'select answer from job_parts where job_id = $job and engine_version = $engine order by part',
    { job, engine: ENGINE_VERSION },
  )
  return kept.map(k => JSON.parse(k.answer) as unknown)
}

/** Work through a job's parts until the turn is over, and once they are all there, put them together. */
async function worked({ db, answer, now, leaving }: Working, id: string, begun: Begun, began: number): Promise<Ended> {
  const { parts, whole } = longWork(begun.kind, begun.asked)
  const kept = await partsKept(db, id)
  for (const [i, part] of parts.entries()) {
    if (kept.has(i)) continue
    if (leaving() || now() - began > TURN_MS) return 'goes-on'
    const { anglerId, kind } = begun
    const text = await keptAnswer(kind, { db, anglerId, nowMs: now() }, await answer(part, anglerId))
    kept.add(i)
    if (!(await keepPart(db, id, i, text, kept.size))) return 'stopped'
  }
  return { answer: await answer(whole(await answersKept(db, id)), begun.anglerId) }
}

/** Begin a turn: what is to be done, or null where the entry is an old one's, or the job was stopped. */
async function begin(db: Database, { job, turn }: QueuedTurn): Promise<Begun | null> {
  const [begun] = await rows<Begun>(
    db,
    `update jobs set state = 'working', tries = tries + 1
     where id = $job and turn = $turn and ended_at is null
     returning angler_id as "anglerId", request_id as "requestId", kind, asked, worked_ms as "workedMs", tries`,
    { job, turn },
  )
  return begun ?? null
}

/** What a turn that ended so changes in its job's row. */
const changesOf = (ended: Exclude<Ended, 'stopped'>): string => {
  if (ended === 'goes-on') return `state = 'waiting'`
  const how = 'answer' in ended ? `state = 'done', done = parts, answer = $answer` : `state = 'failed', fault = $fault`
  // What was asked is wanted no more.
  return `ended_at = now(), asked = '{}', ${how}`
}

/** End a turn: the job with it, or another turn is put in behind whoever waits. All of it or nothing. */
async function end({ db, queue }: Working, entry: QueuedTurn, begun: Begun, ended: Ended, ms: number): Promise<void> {
  const { job, turn } = entry
  await db.sequelize.transaction(async transaction => {
    await takeTurn(db, [begun.anglerId], transaction)
    if (ended !== 'stopped') {
      await rows(
        db,
        `update jobs set turn = turn + 1, tries = 0, worked_ms = worked_ms + $ms, queued = false, ${changesOf(ended)}
         where id = $job and turn = $turn and ended_at is null`,
        { job, turn, ms, ...(typeof ended === 'object' ? ended : {}) },
        transaction,
      )
      if (ended !== 'goes-on') await rows(db, 'delete from job_parts where job_id = $job', { job }, transaction)
      await tellNews(db, job, '', transaction)
    }
    await queueNext(db, queue, begun.anglerId, transaction)
    await queue.over(db, entry, transaction)
  })
}

/** What a turn came to, for the log: by what request the job came, and nothing of who asked. */
export interface TurnDone {
  requestId: string
  kind: LongKind
  ended: 'done' | 'failed' | 'goes-on' | 'stopped'
  ms: number
}

/**
 * One turn of a job: about a second of it, from where it is. What is answered is kept part by part, so that a turn that
 * was cut off is begun again and goes on there. Null where there was nothing to do.
 */
export async function workTurn(working: Working, entry: QueuedTurn): Promise<TurnDone | null> {
  const { db, now } = working
  const begun = await begin(db, entry)
  if (!begun) return null
  const began = now()
  const isOver = Number(begun.workedMs) > MOST.workedMs
  let ended: Ended
  if (isOver || begun.tries > MOST.tries) ended = { fault: isOver ? 'too-long' : 'broken' }
  else
    try {
      ended = await worked(working, entry.job, begun, began)
    } catch (error) {
      // Wrong at the root, it is wrong each time; whatever else it is may be over at the next.
      if (!(error instanceof FaultyError)) throw error
      ended = { fault: error.faults[0]?.code ?? 'faulty' }
    }
  const ms = Math.round(now() - began)
  await end(working, entry, begun, ended, ms)
  const { requestId, kind } = begun
  return { requestId, kind, ended: typeof ended === 'string' ? ended : 'answer' in ended ? 'done' : 'failed', ms }
}
