import { v7 as newId } from 'uuid'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { KitRequest } from '#core/kit/request'
import { type Database, UNHURRIED, openDatabase } from '#server/db/connection'
import { rows } from '#server/db/rows'
import type { Job } from '#server/ranking/jobs'
import { FaultyError } from '#server/ranking/chunks'
import { checkRecords, importedOf, recordPieces } from '#server/records/checked'
import type { Imported } from '#shared/schema/everything'
import { MOST_JOBS, jobAnswer, jobStatus, listJobs, putJob, stopJob, tidyJobs } from './jobs'
import { type Queue, type QueuedTurn, type Turn, openQueue, setUpQueue } from './queue'
import { type Working, workTurn } from './turn'

/** Twenty scenes are a part of a kit: what is in them, the stand-in for the engine does not look at. */
const kit = (parts: number) => ({ scenes: Array.from({ length: 20 * parts }, () => ({})) }) as unknown as KitRequest

const WATER = {
  kind: 'farm pond',
  latitude: 34.5,
  longitude: -84.2,
  zone: 'America/New_York',
  salinity: 'fresh',
  usualTint: 'green',
  usualVisibilityM: 1.1,
  prey: ['sunfish'],
  note: '',
  archived: false,
}
/** What a thread does with a file. */
const IMPORTS: Record<string, (asked: never) => unknown> = { 'check-records': checkRecords, 'imported': importedOf }

let db: Database
/** The queue as the records see it: what was put in, in its order, and what was taken out. */
let put: Turn[]
let over: string[]
const queue = {
  put: async (_db, turn) => void put.push({ ...turn }),
  over: async (_db, { entry }) => void over.push(entry),
} as Partial<Queue> as Queue

let clock = 0
/** A worker whose parts each last as long as is said. */
const worker = (lastsMs: number, answer: Working['answer'] = async job => JSON.stringify([job.kind])): Working => ({
  db,
  queue,
  now: () => clock,
  leaving: () => false,
  answer: async (job: Job, asker) => {
    clock += lastsMs
    return answer(job, asker)
  },
})
const next = (): QueuedTurn => {
  const turn = put.shift()
  if (!turn) throw new Error('nothing in the queue')
  return { ...turn, entry: newId() }
}
async function angler(): Promise<string> {
  const id = newId()
  await rows(db, 'insert into anglers (id) values ($id)', { id })
  return id
}
const ask = (anglerId: string, parts = 3) =>
  putJob(db, queue, { id: newId(), anglerId, kind: 'kit', asked: kit(parts), requestId: 'request' })

beforeAll(async () => {
  db = openDatabase(process.env.NUXT_DATABASE_URL!)
  const owner = openDatabase(process.env.NUXT_DATABASE_OWNER_URL!, UNHURRIED)
  await setUpQueue(owner)
  await setUpQueue(owner)
  await owner.sequelize.close()
})
afterAll(() => db.sequelize.close())
beforeEach(async () => {
  put = []
  over = []
  await rows(db, 'delete from jobs')
})

describe('a job', () => {
  it('goes on turn by turn from where it is, and its answer is what all its parts come to', async () => {
    const who = await angler()
    const job = (await ask(who, 5))!
    expect([job.state, job.done, job.parts]).toEqual(['waiting', 0, 6])
    const asked: string[] = []
    const slow = worker(600, async j => {
      asked.push(j.kind)
      return JSON.stringify(
        j.kind === 'kit' ? { whole: (j.asked as unknown as { scored: unknown[] }).scored.length } : [1],
      )
    })
    expect(await workTurn(slow, next())).toMatchObject({ ended: 'goes-on', requestId: 'request', ms: 1200 })
    expect(await jobStatus(db, who, job.id)).toMatchObject({ state: 'waiting', done: 2 })
    expect(await jobAnswer(db, who, job.id)).toBe(null)
    while (put.length) await workTurn(slow, next())
    expect(await jobStatus(db, who, job.id)).toMatchObject({ state: 'done', done: 6, parts: 6 })
    expect(JSON.parse((await jobAnswer(db, who, job.id))!)).toEqual({ whole: 5 })
    // Each part once, whatever turn it fell into.
    expect(asked).toEqual([...Array.from({ length: 5 }, () => 'score-scenes'), 'kit'])
    expect(await rows(db, 'select from job_parts where job_id = $id', { id: job.id })).toEqual([])
    expect(over).toHaveLength(3)
  })
  it('that was cut off in a turn is begun again at the part it was at, and an old turn does nothing', async () => {
    const who = await angler()
    const job = (await ask(who, 4))!
    let parts = 0
    const dies = worker(0, async () => {
      if (++parts === 3) throw new Error('killed')
      return '[1]'
    })
    const turn = next()
    await expect(workTurn(dies, turn)).rejects.toThrow('killed')
    expect(await jobStatus(db, who, job.id)).toMatchObject({ state: 'working', done: 2 })
    let again = 0
    const whole = worker(0, async () => JSON.stringify([++again]))
    expect(await workTurn(whole, { ...turn, entry: newId() })).toMatchObject({ ended: 'done' })
    expect(again).toBe(3)
    expect(await workTurn(whole, turn)).toBe(null)
  })
  it('of one angler waits for that angler’s other, and nobody else’s', async () => {
    const [one, other] = [await angler(), await angler()]
    const first = (await ask(one, 2))!
    const second = (await ask(one, 2))!
    const theirs = (await ask(other, 2))!
    // One turn an angler, in the order in which they came.
    expect(put.map(t => t.job)).toEqual([first.id, theirs.id])
    await workTurn(worker(1500), next())
    expect(put.map(t => t.job)).toEqual([theirs.id, first.id])
    await workTurn(worker(0), next())
    await workTurn(worker(0), next())
    expect(put.map(t => t.job)).toEqual([second.id])
    expect((await listJobs(db, one)).map(j => [j.id, j.state])).toEqual([
      [second.id, 'waiting'],
      [first.id, 'done'],
    ])
  })
  it('is stopped in mid-turn, makes room for the next, and is forgotten when it is taken away', async () => {
    const who = await angler()
    const job = (await ask(who, 4))!
    const behind = (await ask(who, 1))!
    const stops = worker(0, async () => {
      await stopJob(db, queue, who, job.id)
      return '[1]'
    })
    expect(await workTurn(stops, next())).toMatchObject({ ended: 'stopped' })
    expect(await jobStatus(db, who, job.id)).toMatchObject({ state: 'stopped', done: 0 })
    expect(put.map(t => t.job)).toEqual([behind.id])
    await stopJob(db, queue, who, job.id)
    expect(await jobStatus(db, who, job.id)).toBe(null)
    // Another's is neither seen nor stopped.
    const stranger = await angler()
    await stopJob(db, queue, stranger, behind.id)
    expect(await jobStatus(db, stranger, behind.id)).toBe(null)
    expect(await jobStatus(db, who, behind.id)).toMatchObject({ state: 'waiting' })
  })
  it('that is wrong, that lasts too long, or that ends whoever has it, fails with why', async () => {
    const who = await angler()
    const faulty = worker(0, () => Promise.reject(new FaultyError([{ path: '', code: 'bad', message: '' }])))
    const wrong = (await ask(who))!
    await workTurn(faulty, next())
    expect(await jobStatus(db, who, wrong.id)).toMatchObject({ state: 'failed', fault: 'bad' })
    const long = (await ask(who))!
    await rows(db, 'update jobs set worked_ms = 600001 where id = $id', { id: long.id })
    await workTurn(worker(0), next())
    expect(await jobStatus(db, who, long.id)).toMatchObject({ state: 'failed', fault: 'too-long' })
    const deadly = (await ask(who))!
    const kills = worker(0, () => Promise.reject(new Error('out of memory')))
    const turn = next()
    for (let i = 0; i < 5; i++) await workTurn(kills, turn).catch(() => {})
    await workTurn(kills, turn)
    expect(await jobStatus(db, who, deadly.id)).toMatchObject({ state: 'failed', fault: 'broken' })
  })
  it('keeps the records of a file part by part, once however often, and says what it left out', async () => {
    const who = await angler()
    const water = (i: number) => ({
      id: newId(),
      kind: 'water',
      recordId: newId(),
      at: '2026-05-10T10:00:00.000Z',
      body: { ...WATER, name: `Pond ${i}` },
    })
    const unfit = { ...water(3), body: { ...WATER, name: 'Pond', note: 'a\u0000b' } }
    const records = [water(1), { ...water(2), kind: 'boat' }, unfit, water(4)]
    const asked = recordPieces({ records })
    expect(asked.pieces).toHaveLength(1)
    const works = worker(0, async job => JSON.stringify(IMPORTS[job.kind]!(job.asked as never)))
    for (let time = 0; time < 2; time++) {
      const job = (await putJob(db, queue, { id: newId(), anglerId: who, kind: 'import', asked, requestId: '' }))!
      expect(await workTurn(works, next())).toMatchObject({ ended: 'done' })
      const answer = JSON.parse((await jobAnswer(db, who, job.id))!) as Imported
      expect(answer).toMatchObject({ kept: 2, refused: 2 })
      expect(answer.faults.map(f => [f.at, f.code])).toEqual([
        [1, 'record'],
        [2, 'record'],
      ])
    }
    const kept = await rows(db, 'select body from records where angler_id = $who', { who })
    expect(kept).toHaveLength(2)
    expect(await rows(db, 'select from events where angler_id = $who', { who })).toHaveLength(2)
  })
  it('is refused past what one angler may have', async () => {
    const who = await angler()
    for (let i = 0; i < MOST_JOBS.unfinished; i++) expect(await ask(who, 1)).not.toBe(null)
    expect(await ask(who, 1)).toBe(null)
    expect(put).toHaveLength(1)
  })
})

describe('the queue', () => {
  it('gives each turn to one, in their order, and gives one that fell out of it back', async () => {
    const real = openQueue(process.env.NUXT_DATABASE_URL!, () => {})
    await real.start()
    try {
      const [one, other] = [await angler(), await angler()]
      const mine = (await putJob(db, real, { id: newId(), anglerId: one, kind: 'kit', asked: kit(1), requestId: '' }))!
      const lost = (await putJob(db, queue, {
        id: newId(),
        anglerId: other,
        kind: 'kit',
        asked: kit(1),
        requestId: '',
      }))!
      // The second was put in a queue that is none: it is found, and put in this one.
      await tidyJobs(db, real)
      const taken: string[] = []
      const take = async (entry: QueuedTurn) => {
        taken.push(entry.job)
        await workTurn({ ...worker(0), queue: real }, entry)
      }
      await real.work(2, take)
      const ids = [mine.id, lost.id]
      for (let i = 0; i < 200 && !ids.every(id => taken.includes(id)); i++) await new Promise(r => setTimeout(r, 50))
      expect(taken.filter(id => ids.includes(id)).sort()).toEqual(ids.sort())
    } finally {
      await real.stop()
    }
  })
})
