/** The records of a moment: a base copy and what changed since give them back, and what came later is kept aside. */
import { execFileSync } from 'node:child_process'
import { chmodSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { afterAll, expect, it } from 'vitest'

const state = mkdtempSync(join(tmpdir(), 'piscator-moment-'))
chmodSync(state, 0o755)
const env = { ...process.env, PISCATOR_STATE: state, PISCATOR_WAL: join(state, 'wal'), PISCATOR_PG_PORT: '55310' }
const run = (...args: string[]) => execFileSync('bash', ['./run', ...args], { env, encoding: 'utf8' })
/** Statements by the cluster's own role. */
async function query<Row extends object>(sql: string): Promise<Row[]> {
  const script = `. tools/shell/common.sh; . tools/shell/setup.sh; . tools/shell/postgres.sh; pg_start demo durable
    echo "url=$PISCATOR_ADMIN_URL/piscator"`
  const said = execFileSync('bash', ['-c', `ROOT=$PWD; ${script}`], { env, encoding: 'utf8' })
  const client = new pg.Client({ connectionString: /^url=(\S+)$/m.exec(said)![1] })
  await client.connect()
  try {
    return (await client.query<Row>(sql)).rows
  } finally {
    await client.end()
  }
}
const pause = (ms: number) => new Promise(r => setTimeout(r, ms))
const kept = async () => (await query<{ word: string }>('select word from notes order by word')).map(r => r.word)

afterAll(() => {
  execFileSync('bash', ['./run', 'stop'], { env })
  rmSync(state, { recursive: true, force: true })
})

it('of a moment come back, those since are kept aside, and a moment before any copy is refused', async () => {
  run('base')
  await query('create table notes (word text)')
  await query(`insert into notes values ('first'), ('second')`)
  await pause(1500)
  const moment = new Date().toISOString()
  await pause(1500)
  await query(`delete from notes`)
  await query(`insert into notes values ('by mistake')`)
  expect(await kept()).toEqual(['by mistake'])
  expect(() => run('back-to', '2001-01-01T00:00:00Z')).toThrow(/no copy from before/)
  expect(run('back-to', moment)).toContain(`The records are those of ${moment}`)
  expect(await kept()).toEqual(['first', 'second'])
  // They can be written again, and what was there is still to be had.
  await query(`insert into notes values ('third')`)
  expect(await kept()).toEqual(['first', 'second', 'third'])
  expect(readdirSync(join(state, 'pg-demo')).filter(f => f.startsWith('data-before-'))).toHaveLength(1)
}, 90_000)
