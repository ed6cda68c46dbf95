import { spawnSync } from 'node:child_process'
import { expect, it } from 'vitest'

/** The short form of `npm run torture`, on the tests' own database. */
it(
  'survives bad inputs, attacks, kills, a frozen and a full database, idle connections and a load',
  { timeout: 480_000 },
  () => {
    const run = spawnSync('node_modules/.bin/tsx', ['tools/torture/torture.ts', 'short', 'keep-database'], {
      encoding: 'utf8',
      timeout: 400_000,
    })
    expect(run.status, run.stdout).toBe(0)
  },
)
