import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync, symlinkSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 as newId } from 'uuid'
import { Client } from '../../tests/api/client'
import { table } from '../bench/timing'
import { type PartName, layoutOf } from '../cluster/layout'
import { Cluster, pause, until } from '../cluster/parts'
import { ASKED, allCalls, call } from './calls'

/**
 * `npm run torture cluster [names]`: what a cluster must survive, on this machine and on loopback, in some minutes.
 * Each part is killed in turn under four writers and two readers; the last landed version is rolled over to this one
 * under a steady load; limits, revocation, jobs and their turns hold for all processes together. Ends with 1 where
 * anything was not as it must be. Names: kills, upgrade, limits, jobs, fair.
 */
const named = process.argv.slice(2)
const wanted = (name: string) => !named.length || named.includes(name)
const found: (string | number)[][] = []
let failed = false
function hold(what: string, is: string, ok: boolean): void {
  found.push([what, is, ok ? 'holds' : 'FAILS'])
  console.log(`${ok ? '·' : '✘'} ${what}: ${is}`)
  if (!ok) failed = true
}

/** Longest until all of it is served again after a part was killed, ms. */
const SERVED_MS = 15_000

/** Writers and readers that go on whatever happens, and what they were told. */
class Load {
  readonly writers: Client[] = []
  private readonly acknowledged: Set<string>[] = []
  private readonly sent: string[][] = []
  private going = true
  private readonly all: Promise<void>[] = []
  /** When a write, and a read, last went well, ms. */
  readonly last = { write: 0, read: 0 }
  /** What did not go well, by status; 0 where there was no answer. */
  readonly failures: number[] = []

  constructor(
    private readonly url: string,
    writers: number,
    readers: number,
    private readonly everyMs = 20,
  ) {
    for (let w = 0; w < writers; w++) this.write(w)
    for (let r = 0; r < readers; r++) this.read()
  }
  private write(w: number): void {
    const client = new Client(this.url)
    this.writers.push(client)
    const [acknowledged, sent] = [new Set<string>(), [] as string[]]
    this.acknowledged.push(acknowledged)
    this.sent.push(sent)
    const work = async () => {
      await until('a device', async () => (await client.call('GET', '/device')).status === 204)
      // A device sends what was not acknowledged again, under the same id.
      let id = newId()
      sent.push(id)
      while (this.going) {
        const ok = await this.went(client.call('PUT', `/calls/${id}`, call(w)))
        if (ok) {
          this.last.write = Date.now()
          acknowledged.add(id)
          id = newId()
          sent.push(id)
        }
        await pause(ok ? this.everyMs : 100)
      }
    }
    this.all.push(work())
  }
  private read(): void {
    const client = new Client(this.url)
    const work = async () => {
      for (let i = 0; this.going; i++) {
        const ok = await this.went(
          i % 2
            ? client.call('GET', '/waters')
            : client.call('POST', '/recommendations', { ...ASKED, depthM: 1 + i / 1e4 }),
        )
        if (ok) this.last.read = Date.now()
        await pause(ok ? this.everyMs : 100)
      }
    }
    this.all.push(work())
  }
  private async went(asked: ReturnType<Client['call']>): Promise<boolean> {
    const status = await asked.then(
      r => r.status,
      () => 0,
    )
    if (status !== 200) this.failures.push(status)
    return status === 200
  }
  async stop(): Promise<void> {
    this.going = false
    await Promise.all(this.all)
  }
  /** What was acknowledged and is not there, and what is there twice. */
  async counted(): Promise<{ lost: number; doubled: number; acknowledged: number }> {
    let [lost, doubled, acknowledged] = [0, 0, 0]
    for (const [w, client] of this.writers.entries()) {
      const there = await allCalls(client)
      const set = new Set(there)
      doubled += there.length - set.size + there.filter(id => !this.sent[w]!.includes(id)).length
      lost += [...this.acknowledged[w]!].filter(id => !set.has(id)).length
      acknowledged += this.acknowledged[w]!.size
    }
    return { lost, doubled, acknowledged }
  }
}

/** How a part is killed: what is done to it, what brings it back, and what must be so before the next. */
interface Kill {
  name: string
  parts: () => Promise<PartName[]> | PartName[]
}

async function kills(cluster: Cluster): Promise<void> {
  const load = new Load(cluster.layout.url, 4, 2)
  await until('writes', async () => load.last.write > 0 && load.last.read > 0)
  const primary = async (is: boolean): Promise<PartName[]> => {
    const { nth } = (await cluster.primary())!
    return [`database${is ? nth : 3 - nth}` as PartName]
  }
  const turns: Kill[] = [
    { name: 'a web process', parts: () => ['web1'] },
    { name: 'a worker', parts: () => ['worker1'] },
    { name: 'the proxy', parts: () => ['proxy'] },
    { name: 'the store of who leads', parts: () => ['etcd'] },
    { name: 'the standby', parts: () => primary(false) },
    { name: 'the primary', parts: () => primary(true) },
    { name: 'the primary again', parts: () => primary(true) },
  ]
  for (const { name, parts } of turns) {
    const killed = await parts()
    await pause(1000)
    for (const part of killed) await cluster.kill(part)
    const at = Date.now()
    // What watches over a process starts it again; a machine stays away for a while.
    if (!name.startsWith('the primary')) for (const part of killed) void cluster.start(part).catch(() => {})
    await pause(300)
    const wroteMs = await until(`writes after ${name}`, async () => load.last.write > at + 300).catch(() => 60_000)
    await until(`reads after ${name}`, async () => load.last.read > at + 300).catch(() => 60_000)
    hold(`${name} is killed`, `written again after ${((wroteMs + 300) / 1000).toFixed(1)} s`, wroteMs < SERVED_MS)
    for (const part of killed) await cluster.start(part)
    await until('a standby', async () => (await cluster.primary())?.standby === true, 120_000)
  }
  await load.stop()
  const { lost, doubled, acknowledged } = await load.counted()
  hold(
    'what was acknowledged under all that',
    `${acknowledged} acknowledged, ${lost} lost, ${doubled} doubled`,
    !lost && !doubled && acknowledged > 100,
  )
}

/** The version before the newest change of the schema, built in a folder of its own. */
function landedBefore(): { root: string; remove: () => void } | null {
  const git = (...args: string[]) => execFileSync('git', args, { encoding: 'utf8' }).trim()
  const asked = process.env.PISCATOR_FROM
  const rev = asked ?? `${git('log', '-1', '--format=%H', '--', 'server/db/migrations/names.json')}^`
  try {
    git('rev-parse', '--verify', `${rev}^{commit}`)
  } catch {
    return null
  }
  const root = mkdtempSync(join(tmpdir(), 'piscator-landed-'))
  git('worktree', 'add', '--force', '--detach', root, rev)
  symlinkSync(join(process.cwd(), 'node_modules'), join(root, 'node_modules'))
  console.log(`Building ${git('rev-parse', '--short', rev)} (a minute or two)`)
  execFileSync('node_modules/.bin/nuxt', ['build'], { cwd: root, stdio: 'ignore' })
  return {
    root,
    remove() {
      git('worktree', 'remove', '--force', root)
      rmSync(root, { recursive: true, force: true })
    },
  }
}

/** The version before this one is rolled over to this one, process by process, under twenty requests a second. */
async function upgrade(cluster: Cluster): Promise<void> {
  // Two writers and two readers at five a second each.
  const load = new Load(cluster.layout.url, 2, 2, 200)
  await until('writes', async () => load.last.write > 0 && load.last.read > 0)
  await pause(3000)
  const before = load.failures.length
  const began = Date.now()
  await cluster.roll({ root: process.cwd() })
  await pause(3000)
  await load.stop()
  const { lost, doubled, acknowledged } = await load.counted()
  const failures = load.failures.slice(before)
  const seconds = ((Date.now() - began) / 1000).toFixed(0)
  hold(
    'a rolling upgrade under 20 requests a second',
    `${failures.length} failures ${[...new Set(failures)].join()} in ${seconds} s; ${lost} lost, ` +
      `${doubled} doubled of ${acknowledged}`,
    !failures.length && !lost && !doubled && acknowledged > 0,
  )
}

/** What one process is told, all know within a second. */
async function limits(cluster: Cluster): Promise<void> {
  const at = (n: number) => `http://127.0.0.1:${cluster.layout.port('app', n)}`
  const one = new Client(at(1))
  await one.call('PUT', '/account/password', {
    name: `Tern ${newId().slice(-6)}`,
    password: 'four slow carp under ice',
  })
  const same = new Client(at(2))
  same.cookie = one.cookie
  const ways = await same.call('GET', '/account')
  await one.call('POST', '/sign-out', {})
  const began = Date.now()
  const ms = await until('signed out', async () => (await same.call('GET', '/account')).status === 401, 5000)
  hold('a session ended at one process', `unknown at the other after ${ms} ms`, ways.status === 200 && ms < 1000)
  // As much as one device may ask, all of it of one process.
  const busy = new Client(at(1))
  await busy.call('GET', '/device')
  const other = new Client(at(2))
  other.cookie = busy.cookie
  let refused = 0
  while (!refused && Date.now() - began < 60_000) {
    const all = await Promise.all(Array.from({ length: 50 }, () => busy.call('GET', '/waters')))
    refused = all.filter(r => r.status === 429).length
  }
  const seen = await until('the limit', async () => (await other.call('GET', '/waters')).status === 429, 5000).catch(
    () => 5000,
  )
  hold('a limit reached at one process', `holds at the other after ${seen} ms`, refused > 0 && seen < 1000)
}

const scenes = (many: number) =>
  Array.from({ length: many }, (_, i) => ({
    lure: 'jerkbait',
    water: { visibilityM: 0.5 + (i % 300) / 100, tint: 'green', temperatureC: 14 },
    light: { sky: 'partly', sunElevationDeg: 20 + Math.floor(i / 300) },
    weight: 1,
  }))

async function asJob(client: Client, many: number): Promise<string> {
  const response = await fetch(`${client.url}/api/v1/kits`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'prefer': 'respond-async', 'cookie': client.cookie },
    body: JSON.stringify({ scenes: scenes(many) }),
  })
  if (response.status !== 202) throw new Error(`${response.status}: ${await response.text()}`)
  return ((await response.json()) as { id: string }).id
}
const jobOf = async (client: Client, id: string) =>
  (await client.call('GET', `/jobs/${id}`)).body as { state: string; done: number; parts: number }

/** A worker that is killed at half of a kit: another goes on there. */
async function jobs(cluster: Cluster): Promise<void> {
  const client = new Client(cluster.layout.url)
  await client.call('GET', '/device')
  const id = await asJob(client, 1500)
  await until('half a kit', async () => {
    const { done, parts } = await jobOf(client, id)
    return done >= parts / 2
  })
  const workers: PartName[] = ['worker1', 'worker2']
  for (const part of workers) await cluster.kill(part)
  await pause(500)
  const { done, parts } = await jobOf(client, id)
  for (const part of workers) await cluster.start(part)
  let least = Infinity
  const ms = await until(
    'the kit',
    async () => {
      const now = await jobOf(client, id)
      least = Math.min(least, now.done)
      return now.state === 'done'
    },
    90_000,
  )
  const { status } = await client.call('GET', `/jobs/${id}/answer`)
  hold(
    'all workers killed at half of a kit',
    `at ${done} of ${parts}; never under ${least} after it, done ${(ms / 1000).toFixed(1)} s later`,
    status === 200 && least >= done && done < parts,
  )
}

/** One device's fifty jobs leave another's waiting under two seconds. */
async function fair(cluster: Cluster): Promise<void> {
  const [greedy, other] = [new Client(cluster.layout.url), new Client(cluster.layout.url)]
  for (const c of [greedy, other]) await c.call('GET', '/device')
  const all = []
  for (let i = 0; i < 50; i++) all.push(await asJob(greedy, 200))
  await pause(1000)
  const waits: number[] = []
  for (let i = 0; i < 5; i++) {
    const began = Date.now()
    const id = await asJob(other, 20)
    await until('a turn', async () => (await jobOf(other, id)).state !== 'waiting', 60_000)
    waits.push(Date.now() - began)
    await until('the end', async () => (await jobOf(other, id)).state === 'done', 60_000)
  }
  const waiting = (await Promise.all(all.map(id => jobOf(greedy, id)))).filter(j => j.state !== 'done').length
  for (const id of all) await greedy.call('DELETE', `/jobs/${id}`)
  const most = Math.max(...waits)
  hold("behind another's fifty jobs", `${waiting} still to do; waited at most ${most} ms`, waiting > 0 && most < 2000)
}

/** The first of sixty ports that nobody has, below those that connections out are given. */
async function freePorts(): Promise<number> {
  const isFree = (port: number) =>
    new Promise<boolean>(resolve => {
      const s = createServer().once('error', () => resolve(false))
      s.listen(port, '127.0.0.1', () => s.close(() => resolve(true)))
    })
  for (let first = 21_000; first < 32_000; first += 100) {
    const free = await Promise.all(Array.from({ length: 60 }, (_, i) => isFree(first + i)))
    if (free.every(Boolean)) return first
  }
  throw new Error('no sixty ports in a row are free')
}

const home = process.env.PISCATOR_CLUSTER_HOME!
rmSync(home, { recursive: true, force: true })
const cluster = new Cluster(layoutOf(home, await freePorts()), process.env.PISCATOR_PG_BIN!)
const before = wanted('upgrade') ? landedBefore() : null
try {
  const began = Date.now()
  await cluster.up(before ?? undefined)
  console.log(`The cluster serves after ${((Date.now() - began) / 1000).toFixed(0)} s`)
  if (before && existsSync(before.root)) await upgrade(cluster)
  else if (wanted('upgrade')) hold('a rolling upgrade', 'there is no version before this one here', named.length === 0)
  if (wanted('limits')) await limits(cluster)
  if (wanted('fair')) await fair(cluster)
  if (wanted('jobs')) await jobs(cluster)
  if (wanted('kills')) await kills(cluster)
} finally {
  await cluster.down()
  before?.remove()
}
table('What the cluster survives', ['', 'found', ''], found)
process.exit(failed ? 1 : 0)
