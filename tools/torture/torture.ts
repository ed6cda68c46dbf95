import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { type Socket, connect } from 'node:net'
import fc from 'fast-check'
import pg from 'pg'
import { v7 as newId } from 'uuid'
import { Client } from '../../tests/api/client'
import { table } from '../bench/timing'
import { type Server, freePort, startServer, uncaught } from '../server'
import { testDatabase } from '../testDatabase'
import { ATTACKS, memoryMB } from './attacks'
import { ASKED, allCalls, call } from './calls'
import { freeze } from './database'
import { INPUT, MARK } from './inputs'

/**
 * `npm run torture [short] [names]`: what the server must survive, on loopback, in some minutes, printed as a table.
 * Names: inputs, heavy, idle, full, frozen, load, kills, and the attacks of attacks.ts. `short` is what `./run test`
 * holds. Ends with 1 where anything was not as it must be.
 */
const short = process.argv.includes('short')
/** Only these, where any are named. */
const named = process.argv.slice(2).filter(a => !['short', 'keep-database'].includes(a))
const wanted = (name: string) => !named.length || named.includes(name)
const rows: (string | number)[][] = []
let failed = false
function hold(what: string, found: string, ok: boolean): void {
  rows.push([what, found, ok ? 'holds' : 'FAILS'])
  if (!ok) failed = true
}

const pause = (ms: number) => new Promise(r => setTimeout(r, ms))
const percentile = (values: number[], p: number) => {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))] ?? 0
}

/** Seeded bad inputs: none is answered by a fault of the server's, and nothing that was sent comes back. */
async function badInputs(server: Server): Promise<void> {
  const runs = short ? 800 : 10_000
  const inputs = fc.sample(INPUT, { numRuns: runs, seed: 11 })
  const client = new Client(server.url)
  await client.call('GET', '/calls')
  let faults = 0
  let echoes = 0
  let next = 0
  const worker = async () => {
    while (next < inputs.length) {
      const { method, path, body } = inputs[next++]!
      const response = await fetch(`${server.url}/api/v1${path}`, {
        method,
        headers: { 'content-type': 'application/json', 'cookie': client.cookie },
        ...(body === undefined ? {} : { body }),
      }).catch(() => null)
      // What no client library sends is none of the server's.
      if (!response) continue
      const text = await response.text()
      if (response.status >= 500) {
        faults++
        if (faults < 4) console.log(`  ${response.status}: ${method} ${path} ${body?.slice(0, 200) ?? ''}`)
      }
      if (response.status >= 400 && text.includes(MARK)) echoes++
    }
  }
  await Promise.all(Array.from({ length: 8 }, worker))
  hold(`${runs} bad inputs`, `${faults} × 5xx, ${echoes} echoes`, faults === 0 && echoes === 0)
}

/** Kill the server again and again under four writers: nothing confirmed is lost, nothing is doubled. */
async function kills(): Promise<void> {
  const rounds = short ? 4 : 36
  const port = await freePort()
  let server = await startServer(port)
  const clients = Array.from({ length: 4 }, () => new Client(server.url))
  for (const c of clients) await c.call('GET', '/calls')
  const confirmed = clients.map(() => new Set<string>())
  const sent = clients.map(() => [] as string[])
  for (let round = 0; round < rounds; round++) {
    const had = confirmed.map(c => c.size)
    let going = true
    const writers = clients.map(async (c, w) => {
      while (going) {
        const id = newId()
        sent[w]!.push(id)
        const ok = await c.call('PUT', `/calls/${id}`, call()).then(
          r => r.status === 200,
          () => false,
        )
        if (ok) confirmed[w]!.add(id)
        else await pause(20)
      }
    })
    // Killed at another moment each time, but never before anything was under way.
    // A machine that does something else as well has to be given the time for it.
    const until = Date.now() + 20_000
    while (Date.now() < until && !confirmed.some((c, w) => c.size > had[w]!)) await pause(25)
    await pause((round % 7) * 40)
    await server.kill('SIGKILL')
    going = false
    await Promise.all(writers)
    server = await startServer(port)
  }
  let lost = 0
  let doubled = 0
  for (const [w, c] of clients.entries()) {
    const there = await allCalls(c)
    const set = new Set(there)
    doubled += there.length - set.size
    lost += [...confirmed[w]!].filter(id => !set.has(id)).length
    // What was not confirmed is sent again, as a device does.
    for (const id of sent[w]!) if (!set.has(id)) await c.call('PUT', `/calls/${id}`, call())
    const after = await allCalls(c)
    if (new Set(after).size !== after.length || after.length !== sent[w]!.length) doubled++
  }
  await server.kill()
  const total = confirmed.reduce((s, c) => s + c.size, 0)
  hold(`${rounds} kills, 4 writers`, `${lost} lost, ${doubled} doubled of ${total}`, !lost && !doubled && total > 0)
}

/** The database frozen: every request is answered within three seconds, and all is well by itself after. */
async function frozen(server: Server, url: string): Promise<void> {
  const seconds = short ? 6 : 30
  const client = new Client(server.url)
  await client.call('GET', '/calls')
  const thaw = await freeze(url)
  const waits: number[] = []
  const wrong: string[] = []
  const until = Date.now() + seconds * 1000
  const asks: [string, string, unknown?][] = [
    ['GET', '/health'],
    ['GET', '/health/ready'],
    ['GET', '/calls'],
    ['GET', '/waters'],
    ['PUT', `/calls/${newId()}`, call()],
    ['POST', '/sync', { cursor: null, events: [] }],
  ]
  try {
    await Promise.all(
      Array.from({ length: 6 }, async (_, w) => {
        for (let i = w; Date.now() < until; i++) {
          const [method, path, body] = asks[i % asks.length]!
          const began = performance.now()
          const { status, headers } = await client.call(method, path, body)
          waits.push(performance.now() - began)
          if (status !== 503 || !headers.get('retry-after')) wrong.push(`${method} ${path} ${status}`)
        }
      }),
    )
    const began = performance.now()
    const ranked = await client.call('POST', '/recommendations', { ...ASKED, depthM: 1.23 })
    // The short form is run on machines that do something else as well.
    const late = performance.now() - began > (short ? 20_000 : 2000)
    if (ranked.status !== 200 || late) wrong.push(`ranking ${ranked.status}${late ? ', late' : ''}`)
  } finally {
    thaw()
  }
  const slowest = Math.max(...waits)
  hold(
    `database frozen ${seconds} s`,
    `${waits.length} answers, slowest ${(slowest / 1000).toFixed(2)} s; not 503: ${wrong.join() || 'none'}`,
    slowest < (short ? 10_000 : 3000) && !wrong.length,
  )
  let healed = 0
  const from = Date.now()
  while (Date.now() - from < 15_000 && !healed) {
    const ok = (await client.call('GET', '/health')).status === 200
    const kept = ok && (await client.call('PUT', `/calls/${newId()}`, call())).status === 200
    if (kept) healed = Date.now() - from
    else await pause(200)
  }
  hold('recovers by itself', healed ? `after ${(healed / 1000).toFixed(1)} s` : 'no', healed > 0)
}

/** A steady load of twenty devices that hold two hundred calls each. */
async function load(server: Server): Promise<void> {
  const seconds = short ? 5 : 180
  const rate = 80
  const devices = Array.from({ length: short ? 4 : 20 }, () => new Client(server.url))
  for (const d of devices) {
    await d.call('GET', '/calls')
    await Promise.all(Array.from({ length: short ? 20 : 200 }, (_, i) => d.call('PUT', `/calls/${newId()}`, call(i))))
  }
  const before = memoryMB(server)
  const waits: number[] = []
  let faults = 0
  let refused = 0
  const pending: Promise<void>[] = []
  let peak = before
  for (let i = 0; i < seconds * rate; i++) {
    const d = devices[i % devices.length]!
    const [method, path, body] = (
      [
        ['GET', '/calls'],
        ['POST', '/recommendations', { ...ASKED, depthM: 0.5 + (i % 300) / 100 }],
        ['PUT', `/calls/${newId()}`, call(i % 60)],
        ['GET', '/waters'],
        ['GET', '/health'],
      ] as [string, string, unknown?][]
    )[i % 5]!
    const began = performance.now()
    pending.push(
      d.call(method, path, body).then(
        r => {
          waits.push(performance.now() - began)
          // A slow machine may be too busy in the short form, if it says so and when to come again.
          const shed = short && r.status === 503 && r.headers.get('retry-after') !== null
          if (r.status >= 500 && !shed) faults++
          if (r.status === 429) refused++
        },
        () => void faults++,
      ),
    )
    if (i % 400 === 0) peak = Math.max(peak, memoryMB(server))
    await pause(1000 / rate - 1)
  }
  await Promise.all(pending)
  const p99 = percentile(waits, 0.99)
  const median = percentile(waits, 0.5)
  const words = `${waits.length} answers, ${faults} × 5xx, ${refused} × 429, median ${median.toFixed(0)} ms`
  hold(`${rate}/s for ${seconds} s`, `${words}, p99 ${p99.toFixed(0)} ms`, faults === 0 && (short || p99 < 500))
  hold('memory under it', `${before.toFixed(0)} to ${peak.toFixed(0)} MB`, peak < before + 150)
}

/** Waits of light requests, ms, asked one after the other from a process of its own until it is told to stop. */
function lightAsker(url: string): { stop: () => Promise<number[]> } {
  const code = `
    const waits = []
    let going = true
    process.stdin.once('data', () => { going = false })
    while (going) {
      const began = performance.now()
      await fetch(${JSON.stringify(`${url}/api/v1/openapi.json`)}).then(r => r.arrayBuffer())
      waits.push(performance.now() - began)
      await new Promise(r => setTimeout(r, 10))
    }
    console.log(JSON.stringify(waits))
    process.exit(0)`
  const child = spawn('node', ['--input-type=module', '-e', code], { stdio: ['pipe', 'pipe', 'inherit'] })
  let text = ''
  child.stdout.on('data', (d: Buffer) => (text += d.toString()))
  return {
    async stop() {
      child.stdin.write('stop\n')
      await once(child, 'close')
      return JSON.parse(text) as number[]
    },
  }
}

/** A light request while five hundred heavy ones are kept coming: as many at a time as the server is asked to bear. */
async function behindHeavy(server: Server): Promise<void> {
  const heavy = short ? 120 : 500
  const client = new Client(server.url)
  await client.call('GET', '/calls')
  const statuses = new Map<number, number>()
  const light = lightAsker(server.url)
  await pause(800)
  let next = 0
  const asker = async () => {
    while (next < heavy * 4) {
      const depthM = 0.5 + next++ / 1000
      const { status, headers } = await client.call('POST', '/recommendations', { ...ASKED, depthM, fishM: 0.77 })
      statuses.set(status, (statuses.get(status) ?? 0) + 1)
      if (status === 503) await pause(Number(headers.get('retry-after')) * 1000)
    }
  }
  await Promise.all(Array.from({ length: heavy }, asker))
  const waits = await light.stop()
  const served = [...statuses].map(([s, n]) => `${n} × ${s}`).join(', ')
  const honest = [...statuses.keys()].every(s => s === 200 || s === 503)
  const p95 = percentile(waits, 0.95)
  const median = percentile(waits, 0.5).toFixed(0)
  const words = `${served}; ${waits.length} light ones, median ${median} ms, p95 ${p95.toFixed(0)} ms`
  hold(`behind ${heavy} heavy ones`, words, honest && (short || p95 < 50))
}

/** Connections that say nothing, and bodies that break off. */
async function idle(server: Server): Promise<void> {
  const many = short ? 200 : 2000
  const { port } = new URL(server.url)
  const sockets: Socket[] = []
  for (let i = 0; i < many; i++) {
    const s = connect(Number(port), '127.0.0.1')
    s.on('error', () => {})
    sockets.push(s)
    if (i % 100 === 0) await Promise.race([once(s, 'connect'), pause(500)])
  }
  await pause(500)
  const began = performance.now()
  const { status } = await new Client(server.url).call('GET', '/health')
  const wait = performance.now() - began
  for (const s of sockets.slice(0, many / 2)) {
    s.write('POST /api/v1/recommendations HTTP/1.1\r\nhost: x\r\ncontent-length: 900\r\n\r\n{"lure":')
  }
  await pause(300)
  for (const s of sockets) s.destroy()
  await pause(300)
  const after = await new Client(server.url).call('GET', '/health')
  const alive = server.process.exitCode === null && after.status === 200
  hold(`${many} idle connections`, `health ${status} in ${wait.toFixed(0)} ms; half break off`, status === 200 && alive)
}

/** A database that takes no more, or only reads: it is said so, and nothing acknowledged is lost. */
async function full(server: Server, ownerUrl: string): Promise<void> {
  const client = new Client(server.url)
  await client.call('GET', '/calls')
  const kept = newId()
  await client.call('PUT', `/calls/${kept}`, call())
  const owner = new pg.Client({ connectionString: ownerUrl })
  await owner.connect()
  const results: string[] = []
  try {
    for (const [name, code] of [
      ['disk full', '53100'],
      ['read only', '25006'],
      ['cancelled', '57014'],
    ] as const) {
      // The fault is raised where a write would meet it, by its own code.
      await owner.query(`create or replace function torture() returns trigger language plpgsql as
        $$ begin raise exception 'torture' using errcode = '${code}'; end $$`)
      await owner.query('create trigger torture before insert on events for each row execute function torture()')
      const refused = await client.call('PUT', `/calls/${newId()}`, call())
      const codes = (refused.body as { errors: { code: string }[] }).errors.map(e => e.code)
      results.push(`${name}: ${refused.status} ${codes.join()}`)
      await owner.query('drop trigger torture on events')
    }
  } finally {
    await owner.query('drop trigger if exists torture on events')
    await owner.query('drop function if exists torture')
    await owner.end()
  }
  const there = (await allCalls(client)).includes(kept)
  const as = ['disk full: 507 database-full', 'read only: 503 database-read-only', 'cancelled: 503 database-busy']
  hold('a database that cannot write', results.join('; '), there && results.join() === as.join())
}

const env = testDatabase('start')
process.env.NUXT_SESSION_PASSWORD = 'torture-torture-torture-torture-torture'
process.env.PISCATOR_LOG = 'test-results/torture.log'
Object.assign(process.env, env)
const { upToDate } = await import('../db/upToDate')
const { seedBasin } = await import('../../server/db/seeds/basin')
const { withDatabase } = await import('../db/open')
await withDatabase(async db => {
  await upToDate(db)
  await seedBasin(db)
})
let server = await startServer()
try {
  if (wanted('inputs')) await badInputs(server)
  if (wanted('heavy')) await behindHeavy(server)
  if (wanted('idle')) await idle(server)
  if (wanted('full')) await full(server, env.NUXT_DATABASE_OWNER_URL!)
  for (const [name, attack] of Object.entries(ATTACKS))
    if (wanted(name)) await attack({ server, short, hold, ownerUrl: env.NUXT_DATABASE_OWNER_URL! })
  if (wanted('frozen')) await frozen(server, env.NUXT_DATABASE_URL!)
  await server.kill()
  server = await startServer()
  if (wanted('load')) await load(server)
  if (wanted('kills')) await kills()
} finally {
  await server.kill()
  if (!process.argv.includes('keep-database')) testDatabase('stop')
}
hold('what no server caught', `${uncaught()} lines`, uncaught() === 0)
table('What the server survives', ['', 'found', ''], rows)
process.exit(failed ? 1 : 0)
