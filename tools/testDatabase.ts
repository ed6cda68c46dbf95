import { execFileSync } from 'node:child_process'

/**
 * Stop or start the tests' own PostgreSQL; starting gives the environment it is reached by. `state` names a folder for
 * one of a test's own, to be killed without harm to other tests.
 */
export function testDatabase(what: 'start' | 'stop', cwd = '.', state?: string): Record<string, string> {
  const text = execFileSync('bash', ['./run', 'pg-test', ...(what === 'stop' ? ['stop'] : [])], {
    cwd,
    encoding: 'utf8',
    env: { ...process.env, ...(state ? { PISCATOR_STATE: state } : {}) },
    stdio: ['ignore', 'pipe', 'ignore'],
  })
  return Object.fromEntries([...text.matchAll(/^((?:NUXT|PISCATOR)_\w+)=(\S+)$/gm)].map(m => [m[1]!, m[2]!]))
}
