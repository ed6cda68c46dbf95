import { spawn } from 'node:child_process'
import { once } from 'node:events'
import pg from 'pg'
import { v7 as newId } from 'uuid'
import { Client } from '../../tests/api/client'
import samples from '../../shared/schema/samples.json' with { type: 'json' }
import { ASKED, call } from '../torture/calls'
import { startServer } from '../server'
import { ownDatabase } from './ownDatabase'
import { table } from './timing'

/** Anglers and events of a place that has grown, and the share of them that is measured against. */
const GROWN = { anglers: 10_000, events: 5_000_000 } as const
const YOUNG = 0.01
/** Devices that are timed, and how often each does each thing. */
const TIMED = { anglers: 20, rounds: 15 } as const
const STATE = '.piscator/growth'
/** Events of one person of a big log, to see whether a write looks at all of it. */
const LONG_LOG = 50_000

const tap = JSON.stringify(samples.tap[0]!)
const saved = JSON.stringify({
  ...call(),
  ...{ name: 'Bone', waterId: null, rank: 1, shown: { engine: '1', first: [] } },
})

/** A UUID of version 7 by two counters, so that both tables can be written in one pass each. */
const idOf = (kind: number, n: number) =>
  `018f${kind.toString(16).padStart(4, '0')}-${(n >>> 16).toString(16).padStart(4, '0')}-7000-8000-${(n & 0xffff)
    .toString(16)
    .padStart(12, '0')}`

/** Lines into a table by COPY, as fast as the database takes them. */
async function copy(url: string, columns: string, lines: Iterable<string>): Promise<void> {
  const child = spawn('psql', [url, '-q', '-c', `copy ${columns} from stdin`], {
    stdio: ['pipe', 'inherit', 'inherit'],
  })
  let chunk = ''
  for (const line of lines) {
    chunk += line
    if (chunk.length < 1 << 20) continue
    if (!child.stdin.write(chunk)) await once(child.stdin, 'drain')
    chunk = ''
  }
  child.stdin.end(chunk)
  const [code] = (await once(child, 'close')) as [number]
  if (code !== 0) throw new Error('COPY failed')
}

/**
 * Events of anglers as they come in a real place: everybody's among everybody else's. Of ten, one is a call and nine
 * are taps; each is a record of its own, as most are.
 */
function* eventsOf(anglers: readonly string[], each: number, row: (e: string[]) => string) {
  for (let n = 0; n < each; n++) {
    const [kind, body] = n % 10 ? ['tap', tap] : ['call', saved]
    const at = new Date(Date.UTC(2026, 0, 1) + n * 3_600_000).toISOString()
    for (const [a, angler] of anglers.entries()) {
      const i = n * 20_000 + a
      yield row([angler, idOf(1, i), kind!, idOf(2, i), at, body!])
    }
  }
}
const line = (...fields: (string | number)[]) => `${fields.join('\t')}\n`

async function seed(url: string, anglers: readonly string[], known: ReadonlySet<string>, each: number) {
  const bytes = Math.round((9 * tap.length + saved.length) / 10)
  await copy(
    url,
    'anglers (id, events_kept, event_bytes)',
    anglers.filter(a => !known.has(a)).map(a => line(a, each, each * bytes)),
  )
  const asEvent = ([angler, id, kind, record, at, body]: string[]) =>
    line(angler!, id!, kind!, record!, at!, body!, body!.length)
  const asRecord = ([angler, id, kind, record, at, body]: string[]) => line(angler!, kind!, record!, id!, at!, body!)
  await copy(url, 'events (angler_id, id, kind, record_id, at, body, bytes)', eventsOf(anglers, each, asEvent))
  await copy(url, 'records (angler_id, kind, id, event_id, at, body)', eventsOf(anglers, each, asRecord))
}

type Timings = Record<string, number[]>
const percentile = (values: number[], p: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(p * values.length))]!

/** Where a device is that has read everything. */
const READ_ON = '9000000000000'
const sendTap = (c: Client) =>
  c.call('POST', '/sync', {
    cursor: READ_ON,
    events: [{ id: newId(), kind: 'tap', recordId: newId(), at: new Date().toISOString(), body: samples.tap.at(-1)! }],
  })

/** What devices ask of their records, each many times. */
async function timed(clients: readonly Client[]): Promise<Timings> {
  const out: Timings = {}
  const time = async (name: string, work: () => Promise<{ status: number }>) => {
    const began = performance.now()
    const { status } = await work()
    if (status !== 200 && status !== 204) throw new Error(`${name}: ${status}`)
    ;(out[name] ??= []).push(performance.now() - began)
  }
  for (let round = 0; round < TIMED.rounds; round++) {
    for (const c of clients) {
      await time('a tap is sent', () => sendTap(c))
      await time('nothing new is asked for', () => c.call('POST', '/sync', { cursor: READ_ON, events: [] }))
      await time('a page of a new device', () => c.call('POST', '/sync', { cursor: null, events: [] }))
      await time('a list of calls', () => c.call('GET', '/calls'))
      await time('a call is kept', () => c.call('PUT', `/calls/${newId()}`, call(round)))
      if (round % 5 === 0)
        await time('everything goes out', async () => {
          let at: string | null = null
          for (;;) {
            const r = await c.call('POST', '/sync', { cursor: at, events: [] })
            const body = r.body as { cursor: string; more: boolean }
            if (!body.more) return r
            at = body.cursor
          }
        })
    }
  }
  await time('a ranking', () => clients[0]!.call('POST', '/recommendations', ASKED))
  return out
}

/** `npm run bench growth`: what a place that has grown costs against one of a hundredth, in one run. */
export async function benchGrowth(): Promise<void> {
  const database = await ownDatabase(STATE)
  const { url } = database
  const server = await startServer(undefined, { PISCATOR_DEVICE_RATE: '5000', PISCATOR_ADDRESS_RATE: '5000' })
  const db = new pg.Client({ connectionString: url })
  await db.connect()
  try {
    const clients = Array.from({ length: TIMED.anglers + 1 }, () => new Client(server.url))
    for (const c of clients) {
      await c.call('GET', '/device')
      await c.call('PUT', `/calls/${newId()}`, call())
    }
    const { rows } = await db.query<{ id: string }>('select id from anglers order by created_at')
    const known = rows.map(r => r.id)
    const big = known.pop()!
    const each = GROWN.events / GROWN.anglers
    const strangers = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => idOf(9, from + i))
    const young = YOUNG * GROWN.anglers
    const has = new Set(known)
    await seed(url, [...known, ...strangers(known.length, young)], has, each)
    await db.query('vacuum analyze')
    const before = await timed(clients.slice(0, TIMED.anglers))
    await seed(url, strangers(young, GROWN.anglers), has, each)
    await db.query('vacuum analyze')
    const after = await timed(clients.slice(0, TIMED.anglers))
    table(
      `${GROWN.anglers} anglers, ${GROWN.events} events against a hundredth (to grow by half at most)`,
      ['', 'p50 ms young', 'grown', 'ratio', 'p95 ms young', 'grown', 'ratio'],
      Object.keys(before).map(name => {
        const [a, b] = [before[name]!, after[name]!]
        const [p, q] = [0.5, 0.95].map(share => [percentile(a, share), percentile(b, share)] as const)
        return [name, p![0], p![1], p![1] / p![0], q![0], q![1], q![1] / q![0]]
      }),
    )
    const sizes = await db.query<{ name: string; bytes: string; heap: string }>(
      `select relname as name, pg_total_relation_size(oid) as bytes, pg_relation_size(oid) as heap from pg_class
       where relname in ('events', 'records', 'anglers')`,
    )
    const bytesOf = (name: string) => Number(sizes.rows.find(r => r.name === name)!.bytes)
    table(
      'What it takes on disk',
      ['', 'bytes'],
      [
        ['an event, with its record', (bytesOf('events') + bytesOf('records')) / GROWN.events],
        ['of that, what is said', Math.round((9 * tap.length + saved.length) / 10)],
        ['an angler', bytesOf('anglers') / GROWN.anglers],
        ['all of it, MB', (bytesOf('events') + bytesOf('records')) / 1e6],
      ],
    )
    const many = (row: (e: string[]) => string) =>
      (function* () {
        for (let n = 0; n < LONG_LOG; n++)
          yield row([big, idOf(5, n), 'tap', idOf(6, n), new Date(Date.UTC(2026, 0, 1) + n * 1000).toISOString(), tap])
      })()
    await copy(
      url,
      'events (angler_id, id, kind, record_id, at, body, bytes)',
      many(e => line(...e, tap.length)),
    )
    await copy(
      url,
      'records (angler_id, kind, id, event_id, at, body)',
      many(([angler, id, kind, record, at, body]) => line(angler!, kind!, record!, id!, at!, body!)),
    )
    await db.query('analyze')
    const usual = await tapMs(clients[0]!)
    const long = await tapMs(clients.at(-1)!)
    table(
      `A tap of a log of ${LONG_LOG} against one of ${each}`,
      ['', 'ms'],
      [
        ['usual', usual],
        ['long', long],
        ['ratio', long / usual],
      ],
    )
  } finally {
    await server.kill()
    await db.end()
    await database.remove()
  }
}

/** Milliseconds of a tap that is sent: the median of some. */
async function tapMs(c: Client): Promise<number> {
  const out: number[] = []
  for (let i = 0; i < 41; i++) {
    const began = performance.now()
    const { status } = await sendTap(c)
    if (status !== 200) throw new Error(String(status))
    out.push(performance.now() - began)
  }
  return percentile(out, 0.5)
}
