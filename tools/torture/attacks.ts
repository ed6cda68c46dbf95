import { readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2019.js'
import addFormats from 'ajv-formats'
import fc from 'fast-check'
import pg from 'pg'
import { v7 as newId } from 'uuid'
import { Client } from '../../tests/api/client'
import { type Server, startServer } from '../server'
import { type Schemas, neighboursOf, valuesOf } from './schemaInputs'

/** What an attack is told, and how it says what it found. */
export interface Attack {
  server: Server
  short: boolean
  ownerUrl: string
  hold: (what: string, found: string, ok: boolean) => void
}

export const memoryMB = (server: Server) => {
  const status = readFileSync(`/proc/${server.process.pid}/status`, 'utf8')
  return Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024
}
const pause = (ms: number) => new Promise(r => setTimeout(r, ms))
const percentile = (values: number[], p: number) => {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))] ?? 0
}
const since = (began: number) => performance.now() - began

const RANKED = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green', temperatureC: 14 },
  light: { sky: 'partly', sunElevationDeg: 40 },
}
const event = (name: string) => ({
  id: newId(),
  kind: 'lure',
  recordId: newId(),
  at: '2026-05-10T10:00:00.000Z',
  body: {
    lure: 'jerkbait',
    finishId: 'jerkbait.bone',
    name,
    count: 1,
    wear: 'new',
    keptIn: '',
    note: '',
    retired: false,
  },
})
const cast = (k: number) => ({
  kind: 'light',
  samples: Array.from({ length: 40 }, (_, i) => {
    const depthM = (50 + 70 * i + 3 * (k % 20)) / 1000
    return { depthM, lux: Math.round(2e4 * Math.exp(-0.9 * depthM)) + k, red: 1, green: 1, blue: 1 }
  }),
})
/** The heaviest that may be asked of each kind, no two alike. */
let asked = 0
const HEAVY: readonly (() => readonly [string, unknown])[] = [
  () => ['/readings', { readings: Array.from({ length: 12 }, (_, k) => cast(k + 12 * asked++)) }],
  () => [
    '/recommendations',
    { ...RANKED, water: { readings: Array.from({ length: 12 }, (_, k) => cast(k + 12 * asked++)) } },
  ],
  () => [
    '/kits',
    {
      scenes: Array.from({ length: 600 }, (_, i) => ({
        ...RANKED,
        water: { visibilityM: 0.2 + ((i * 7 + asked++) % 500) / 100, tint: 'green' },
        light: { sky: 'clear', sunElevationDeg: i % 80 },
      })),
      sizes: [1, 20],
    },
  ],
  () => [
    '/day-plans',
    {
      date: '2026-05-10',
      place: { latitude: 34.9 + asked++ / 1000, longitude: -84.3, utcOffsetMin: -240 },
      water: { visibilityM: 1.2, tint: 'green' },
      lures: ['jerkbait', 'spinnerbait', 'deep-crankbait', 'worm'].map(lure => ({ lure })),
    },
  ],
  () => ['/sync', { cursor: null, events: Array.from({ length: 200 }, () => event(`Heavy ${asked++}`)) }],
]

/** A text that no database keeps: that event is refused, the other nine are kept, and the device goes on. */
async function brokenTexts({ server, hold }: Attack): Promise<void> {
  const client = new Client(server.url)
  await client.call('GET', '/device')
  const wrong: string[] = []
  for (const text of ['x\ud83d', 'y\0', '\udc1f']) {
    const events = Array.from({ length: 10 }, (_, i) => event(i === 4 ? text : `Lure ${i}`))
    const { status, body } = await client.call('POST', '/sync', { cursor: null, events })
    const { accepted = [], refused = [] } = body as { accepted?: string[]; refused?: { index: number }[] }
    if (status !== 200 || accepted.length !== 9 || refused[0]?.index !== 4)
      wrong.push(`${status}: ${accepted.length} taken, ${JSON.stringify(refused)}`)
  }
  const call = { asked: { ...RANKED, season: 'x\ud83d' }, tiedOn: 'jerkbait.bone', keptAt: '2026-04-12T10:40:00Z' }
  const kept = await client.call('PUT', `/calls/${newId()}`, call)
  hold(
    'texts no database keeps',
    `${wrong.join('; ') || 'none'} stop a parcel, a call ${kept.status}`,
    !wrong.length && kept.status === 422,
  )
}

/** Many events recovered while another device of the receiving angler goes on syncing: all are heard. */
async function recovery({ server, short, ownerUrl, hold }: Attack): Promise<void> {
  const many = short ? 3000 : 150_000
  const [mine, other] = [new Client(server.url), new Client(server.url)]
  for (const c of [mine, other]) {
    await c.call('GET', '/device')
    await c.call('POST', '/sync', { cursor: null, events: [event('First')] })
  }
  const owner = new pg.Client({ connectionString: ownerUrl })
  await owner.connect()
  try {
    // The newest angler with one event is the other device's.
    const { rows } = await owner.query<{ angler_id: string }>(
      `select angler_id from events group by angler_id having count(*) = 1 order by max(seq) desc limit 1`,
    )
    await owner.query(
      `insert into events (angler_id, id, kind, record_id, at, body, bytes)
       select $1, gen_random_uuid(), kind, gen_random_uuid(), at, body, bytes
       from events, generate_series(2, $2::integer) where angler_id = $1`,
      [rows[0]!.angler_id, many],
    )
    await owner.query('update anglers set events_kept = $2::integer, event_bytes = 200 * $2::integer where id = $1', [
      rows[0]!.angler_id,
      many,
    ])
  } finally {
    await owner.end()
  }
  const { code } = (await mine.call('POST', '/recovery-code')).body as { code: string }
  const copy = new Client(server.url)
  copy.cookie = mine.cookie
  let cursor: string | null = null
  const heard = new Set<string>()
  const read = async () => {
    const { status, body } = await copy.call('POST', '/sync', { cursor, events: [event('Meanwhile')] })
    const page = body as { events: { id: string }[]; cursor: string; more: boolean }
    if (status !== 200) return true
    for (const e of page.events) heard.add(e.id)
    cursor = page.cursor
    return page.more
  }
  const began = performance.now()
  let recovered = 0
  const recovering = other.call('POST', '/recover', { code }).then(r => (recovered = r.status))
  const until = Date.now() + (short ? 60_000 : 400_000)
  while (Date.now() < until && (heard.size < many || !recovered)) if (!(await read())) await pause(20)
  await recovering
  const words = `${recovered}, ${heard.size} of ${many} heard in ${(since(began) / 1000).toFixed(1)} s`
  hold('recovering beside a device that syncs', words, recovered === 204 && heard.size >= many)
}

/** Codes guessed, and requests under cookies made up on the way: both are counted for the address. */
async function guesses({ server, hold, short }: Attack): Promise<void> {
  const codes = await Promise.all(
    Array.from({ length: 60 }, (_, i) =>
      new Client(server.url).call('POST', '/recover', { code: `AAAAA-AAAAA-AAAAA-${10000 + i}` }).then(r => r.status),
    ),
  )
  const tried = codes.filter(s => s === 422).length
  const lines = readFileSync(process.env.PISCATOR_LOG!, 'utf8').split('\n')
  const noted = lines.filter(l => /recover".*"status":4(22|29)/.test(l)).length
  const words = `${tried} tried, the rest refused; ${Math.min(60, noted)} of them in the log`
  hold('60 codes guessed', words, tried <= 20 && noted >= 60)
  // From an address of its own: what is refused by one process is refused by all of the same database.
  const strict = await startServer(undefined, { PISCATOR_DEVICE_RATE: '5', PISCATOR_TRUSTED_PROXIES: '127.0.0.1' })
  try {
    const junk = await Promise.all(
      Array.from({ length: short ? 100 : 400 }, (_, i) => {
        const headers = { 'cookie': `piscator-0123456789=${i}; x=${i}`, 'x-forwarded-for': '10.9.9.9' }
        return fetch(`${strict.url}/api/v1/health`, { headers }).then(r => r.status)
      }),
    )
    const passed = junk.filter(s => s === 200).length
    hold('junk cookies', `${passed} of ${junk.length} pass a limit of 50`, passed <= 50)
  } finally {
    await strict.kill()
  }
}

/** Who hangs up frees the thread: the next heavy request takes what it takes alone. */
async function hangUps({ server, hold, short }: Attack): Promise<void> {
  const ask = (c: Client, [path, body]: readonly [string, unknown]) => c.call('POST', path, body)
  const [one, other] = [new Client(server.url), new Client(server.url)]
  for (const c of [one, other]) await c.call('GET', '/device')
  await ask(one, HEAVY[0]!())
  const alone: number[] = []
  const after: number[] = []
  for (let i = 0; i < (short ? 1 : 5); i++) {
    const disc = () => ['/readings', { readings: [{ kind: 'disc', depthM: 1 + asked++ / 1000 }] }] as const
    let began = performance.now()
    await ask(other, disc())
    alone.push(since(began))
    const [path, body] = HEAVY[2]!()
    const gone = new AbortController()
    const headers = { 'content-type': 'application/json', 'cookie': one.cookie }
    void fetch(`${server.url}/api/v1${path}`, {
      method: 'POST',
      headers,
      body: JSON.stringify(body),
      signal: gone.signal,
    }).catch(() => {})
    await pause(700)
    gone.abort()
    await pause(100)
    began = performance.now()
    await ask(other, disc())
    after.push(since(began))
  }
  const [a, b] = [percentile(alone, 0.5), percentile(after, 0.5)]
  // A thread that begins anew works out which waters there are first, as the first of a server does; the short form is
  // run beside other checks, which take their part of the processors.
  const words = `a reading ${a.toFixed(0)} ms alone, ${b.toFixed(0)} ms 0.1 s after a kit was hung up on`
  hold('a heavy request hung up on', words, b < a + (short ? 6000 : 1000))
}

/** Light requests beside all that one device may ask for at once. */
async function besideOneDevice({ server, hold, short }: Attack): Promise<void> {
  const greedy = new Client(server.url)
  await greedy.call('GET', '/device')
  const light = new Client(server.url)
  await light.call('GET', '/device')
  let going = true
  const statuses = new Map<number, number>()
  const asker = async (k: number) => {
    for (let i = k; going; i++) {
      const [path, body] = HEAVY[i % HEAVY.length]!()
      const { status } = await greedy.call('POST', path, body).catch(() => ({ status: 0 }))
      statuses.set(status, (statuses.get(status) ?? 0) + 1)
      if (status !== 200) await pause(300)
    }
  }
  const askers = [0, 1, 2, 3, 4].map(asker)
  const waits: number[] = []
  let faults = 0
  const until = Date.now() + (short ? 2500 : 40_000)
  for (let i = 0; Date.now() < until; i++) {
    const began = performance.now()
    const { status } =
      i % 2
        ? await light.call('GET', '/health')
        : await light.call('POST', '/recommendations', { ...RANKED, depthM: 0.5 + (i % 900) / 500 })
    waits.push(since(began))
    if (status !== 200) faults++
    await pause(20)
  }
  going = false
  await Promise.all(askers)
  const served = [...statuses].map(([s, n]) => `${n} × ${s}`).join(', ')
  const p95 = percentile(waits, 0.95)
  const median = percentile(waits, 0.5).toFixed(0)
  const words = `${served}; ${waits.length} light ones, median ${median} ms, p95 ${p95.toFixed(0)} ms`
  hold('beside all that one device may ask', words, !faults && (short || p95 < 50))
}

/** Requests drawn from the API's own schemas, and their neighbours: each answer is as it is described. */
async function drawn({ server, hold, short }: Attack): Promise<void> {
  const many = short ? 120 : 15_000
  const doc = (await new Client(server.url).call('GET', '/openapi.json')).body as { components: { schemas: Schemas } }
  const { schemas } = doc.components
  const ajv = new Ajv({ strict: false })
  addFormats(ajv)
  ajv.addSchema(doc, 'doc')
  const validate = (name: string) => ajv.getSchema(`doc#/components/schemas/${name}`)!
  const CALLS = [
    ['/recommendations', 'Request', 'Answer', 8],
    ['/recommendations', 'RequestByReadings', 'Answer', 1],
    ['/readings', 'ReadingsRequest', 'ReadingsAnswer', 2],
    ['/day-plans', 'DayRequest', 'DayPlan', 1],
    ['/kits', 'KitRequest', 'Kit', 1],
    ['/trials/order', 'OrderRequest', 'Order', 1],
    ['/trials/verdict', 'VerdictRequest', 'Verdict', 2],
    ['/sync', 'SyncRequest', 'Sync', 2],
  ] as const
  const one = CALLS.map(([path, request, answer, weight]) => {
    const values = valuesOf({ $ref: `#/components/schemas/${request}` }, schemas)
    return { weight, arbitrary: fc.oneof(values, neighboursOf(values)).map(body => ({ path, answer, body })) }
  })
  const inputs = fc.sample(fc.oneof(...one), { numRuns: many, seed: 23 })
  const found = { faults: 0, invalid: 0, right: 0, slowest: 0 }
  let next = 0
  const worker = async () => {
    const client = new Client(server.url)
    await client.call('GET', '/device')
    while (next < inputs.length) {
      const { path, answer, body } = inputs[next++]!
      const began = performance.now()
      const response = await client.call('POST', path, body)
      found.slowest = Math.max(found.slowest, since(began))
      const is = validate(response.status === 200 ? answer : 'Faults')
      if (response.status === 200) found.right++
      const bad = response.status >= 500 && response.status !== 503
      if (bad) found.faults++
      const invalid = !is(response.body)
      if (invalid) found.invalid++
      if ((bad || invalid) && found.faults + found.invalid < 6)
        console.log(`  ${response.status} ${path}`, JSON.stringify(body).slice(0, 300), ajv.errorsText(is.errors))
    }
  }
  const before = memoryMB(server)
  await Promise.all([worker(), worker()])
  hold('memory after them', `${before.toFixed(0)} to ${memoryMB(server).toFixed(0)} MB`, memoryMB(server) < 600)
  const { faults, invalid, right, slowest } = found
  const words = `${right} right; ${faults} × 5xx, ${invalid} not as described, slowest ${(slowest / 1000).toFixed(1)} s`
  hold(`${many} requests drawn from the schemas`, words, !faults && !invalid && (short || slowest < 5000))
}

/** A database of calls from the first version brought up to date, and three at once on an empty one. */
async function upgrade({ hold, short, ownerUrl }: Attack): Promise<void> {
  const many = short ? 2000 : 1_000_000
  const { openDatabase, UNHURRIED } = await import('../../server/db/connection')
  const { hasSchema, migrate } = await import('../../server/db/migrate')
  const { SCHEMA } = await import('../../server/db/migrations/index')
  const { first } = await import('../../server/db/migrations/0001-first')
  const admin = new pg.Client({ connectionString: process.env.PISCATOR_ADMIN_URL + '/postgres' })
  await admin.connect()
  const made = async (name: string) => {
    await admin.query(`drop database if exists ${name}`)
    await admin.query(`create database ${name} owner piscator_owner`)
    const url = new URL(ownerUrl)
    url.pathname = `/${name}`
    return url.href
  }
  try {
    const old = openDatabase(await made('piscator_old'), UNHURRIED)
    const queries = old.sequelize.getQueryInterface()
    await old.sequelize.transaction(transaction =>
      first.up({ context: { query: sql => old.sequelize.query(sql, { transaction }), queries, transaction } }),
    )
    await old.sequelize.query('create table "SequelizeMeta" (name varchar(255) primary key)')
    await old.sequelize.query(`insert into "SequelizeMeta" values ('${first.name}')`)
    await old.sequelize.query(`insert into lure_types values ('jerkbait', 'Jerkbait', 'hard-bait', false, false, 0, 2);
      insert into finishes values ('jerkbait.bone', 'jerkbait', 'Bone', '{bone}', '{}', '{}');
      insert into anglers select gen_random_uuid() from generate_series(1, 1000);
      insert into calls (id, angler_id, asked, answer, engine_version, tied_on, kept_at)
        select gen_random_uuid(), a.id, '{"lure":"jerkbait"}',
          '{"ranked":[{"rank":1,"finish":{"id":"jerkbait.black"}},{"rank":2,"finish":{"id":"jerkbait.bone"}}]}',
          '1', 'jerkbait.bone', now()
        from anglers a, generate_series(1, ${many / 1000})`)
    const began = performance.now()
    await migrate(old)
    const took = since(began)
    const [[row]] = (await old.sequelize.query(
      `select count(*) as n from records where kind = 'call' and body ->> 'rank' = '2'`,
    )) as [{ n: string }[], unknown]
    await old.sequelize.close()
    hold(
      `${many} calls from version 1 brought up to date`,
      `${row!.n} ranked, ${(took / 1000).toFixed(1)} s`,
      Number(row!.n) === many,
    )
    const url = await made('piscator_empty')
    const three = [1, 2, 3].map(() => openDatabase(url, UNHURRIED))
    await Promise.all(three.map(db => migrate(db)))
    const there = await hasSchema(three[0]!, SCHEMA)
    await Promise.all(three.map(db => db.sequelize.close()))
    hold('three at once on an empty database', there ? 'up to date' : 'not up to date', there)
  } finally {
    for (const name of ['piscator_old', 'piscator_empty'])
      await admin.query(`drop database if exists ${name} with (force)`)
    await admin.end()
  }
}

/** The attacks by name, in the order they are made. */
export const ATTACKS = { brokenTexts, drawn, hangUps, besideOneDevice, recovery, guesses, upgrade } as const
