/**
 * Two processes on one database: what one is told the other knows, long work is a job that any of them may do, and
 * nothing that matters hangs on which of them is asked.
 */
import { v7 as newId } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { ShareOut } from '#shared/schema/share'
import type { SyncAnswer } from '#shared/schema/sync'
import type { JobStatus } from '#shared/schema/job'
import { buildHash } from '../../tools/build/sourceHash'
import { type Server, freePort, startServer } from '../../tools/server'
import { ASKED } from '../../tools/torture/calls'
import { Client } from './client'
import { PASSWORD, members } from './members'

let web: Server
let other: Server
/** The port of the second's figures. */
let figures: number
beforeAll(async () => {
  figures = await freePort()
  const more = { PISCATOR_TRUSTED_PROXIES: '127.0.0.1', PISCATOR_GUESSES: '1000', PISCATOR_DEVICE_RATE: '30' }
  ;[web, other] = await Promise.all([
    startServer(undefined, { ...more, PISCATOR_ROLE: 'web' }),
    startServer(undefined, { ...more, PISCATOR_METRICS_PORT: String(figures) }),
  ])
})
afterAll(() => Promise.all([web.kill(), other.kill()]))

const { device, signIn } = members(() => web.url)
/** The same device at the other process. */
function elsewhere(c: Client): Client {
  const same = new Client(other.url, '10.2.0.1')
  same.cookie = c.cookie
  return same
}
const scenes = (many: number) =>
  Array.from({ length: many }, (_, i) => ({
    ...ASKED,
    water: { ...ASKED.water, visibilityM: 0.5 + i / 100 },
    weight: 1,
  }))

const LURE = {
  lure: 'jerkbait',
  finishId: 'jerkbait.bone',
  name: 'Bone',
  coats: {},
  count: 2,
  wear: 'new',
  keptIn: '',
  note: '',
  retired: false,
}

async function asJob(c: Client, path: string, body: unknown) {
  const response = await fetch(`${c.url}/api/v1${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'prefer': 'respond-async, wait=0', 'cookie': c.cookie },
    body: JSON.stringify(body),
  })
  return { status: response.status, headers: response.headers, body: (await response.json()) as JobStatus }
}
const statusOf = async (c: Client, id: string) => (await c.call('GET', `/jobs/${id}`)).body as JobStatus
async function ended(c: Client, id: string): Promise<JobStatus> {
  for (let i = 0; i < 300; i++) {
    const now = await statusOf(c, id)
    if (now.endedAt) return now
    await new Promise(r => setTimeout(r, 200))
  }
  throw new Error('the job did not end')
}
async function comes(so: () => Promise<boolean>, mostMs: number): Promise<void> {
  const began = Date.now()
  while (!(await so())) {
    expect(Date.now() - began).toBeLessThan(mostMs)
    await new Promise(r => setTimeout(r, 50))
  }
}

describe('long work as a job', () => {
  it('is taken in by one process, done by another, and answers what is answered at once', async () => {
    const c = device()
    await c.call('GET', '/device')
    const body = { scenes: scenes(60) }
    const { status, headers, body: job } = await asJob(c, '/kits', body)
    expect([status, headers.get('preference-applied')]).toEqual([202, 'respond-async'])
    expect(headers.get('location')).toBe(`/api/v1/jobs/${job.id}`)
    expect(job).toMatchObject({ kind: 'kit', state: 'waiting', done: 0, parts: 4 })
    const early = await c.call('GET', `/jobs/${job.id}/answer`)
    expect([early.status, (early.body as { errors: { code: string }[] }).errors[0]!.code]).toEqual([409, 'job-waiting'])
    // Told as it goes on, by whichever process, until it has ended.
    const told = await fetch(`${web.url}/api/v1/jobs/${job.id}/progress`, { headers: { cookie: c.cookie } })
    const events = [...(await told.text()).matchAll(/^data: (.+)$/gm)].map(m => JSON.parse(m[1]!) as JobStatus)
    expect(events.at(-1)).toMatchObject({ id: job.id, state: 'done', done: 4 })
    expect(await statusOf(elsewhere(c), job.id)).toMatchObject({ state: 'done' })
    const { body: answer } = await elsewhere(c).call('GET', `/jobs/${job.id}/answer`)
    expect(answer).toEqual((await c.call('POST', '/kits', body)).body)
  })
  it('adds shares up, takes files in and draws what messages show of a link', async () => {
    const c = device()
    await c.call('GET', '/device')
    const share = { engine: 'x', comparedBites: 3, gradient: Array(8).fill(0.1), information: Array(36).fill(0) }
    const pooled = { shares: Array(1200).fill(share) }
    const { status, body: job } = await asJob(c, '/pools', pooled)
    expect([status, job.kind, job.parts]).toEqual([202, 'pool', 4])
    expect(await ended(c, job.id)).toMatchObject({ state: 'done' })
    const { body: pool } = await c.call('GET', `/jobs/${job.id}/answer`)
    expect(pool).toMatchObject({ anglers: 1200, comparedBites: 3600 })
    expect(pool).toEqual((await c.call('POST', '/pools', pooled)).body)
    const mixed = { shares: [...pooled.shares.slice(0, 30), { ...share, engine: 'y' }] }
    expect((await c.call('POST', '/pools', mixed)).body).toMatchObject({
      errors: [{ path: 'shares.30.engine', code: 'another-engine' }],
    })

    const spot = { waterId: newId(), name: 'Dock', latitude: null, longitude: null, note: '' }
    const record = (body: object) => ({
      id: newId(),
      kind: 'lure',
      recordId: newId(),
      at: '2026-05-10T10:00:00Z',
      body,
    })
    const file = {
      piscator: 'everything',
      version: 1,
      savedAt: '2026-05-10T10:00:00Z',
      records: [record(LURE), record(spot)],
    }
    const taken = await c.call('POST', '/imports', file)
    expect(taken.status).toBe(202)
    const { id } = taken.body as JobStatus
    expect(await ended(c, id)).toMatchObject({ kind: 'import', state: 'done' })
    expect((await c.call('GET', `/jobs/${id}/answer`)).body).toMatchObject({ kept: 1, refused: 1, faults: [{ at: 1 }] })
    const { events } = (await c.call('POST', '/sync', { events: [] })).body as SyncAnswer
    expect(events.map(e => e.body)).toEqual([LURE])
    expect((await c.call('POST', '/imports', { piscator: 'no' })).status).toBe(422)

    const link = (await c.call('POST', '/shares', { kind: 'box' })).body as ShareOut
    const preview = ((await c.call('GET', '/jobs')).body as { jobs: JobStatus[] }).jobs.find(j => j.kind === 'preview')!
    await ended(c, preview.id)
    const { bytes } = (await c.call('GET', `/jobs/${preview.id}/answer`)).body as { bytes: number }
    const picture = await fetch(`${web.url}/s/${link.id}/preview.png`)
    expect([(await picture.arrayBuffer()).byteLength, picture.status]).toEqual([bytes, 200])
    expect(bytes).toBeGreaterThan(5000)
  })
  it('is one angler’s alone, can be stopped, and is refused with its faults before it is one', async () => {
    const [c, stranger] = [device(), device()]
    for (const d of [c, stranger]) await d.call('GET', '/device')
    const { body: job } = await asJob(c, '/kits', { scenes: scenes(400) })
    for (const path of ['', '/answer', '/progress'])
      expect((await stranger.call('GET', `/jobs/${job.id}${path}`)).status).toBe(404)
    await stranger.call('DELETE', `/jobs/${job.id}`)
    expect((await stranger.call('GET', '/jobs')).body).toEqual({ jobs: [] })
    expect((await c.call('GET', '/jobs')).body).toMatchObject({ jobs: [{ id: job.id }] })
    expect((await c.call('DELETE', `/jobs/${job.id}`)).status).toBe(204)
    expect((await statusOf(c, job.id)).state).toBe('stopped')
    const wrong = await asJob(c, '/kits', { scenes: [{ lure: 'nothing' }] })
    expect(wrong.status).toBe(422)
    const day = await asJob(c, '/season', { trips: [] })
    expect([202, 422]).toContain(day.status)
  })
  it('is done even where every process that worked on it was killed in the middle', async () => {
    const c = device()
    await c.call('GET', '/device')
    const { body: job } = await asJob(c, '/kits', { scenes: scenes(500) })
    await comes(async () => (await statusOf(c, job.id)).done >= 6, 20_000)
    await other.kill('SIGKILL')
    const { done } = await statusOf(c, job.id)
    expect(done).toBeLessThan(job.parts)
    other = await startServer(undefined, { PISCATOR_ROLE: 'worker', PISCATOR_METRICS_PORT: String(figures) })
    // A process that only works answers nothing but how it is.
    expect((await fetch(`${other.url}/api/v1/waters`)).status).toBe(404)
    const ready = await fetch(`${other.url}/api/v1/health/ready`)
    const parts = { role: 'worker', build: buildHash(), instruments: 'none' }
    expect([ready.status, await ready.json()]).toMatchObject([200, { status: 'ready', parts }])
    expect((await statusOf(c, job.id)).done).toBeGreaterThanOrEqual(done)
    expect(await ended(c, job.id)).toMatchObject({ state: 'done' })
    const text = await (await fetch(`http://127.0.0.1:${figures}/metrics`)).text()
    expect(text).toMatch(/piscator_job_turn_seconds_count\{kind="kit",ended="done"\} [1-9]/)
    expect(text).toContain('piscator_queue_open 1')
    expect(text).not.toContain(job.id)
    await other.kill()
    other = await startServer(undefined, { PISCATOR_TRUSTED_PROXIES: '127.0.0.1', PISCATOR_DEVICE_RATE: '30' })
  }, 90_000)
})

describe('what one process is told', () => {
  it('of a session that ended, the other knows at once: its stream is closed', async () => {
    const c = device()
    const name = `Tern ${newId().slice(-6)}`
    expect((await c.call('PUT', '/account/password', { name, password: PASSWORD })).status).toBe(204)
    const second = device()
    expect((await signIn(second, name)).status).toBe(204)
    const stream = await fetch(`${other.url}/api/v1/news`, { headers: { cookie: second.cookie } })
    expect(stream.status).toBe(200)
    const closed = stream.text()
    await new Promise(r => setTimeout(r, 500))
    const began = Date.now()
    const same = elsewhere(second)
    await c.call('POST', '/sign-out', {})
    expect((await same.call('GET', '/account')).status).toBe(401)
    expect(await closed).toContain('event: news')
    expect(Date.now() - began).toBeLessThan(5000)
  })
  it('of a limit that was reached, the other knows too', async () => {
    const c = device()
    await c.call('GET', '/device')
    let refused = false
    for (let i = 0; i < 20 && !refused; i++) {
      const all = await Promise.all(Array.from({ length: 25 }, () => c.call('GET', '/waters')))
      refused = all.some(r => r.status === 429)
    }
    expect(refused).toBe(true)
    await comes(async () => (await elsewhere(c).call('GET', '/waters')).status === 429, 3000)
  })
})
