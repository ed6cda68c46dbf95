import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Request } from '#core/conditions/request'
import type { Answer } from '#core/ranking/answer'
import { recommend } from '#core/ranking/recommend'
import { type Server, freePort, startServer } from '../../tools/server'
import { Client, postgres } from './client'

const ASKED: Request = { lure: 'jerkbait', water: { visibilityM: 2, tint: 'green', temperatureC: 14 }, light: { sky: 'partly', sunElevationDeg: 40 } }
const call = () => ({ asked: ASKED, tiedOn: 'jerkbait.bone', keptAt: '2026-04-12T10:40:00.000Z' })
interface Listed { id: string, tiedOn: { id: string, name: string }, rank: number | null, engineVersion: string }
const ids = (body: unknown) => (body as Listed[]).map(c => c.id)

let server: Server
beforeAll(async () => { server = await startServer() })
afterAll(() => server.kill())

describe('recommendations', () => {
  it('answers as the engine does, word for word, however often it is asked', async () => {
    const client = new Client(server.url)
    for (let i = 0; i < 2; i++) {
      const { status, body } = await client.call('POST', '/recommendations', ASKED)
      expect(status).toBe(200)
      expect(body).toEqual(JSON.parse(JSON.stringify(recommend(ASKED))))
    }
  })
  it('is not thrown by the order of the fields', async () => {
    const client = new Client(server.url)
    const turned = Object.fromEntries(Object.entries(ASKED).reverse())
    expect((await client.call('POST', '/recommendations', turned)).body).toEqual((await client.call('POST', '/recommendations', ASKED)).body)
  })
  it('answers 422 with an entry per fault and nothing of what was sent', async () => {
    const { status, body } = await new Client(server.url).call('POST', '/recommendations', { lure: 'sekret', water: { visibilityM: -3, tint: 'tea' }, light: { sky: 'clear', sunElevationDeg: 200 } })
    expect(status).toBe(422)
    expect((body as { errors: { path: string }[] }).errors.map(e => e.path)).toEqual(['lure', 'water.visibilityM', 'light.sunElevationDeg'])
    expect(JSON.stringify(body)).not.toMatch(/sekret|-3\b|stack/)
  })
  it.each([['{"lure":'], ['[]'], ['"x"'], ['']])('answers 422 to a body of %j', async (raw) => {
    const { status, body } = await new Client(server.url).call('POST', '/recommendations', undefined, raw)
    expect(status).toBe(422)
    expect((body as { errors: unknown[] }).errors.length).toBeGreaterThan(0)
  })
  it('refuses a body past its bound', async () => {
    const { status } = await new Client(server.url).call('POST', '/recommendations', undefined, JSON.stringify({ ...ASKED, note: 'x'.repeat(50_000) }))
    expect(status).toBe(413)
  })
  it('needs no account and sets no cookie', async () => {
    const { headers } = await new Client(server.url).call('POST', '/recommendations', ASKED)
    expect(headers.getSetCookie()).toEqual([])
    expect(headers.get('x-content-type-options')).toBe('nosniff')
  })
})

describe('the rest of the surface', () => {
  it('serves health and its own description', async () => {
    const client = new Client(server.url)
    expect((await client.call('GET', '/health')).body).toMatchObject({ status: 'ok' })
    expect((await client.call('GET', '/openapi.json')).body).toMatchObject({ openapi: '3.1.0' })
  })
  it('lists the waters of the basin', async () => {
    const { body } = await new Client(server.url).call('GET', '/waters')
    expect((body as { kind: string }[]).map(w => w.kind).sort()).toEqual(['estuary sound', 'farm pond', 'oxbow', 'tannin creek', 'upland reservoir'])
  })
  it('tells nothing of its insides where there is nothing', async () => {
    const { status, body } = await new Client(server.url).call('GET', '/nowhere')
    expect(status).toBe(404)
    expect(JSON.stringify(body)).not.toMatch(/stack|node_modules|\.mjs/)
  })
})

describe('kept calls', () => {
  it('are kept once however often they are sent, with the server\'s own ranking', async () => {
    const client = new Client(server.url)
    const id = randomUUID()
    const first = await client.call('PUT', `/calls/${id}`, call())
    expect(first.status).toBe(200)
    expect((await client.call('PUT', `/calls/${id}`, call())).body).toEqual(first.body)
    const { body } = await client.call('GET', '/calls')
    expect(body).toHaveLength(1)
    const kept = (body as Listed[])[0]!
    expect(kept).toMatchObject({ id, tiedOn: { id: 'jerkbait.bone', name: 'Bone' } })
    const ranked = (recommend({ ...ASKED, limit: 60 }) as Answer).ranked.find(r => r.finish.id === 'jerkbait.bone')!.rank
    expect(kept.rank).toBe(ranked)
  })
  it('stay with a device that has looked at them once, even when the answer to its first sending is lost', async () => {
    const device = new Client(server.url)
    await device.call('GET', '/calls')
    const known = device.cookie
    expect(known).not.toBe('')
    const id = randomUUID()
    await device.call('PUT', `/calls/${id}`, call())
    device.cookie = known
    expect((await device.call('PUT', `/calls/${id}`, call())).status).toBe(200)
    expect((await device.call('GET', '/calls')).body).toHaveLength(1)
  })
  it('belong to one angler: another sees, changes and removes nothing', async () => {
    const mine = new Client(server.url)
    const other = new Client(server.url)
    const id = randomUUID()
    await mine.call('PUT', `/calls/${id}`, call())
    await other.call('PUT', `/calls/${randomUUID()}`, call())
    expect(ids((await other.call('GET', '/calls')).body)).not.toContain(id)
    expect((await other.call('PUT', `/calls/${id}`, call())).status).toBe(409)
    expect((await other.call('DELETE', `/calls/${id}`)).status).toBe(204)
    expect(ids((await mine.call('GET', '/calls')).body)).toContain(id)
    expect((await mine.call('DELETE', `/calls/${id}`)).status).toBe(204)
    expect(ids((await mine.call('GET', '/calls')).body)).not.toContain(id)
  })
  it('are refused with reasons when they make no sense', async () => {
    const client = new Client(server.url)
    const paths = async (id: string, body: unknown) => {
      const r = await client.call('PUT', `/calls/${id}`, body)
      expect(r.status).toBe(422)
      return (r.body as { errors: { path: string }[] }).errors.map(e => e.path)
    }
    expect(await paths('not-an-id', call())).toEqual(['id'])
    expect(await paths(randomUUID(), { ...call(), tiedOn: 'craw.black' })).toEqual(['tiedOn'])
    expect(await paths(randomUUID(), { ...call(), asked: { ...ASKED, depthM: -1 } })).toEqual(['asked.depthM'])
    expect(await paths(randomUUID(), { ...call(), waterId: randomUUID() })).toEqual(['waterId'])
    expect((await client.call('GET', '/calls')).body).toEqual([])
  })
})

describe('when things die', () => {
  it('loses no kept call to a server killed in the middle of requests', async () => {
    const port = await freePort()
    let dying = await startServer(port)
    const client = new Client(dying.url)
    await client.call('PUT', `/calls/${randomUUID()}`, call())
    const wanted: string[] = Array.from({ length: 30 }, () => randomUUID())
    const sent = wanted.map(id => client.call('PUT', `/calls/${id}`, call()).then(r => r.status === 200 ? id : null, () => null))
    await new Promise(r => setTimeout(r, 25))
    await dying.kill('SIGKILL')
    const confirmed = (await Promise.all(sent)).filter((id): id is string => id !== null)
    dying = await startServer(port)
    const after = ids((await client.call('GET', '/calls')).body)
    for (const id of confirmed) expect(after).toContain(id)
    // What was not confirmed is still on the device and is sent again: each is kept once.
    for (const id of wanted) expect((await client.call('PUT', `/calls/${id}`, call())).status).toBe(200)
    expect(ids((await client.call('GET', '/calls')).body).sort()).toEqual([...new Set([...after, ...wanted])].sort())
    await dying.kill()
  })
  it('says so when PostgreSQL is stopped, keeps ranking, and recovers by itself', async () => {
    const client = new Client(server.url)
    postgres('stop')
    try {
      expect((await client.call('GET', '/health')).status).toBe(503)
      const kept = await client.call('PUT', `/calls/${randomUUID()}`, call())
      expect(kept.status).toBe(503)
      expect(JSON.stringify(kept.body)).not.toMatch(/sequelize|ECONN|stack/i)
      expect((await client.call('POST', '/recommendations', ASKED)).status).toBe(200)
    }
    finally {
      postgres('start')
    }
    expect((await client.call('GET', '/health')).status).toBe(200)
    expect((await client.call('PUT', `/calls/${randomUUID()}`, call())).status).toBe(200)
  })
})
