import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { v7 as newId } from 'uuid'
import { Client } from '../../tests/api/client'
import samples from '../../shared/schema/samples.json' with { type: 'json' }
import { type Server, startServer } from '../server'
import { ASKED } from '../torture/calls'
import { ownDatabase } from './ownDatabase'
import { table } from './timing'

/** Requests of each kind that are counted, after some that warm up. */
const ROUNDS = { warm: 300, counted: 1500 } as const
const STATE = '.piscator/cores'
const TICKS = Number(execFileSync('getconf', ['CLK_TCK'], { encoding: 'utf8' }))

/** Seconds of a processor that a process has used, all its threads (proc(5), fields 14 and 15). */
function processorS(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ')
  return (Number(fields[11]) + Number(fields[12])) / TICKS
}
/** The same of all processes of a cluster of the database. */
function databaseS(postmaster: number): number {
  const all = execFileSync('ps', ['-o', 'pid=', '--ppid', String(postmaster)], { encoding: 'utf8' })
  return all
    .trim()
    .split(/\s+/)
    .reduce((sum, pid) => {
      try {
        return sum + processorS(Number(pid))
      } catch {
        return sum
      }
    }, 0)
}

const KINDS: Record<string, (c: Client, i: number) => ReturnType<Client['call']>> = {
  'a ranking': (c, i) => c.call('POST', '/recommendations', { ...ASKED, depthM: 0.3 + i / 1e5 }),
  'a tap that is sent': c =>
    c.call('POST', '/sync', {
      cursor: '9000000000000',
      events: [
        { id: newId(), kind: 'tap', recordId: newId(), at: new Date().toISOString(), body: samples.tap.at(-1)! },
      ],
    }),
  'nothing new is asked for': c => c.call('POST', '/sync', { cursor: '9000000000000', events: [] }),
  'waters': c => c.call('GET', '/waters'),
}

async function ask(servers: readonly Server[], kind: string, from: number, many: number): Promise<void> {
  const clients = servers.map(s => new Client(s.url))
  for (const c of clients) await c.call('GET', '/device')
  let next = 0
  await Promise.all(
    Array.from({ length: 6 }, async () => {
      while (next < many) {
        const i = next++
        const { status } = await KINDS[kind]!(clients[i % clients.length]!, from + i)
        if (status !== 200) throw new Error(`${kind}: ${status}`)
      }
    }),
  )
}

/**
 * `npm run bench cores`: what a request costs, in milliseconds of a processor, of the app and of the database, with
 * one, two and three web processes: where it stays the same, as many processes carry as many times as much. The client,
 * on the same processors, is not counted.
 */
export async function benchCores(): Promise<void> {
  const database = await ownDatabase(STATE)
  const found = execFileSync('ps', ['-eo', 'pid=,args='], { encoding: 'utf8' }).split('\n')
  const postmaster = parseInt(found.find(l => l.includes('postgres -D') && l.includes(STATE)) ?? '', 10)
  if (!postmaster) throw new Error('the database was not found')
  const more = { PISCATOR_DEVICE_RATE: '100000', PISCATOR_ADDRESS_RATE: '100000', PISCATOR_TOTAL_RATE: '100000' }
  const rows: (string | number)[][] = []
  const servers: Server[] = []
  try {
    for (const many of [1, 2, 3]) {
      servers.push(...(await Promise.all(Array.from({ length: many }, () => startServer(undefined, more)))))
      for (const kind of Object.keys(KINDS)) {
        await ask(servers, kind, 2e4 * many, ROUNDS.warm)
        const used = () => servers.map(s => processorS(s.process.pid!)).reduce((a, b) => a + b)
        const before = [used(), databaseS(postmaster)] as const
        await ask(servers, kind, 2e4 * many + 1e4, ROUNDS.counted)
        const [app, base] = [used() - before[0], databaseS(postmaster) - before[1]]
        const perS = (s: number) => (s > 0 ? Math.round(ROUNDS.counted / s) : '')
        rows.push([kind, many, (1000 * app) / ROUNDS.counted, (1000 * base) / ROUNDS.counted, perS(app), perS(base)])
      }
      await Promise.all(servers.splice(0).map(s => s.kill()))
    }
  } finally {
    await Promise.all(servers.map(s => s.kill()))
    await database.remove()
  }
  table(
    'What a request costs, milliseconds of a processor, and how many a core carries a second',
    ['', 'web processes', 'app ms', 'database ms', 'a core of the app', 'of the database'],
    rows,
  )
}
