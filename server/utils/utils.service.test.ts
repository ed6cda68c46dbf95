import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import {
  createApp,
  createError,
  createRouter,
  getRequestHeader,
  getRequestIP,
  defineEventHandler,
  getRouterParam,
  setResponseHeader,
  toNodeListener,
} from 'h3'
import Joi from 'joi'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'

/** What Nitro gives every file of the server without an import. */
const config = {
  databaseUrl: process.env.NUXT_DATABASE_URL,
  session: { password: 'only-for-tests-only-for-tests-only-for-tests', older: '' },
}
for (const [name, value] of Object.entries({
  createError,
  defineEventHandler,
  getRequestHeader,
  getRequestIP,
  getRouterParam,
  setResponseHeader,
  useRuntimeConfig: () => config,
}))
  vi.stubGlobal(name, value)
vi.stubEnv('PISCATOR_DEVICE_RATE', '3')
vi.stubEnv('PISCATOR_TOTAL_RATE', '1000')

const { anglerId, ensureAngler, knownAngler } = await import('./angler')
const { cookieName, endSession, renewSession } = await import('./session')
const { closeDatabase, database } = await import('./database')
const { faultError, validatedBody, validatedParam } = await import('./validated')
const { default: limits } = await import('#server/middleware/4.limits')
const { migrate } = await import('#server/db/migrate')
const { openDatabase } = await import('#server/db/connection')
const { signOutEverywhere } = await import('#server/accounts/sessions')

let server: Server
let base = ''
beforeAll(async () => {
  const owner = openDatabase(process.env.NUXT_DATABASE_OWNER_URL!)
  await migrate(owner)
  await owner.sequelize.close()
  const router = createRouter()
    .get(
      '/who',
      defineEventHandler(async event => ({ id: await anglerId(event) })),
    )
    .get(
      '/known',
      defineEventHandler(async event => ({ id: await knownAngler(event) })),
    )
    .get(
      '/device',
      defineEventHandler(async event => {
        const id = await knownAngler(event)
        await renewSession(event)
        return { id }
      }),
    )
    .post(
      '/sign-out',
      defineEventHandler(async event => {
        await signOutEverywhere(database(), (await anglerId(event))!)
        endSession(event)
        return {}
      }),
    )
    .post(
      '/ensure',
      defineEventHandler(async event => ({ id: await ensureAngler(event) })),
    )
    .post(
      '/body',
      defineEventHandler(event => validatedBody(event, Joi.object({ n: Joi.number().min(1).label('N') }))),
    )
    .get(
      '/at/:id',
      defineEventHandler(event => ({ id: validatedParam(event, 'id', Joi.string().length(3)) })),
    )
    .get(
      '/api/x',
      defineEventHandler(() => 'ok'),
    )
  const app = createApp({
    onError: (error, event) => {
      event.node.res.statusCode = error.statusCode
      event.node.res.end(JSON.stringify(error.data ?? {}))
    },
  })
  app.use(limits)
  app.use(router)
  server = createServer(toNodeListener(app)).listen(0, '127.0.0.1')
  await new Promise(done => server.once('listening', done))
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(async () => {
  server.close()
  await closeDatabase()
})

/** A device with its cookie. */
function device() {
  let cookie = ''
  return {
    forget: () => (cookie = ''),
    cookie: () => cookie,
    async ask(path: string, init: RequestInit = {}) {
      const response = await fetch(base + path, {
        ...init,
        headers: { 'content-type': 'application/json', ...init.headers, cookie },
      })
      cookie = response.headers.getSetCookie()[0]?.split(';')[0] ?? cookie
      const text = await response.text()
      return {
        status: response.status,
        body: text.startsWith('{') ? JSON.parse(text) : text,
        headers: response.headers,
      }
    },
  }
}

describe('who is asking', () => {
  it('is nobody without a cookie, and looking makes no one', async () => {
    const d = device()
    expect((await d.ask('/who')).body).toEqual({ id: null })
    expect((await d.ask('/who')).body).toEqual({ id: null })
  })
  it('is known by its cookie before it has a row, and keeps its id when the row is made', async () => {
    const d = device()
    const { id } = (await d.ask('/known')).body
    expect(await database().Angler.count({ where: { id } })).toBe(0)
    expect((await d.ask('/ensure', { method: 'POST' })).body).toEqual({ id })
    expect(await database().Angler.count({ where: { id } })).toBe(1)
    expect((await d.ask('/ensure', { method: 'POST' })).body).toEqual({ id })
    expect((await d.ask('/who')).body).toEqual({ id })
    d.forget()
    expect((await d.ask('/known')).body.id).not.toBe(id)
  })
  it('is nobody with a session that was signed out, or a cookie that was tampered with', async () => {
    const d = device()
    const { id } = (await d.ask('/ensure', { method: 'POST' })).body
    const forged = d.cookie().slice(0, -3) + 'abc'
    expect((await (await fetch(`${base}/who`, { headers: { cookie: forged } })).json()).id).toBe(null)
    await signOutEverywhere(database(), id)
    expect((await d.ask('/who')).body).toEqual({ id: null })
    expect((await d.ask('/known')).body.id).not.toBe(id)
  })
  it('is given its cookie anew once that has grown old, and never runs out while it is used', async () => {
    const d = device()
    const { id } = (await d.ask('/device')).body
    const first = d.cookie()
    const at = Date.now()
    const clock = vi.spyOn(Date, 'now')
    const after = async (days: number) => {
      clock.mockReturnValue(at + days * 86_400_000)
      return (await d.ask('/device')).body.id
    }
    expect([await after(0.5), d.cookie() === first]).toEqual([id, true])
    expect([await after(300), d.cookie() === first]).toEqual([id, false])
    expect(await after(650)).toBe(id)
    clock.mockRestore()
    expect((await (await fetch(`${base}/who`, { headers: { cookie: first } })).json()).id).toBe(id)
  })
  it('is still known when the secret is changed, by the older one, and gets a cookie of the new', async () => {
    const d = device()
    const { id } = (await d.ask('/device')).body
    const old = config.session.password
    const next = 'another-secret-another-secret-another-secret'
    Object.assign(config.session, { password: next, older: `${old}, unused-unused-unused-unused-unused` })
    expect((await d.ask('/who')).body).toEqual({ id })
    expect((await d.ask('/device')).body).toEqual({ id })
    expect(d.cookie()).toMatch(new RegExp(`^${cookieName(next)}=`))
    config.session.older = ''
    expect((await d.ask('/who')).body).toEqual({ id })
    Object.assign(config.session, { password: old })
    expect((await d.ask('/who')).body).toEqual({ id: null })
  })
  it('is named for its host alone over HTTPS, and knows itself again from before', async () => {
    const d = device()
    const { id } = (await d.ask('/device')).body
    const plain = d.cookie()
    const https = { headers: { 'x-forwarded-proto': 'https' } }
    const { headers, body } = await d.ask('/device', https)
    const cookies = headers.getSetCookie()
    expect([body.id, cookies[0]!.startsWith('__Host-piscator-'), /; Secure/.test(cookies[0]!)]).toEqual([
      id,
      true,
      true,
    ])
    expect(cookies[1]).toMatch(new RegExp(`^${plain.split('=')[0]}=; Max-Age=0`))
    expect((await d.ask('/who', https)).body).toEqual({ id })
  })
  it('ends with signing out also where nothing was ever kept', async () => {
    const d = device()
    await d.ask('/device')
    const copy = d.cookie()
    await d.ask('/sign-out', { method: 'POST' })
    expect((await (await fetch(`${base}/who`, { headers: { cookie: copy } })).json()).id).toBe(null)
  })
  it('is asked of one pool of connections', () => expect(database()).toBe(database()))
})

describe('what is sent', () => {
  const post = (body: string | Uint8Array) => device().ask('/body', { method: 'POST', body: body as BodyInit })
  it('is given on as it was checked, and refused with its faults, not its words', async () => {
    expect((await post('{"n":2}')).body).toEqual({ n: 2 })
    const refused = await post('{"n":0.25}')
    expect(refused.status).toBe(422)
    expect(refused.body.errors).toMatchObject([{ path: 'n', code: 'number.min' }])
    expect(JSON.stringify(refused.body)).not.toContain('0.25')
    expect((await post('{"n":')).body.errors).toMatchObject([{ path: '', code: 'json' }])
  })
  it('may be 32 kB and no more', async () => {
    const full = `{"n":1${' '.repeat(32 * 1024 - 7)}}`
    expect((await post(full)).status).toBe(200)
    expect((await post(`${full} `)).status).toBe(413)
    expect((await post(new Uint8Array(200_000))).body.errors).toMatchObject([{ code: 'too-large' }])
  })
  it('is named by its place when it stands in the address', async () => {
    expect((await device().ask('/at/abc')).body).toEqual({ id: 'abc' })
    const refused = await device().ask('/at/abcd')
    expect([refused.status, refused.body.errors[0].path]).toEqual([422, 'id'])
    expect(faultError(409, []).statusCode).toBe(409)
  })
})

describe('limits', () => {
  it('let a device ask thirty times in ten seconds, count devices apart, and leave pages alone', async () => {
    const [one, other] = [device(), device()]
    await one.ask('/known')
    await other.ask('/known')
    const statuses: number[] = []
    for (let i = 0; i < 32; i++) statuses.push((await one.ask('/api/x')).status)
    expect(statuses.filter(s => s === 200)).toHaveLength(30)
    const refused = await one.ask('/api/x')
    expect(refused.status).toBe(429)
    expect(Number(refused.headers.get('retry-after'))).toBeGreaterThan(0)
    expect(Number(refused.headers.get('retry-after'))).toBeLessThanOrEqual(10)
    expect((await other.ask('/api/x')).status).toBe(200)
    expect((await one.ask('/who')).status).toBe(200)
  })
})
