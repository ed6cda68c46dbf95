import { type ChildProcess, spawn } from 'node:child_process'
import { once } from 'node:events'
import { closeSync, existsSync, mkdirSync, openSync, readFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname } from 'node:path'

/** What servers that were started here said of their own accord. */
const SAID = 'test-results/server.err'
/** How often one said that something was not caught. */
export const uncaught = (): number =>
  existsSync(SAID) ? (readFileSync(SAID, 'utf8').match(/uncaught|unhandled/gi) ?? []).length : 0

/** A production server of its own, for tests and benchmarks that start, stop and kill it. */
export interface Server {
  url: string
  kill: (signal?: NodeJS.Signals) => Promise<void>
  process: ChildProcess
}

export async function freePort(): Promise<number> {
  const s = createServer().listen(0, '127.0.0.1')
  await once(s, 'listening')
  const { port } = s.address() as { port: number }
  s.close()
  await once(s, 'close')
  return port
}

/**
 * Start the built server and wait until it answers. Without a session secret in the environment it gets a throw-away
 * one.
 */
export async function startServer(port?: number, more: Record<string, string> = {}, root = '.'): Promise<Server> {
  const on = port ?? (await freePort())
  const env = {
    NUXT_SESSION_PASSWORD: 'throw-away-throw-away-throw-away-throw-away',
    ...process.env,
    ...more,
    NITRO_HOST: '127.0.0.1',
    NITRO_PORT: String(on),
  }
  mkdirSync(dirname(SAID), { recursive: true })
  const said = openSync(SAID, 'a')
  const child = spawn('node', [`${root}/.output/server/index.mjs`], { env, stdio: ['ignore', 'ignore', said] })
  closeSync(said)
  const url = `http://127.0.0.1:${on}`
  for (let i = 0; i < 150; i++) {
    if (
      await fetch(`${url}/api/v1/openapi.json`).then(
        r => r.ok,
        () => false,
      )
    )
      break
    await new Promise(r => setTimeout(r, 100))
  }
  return {
    url,
    process: child,
    async kill(signal = 'SIGTERM') {
      if (child.exitCode !== null || child.signalCode !== null) return
      child.kill(signal)
      await once(child, 'exit')
    },
  }
}
