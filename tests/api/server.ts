import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { once } from 'node:events'
import { createServer } from 'node:net'

/** A production server of its own on a free port, for tests that start, stop and kill it. */
export interface Server { url: string, kill: (signal?: NodeJS.Signals) => Promise<void>, process: ChildProcess }

export async function freePort(): Promise<number> {
  const s = createServer().listen(0, '127.0.0.1')
  await once(s, 'listening')
  const { port } = s.address() as { port: number }
  s.close()
  await once(s, 'close')
  return port
}

export async function startServer(port?: number, env: Record<string, string> = {}): Promise<Server> {
  const on = port ?? await freePort()
  const child = spawn('node', ['.output/server/index.mjs'], { env: { ...process.env, NITRO_HOST: '127.0.0.1', NITRO_PORT: String(on), ...env }, stdio: ['ignore', 'ignore', 'ignore'] })
  const url = `http://127.0.0.1:${on}`
  for (let i = 0; i < 150; i++) {
    if (await fetch(`${url}/api/v1/openapi.json`).then(r => r.ok, () => false)) break
    await new Promise(r => setTimeout(r, 100))
  }
  return {
    url, process: child,
    async kill(signal = 'SIGTERM') {
      if (child.exitCode !== null || child.signalCode !== null) return
      child.kill(signal)
      await once(child, 'exit')
    },
  }
}

/** A client that keeps its cookie, as a browser does. */
export class Client {
  cookie = ''
  constructor(public url: string) {}
  async call(method: string, path: string, body?: unknown, raw?: string): Promise<{ status: number, body: unknown, headers: Headers }> {
    const response = await fetch(`${this.url}/api/v1${path}`, {
      method, headers: { ...(body === undefined && raw === undefined ? {} : { 'content-type': 'application/json' }), cookie: this.cookie },
      body: raw ?? (body === undefined ? undefined : JSON.stringify(body)),
    })
    const set = response.headers.getSetCookie()[0]
    if (set) this.cookie = set.split(';')[0]!
    const text = await response.text()
    return { status: response.status, body: text ? JSON.parse(text) : null, headers: response.headers }
  }
}

/** Stop or start the tests' own PostgreSQL. */
export const postgres = (what: 'start' | 'stop') => execFileSync('bash', ['./run', 'pg-test', ...(what === 'stop' ? ['stop'] : [])], { stdio: 'ignore' })
