import { v7 as newId } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Request } from '#core/request/request'
import type { Answer } from '#core/ranking/answer'
import { dayAnswer } from '#core/day/answer'
import type { DayRequest } from '#core/day/request'
import { dayOf, scoreStep } from '#core/day/scores'
import { kitOf } from '#core/kit/kit'
import { scoreScene } from '#core/kit/scenes'
import { readWater } from '#core/evidence/readWater'
import type { AnswerByReadings } from '#core/ranking/byReadings'
import type { SyncAnswer } from '#shared/schema/sync'
import { trialOrder, trialOrderOfTwo } from '#core/trial/order'
import { trialVerdict } from '#core/trial/verdict'
import { askedIn } from '#core/season-learning/prepared'
import { seasonOf } from '#core/season-learning/season'
import { standsIn } from '#core/season-learning/stands'
import { recommend } from '#core/ranking/recommend'
import { type Server, freePort, startServer } from '../../tools/server'
import { testDatabase } from '../../tools/testDatabase'
import { luresHere } from '#core/which-lure/answer'
import { asked, lureCases } from '../cases/lures'
import { MADE_UP } from '../season/madeUp'
import { Client } from './client'

const ASKED: Request = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green', temperatureC: 14 },
  light: { sky: 'partly', sunElevationDeg: 40 },
}
const call = () => ({ asked: ASKED, tiedOn: 'jerkbait.bone', keptAt: '2026-04-12T10:40:00.000Z' })
interface Listed {
  id: string
  tiedOn: { id: string; name: string }
  rank: number | null
  engineVersion: string
}
const ids = (body: unknown) => (body as Listed[]).map(c => c.id)

const DAY: DayRequest = {
  date: '2026-05-10',
  place: { latitude: 34.9, longitude: -84.3, utcOffsetMin: -240 },
  from: '05:00',
  to: '11:00',
  water: { visibilityM: 1.2, tint: 'green' },
  hours: [{ at: '06:00', cloud: 0.7 }, { at: '09:00', lightning: true }, { at: '10:00' }],
  lures: [{ lure: 'jerkbait' }, { lure: 'jigging-spoon' }],
  detail: true,
}
const SCENES = Array.from({ length: 240 }, (_, i) => ({
  lure: (['jerkbait', 'spinnerbait', 'deep-crankbait'] as const)[i % 3]!,
  water: { visibilityM: 0.3 + i / 100, tint: 'green' as const },
  light: { sky: 'clear' as const, sunElevationDeg: 5 + (i % 50) },
  weight: 1 + (i % 4),
}))
const KIT = { owned: ['jerkbait.bone', 'jerkbait.black', 'spinnerbait.all-black'], sizes: [1, 2] as const }
/** What takes long to work out here is worked out before there are connections that could idle meanwhile. */
const EXPECTED = {
  plan: dayAnswer(
    DAY,
    dayOf(DAY),
    DAY.lures.map(lane => dayOf(DAY).steps.map(s => scoreStep(DAY, dayOf(DAY), s, lane))),
  ),
  kit: kitOf(
    SCENES.map(s => scoreScene(s)),
    KIT,
  ),
}

let server: Server
beforeAll(async () => {
  // Codes tried are counted in the database: others of these tests try many from the same address.
  server = await startServer(undefined, { PISCATOR_GUESSES: '1000' })
})
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
    expect((await client.call('POST', '/recommendations', turned)).body).toEqual(
      (await client.call('POST', '/recommendations', ASKED)).body,
    )
  })
  it('tells which water it is, and ranks for it where readings stand for clarity and tint', async () => {
    const client = new Client(server.url)
    const readings = [
      { kind: 'disc', depthM: 1.2 },
      { kind: 'jar', water: '#a06a20', paper: '#f1efe8', pathM: 0.08 },
    ] as const
    const { status, body } = await client.call('POST', '/readings', { readings, salinity: 'fresh' })
    expect(status).toBe(200)
    expect(body).toEqual(JSON.parse(JSON.stringify(readWater(readings, 'fresh', 'metric'))))
    const light = { sky: 'clear', sunElevationDeg: 12 } as const
    const low = await client.call('POST', '/readings', { readings, salinity: 'fresh', light })
    expect(low.body).toEqual(JSON.parse(JSON.stringify(readWater(readings, 'fresh', 'metric', light))))
    expect(low.body).not.toEqual(body)
    const ranked = await client.call('POST', '/recommendations', { ...ASKED, water: { temperatureC: 14, readings } })
    expect(ranked.status).toBe(200)
    const { sure, water, ranked: picks } = ranked.body as AnswerByReadings
    expect(water).toEqual(body)
    expect(sure).toBeGreaterThan(0)
    expect(picks[0]!.first).toBeGreaterThan(0)
  })
  it('draws the order of a fair test and judges it', async () => {
    const client = new Client(server.url)
    const asked = { blocks: 6, castsPerSpell: 10, seed: 42 }
    const { status, body } = await client.call('POST', '/trials/order', asked)
    expect(status).toBe(200)
    expect(body).toEqual({ spells: trialOrder(6, 42) })
    const two = await client.call('POST', '/trials/order', { blocks: 6, castsPerSpell: 10, seed: 42, anglers: 2 })
    expect(two.body).toEqual({ spells: trialOrderOfTwo(6, 42) })
    const blocks = [{ a: { casts: 10, bites: 1 }, b: { casts: 10, bites: 0 } }]
    const verdict = await client.call('POST', '/trials/verdict', { blocks })
    expect(verdict.body).toEqual(JSON.parse(JSON.stringify(trialVerdict(blocks))))
    const more = [{ a: { casts: 1, bites: 2 }, b: { casts: 1, bites: 0 } }]
    expect((await client.call('POST', '/trials/verdict', { blocks: more })).status).toBe(422)
    expect((await client.call('POST', '/trials/order', { ...asked, blocks: 0 })).status).toBe(422)
  })
  it('plans a day and chooses a kit, in pieces where it takes long', async () => {
    const client = new Client(server.url)
    const plan = await client.call('POST', '/day-plans', DAY)
    expect(plan.status).toBe(200)
    expect(plan.body).toEqual(JSON.parse(JSON.stringify(EXPECTED.plan)))
    const kit = await client.call('POST', '/kits', { scenes: SCENES, ...KIT })
    expect(kit.status).toBe(200)
    expect(kit.body).toEqual(JSON.parse(JSON.stringify(EXPECTED.kit)))
  })
  it('says what a log says, as the core does, and what is wrong with one', async () => {
    const client = new Client(server.url)
    const trips = MADE_UP.trips.slice(0, 5)
    const { status, body } = await client.call('POST', '/season', { ...MADE_UP, trips })
    const stands = askedIn(trips).map(asked => ({ asked, stands: standsIn(asked) }))
    expect([status, body]).toEqual([200, JSON.parse(JSON.stringify(seasonOf({ ...MADE_UP, trips }, stands)))])
    const [first] = trips
    const wrong = { ...first, stints: [{ ...first!.stints[0], finishId: 'worm.black', toMin: 0 }, { bites: [] }] }
    const refused = await client.call('POST', '/season', { version: '1', trips: [wrong] })
    const paths = (refused.body as { errors: { path: string }[] }).errors.map(e => e.path)
    expect([refused.status, paths.includes('trips.0.stints.1.lure')]).toEqual([422, true])
  })
  it('says which lure here, as the core does, and what is wrong with what was asked', async () => {
    const client = new Client(server.url)
    const [grass] = lureCases('lures-open.json').map(asked)
    const { status, body } = await client.call('POST', '/lures', grass)
    expect([status, body]).toEqual([200, JSON.parse(JSON.stringify(luresHere(grass!)))])
    const wrong = { ...grass, lures: [], water: { ...grass!.water, cover: { kind: 'sekret', topM: -1 } } }
    const refused = await client.call('POST', '/lures', wrong)
    const paths = (refused.body as { errors: { path: string }[] }).errors.map(e => e.path)
    expect([refused.status, paths.sort()]).toEqual([422, ['lures', 'water.cover.kind', 'water.cover.topM']])
    expect(JSON.stringify(refused.body)).not.toContain('sekret')
  })
  it('says what is wrong with a day and with each scene of a kit', async () => {
    const client = new Client(server.url)
    const pathsOf = async (path: string, asked: object) =>
      ((await client.call('POST', path, asked)).body as { errors: { path: string }[] }).errors.map(e => e.path)
    const day = {
      date: '2026-02-30',
      place: { latitude: 34.9, longitude: -84.3, utcOffsetMin: -240 },
      water: { visibilityM: 1.2, tint: 'green', depthM: 2 },
      lures: [{ lure: 'jerkbait' }],
    }
    expect(await pathsOf('/day-plans', day)).toEqual([''])
    const deep = { ...day, date: '2026-02-20', from: '25:00', lures: [{ lure: 'jerkbait', depthM: 3 }] }
    expect(await pathsOf('/day-plans', deep)).toEqual(['from', 'lures.0.depthM'])
    const scene = {
      lure: 'jerkbait',
      water: { visibilityM: 1, tint: 'tea' },
      light: { sky: 'clear', sunElevationDeg: 9 },
    }
    expect(await pathsOf('/kits', { scenes: [scene, { ...scene, lure: 'sekret' }, 7] })).toEqual([
      'scenes.1.lure',
      'scenes.2',
    ])
    expect(await pathsOf('/kits', { scenes: [], sizes: [3, 1] })).toEqual(['scenes'])
    expect(await pathsOf('/kits', { scenes: [scene], sizes: [3, 1] })).toEqual([''])
    expect(await pathsOf('/kits', { scenes: [scene], keep: ['jerkbait.bone'], drop: ['jerkbait.bone'] })).toEqual([''])
  })
  it('says what is wrong with each reading, and that readings and clarity are not given together', async () => {
    const client = new Client(server.url)
    const faultsOf = async (path: string, asked: object) =>
      ((await client.call('POST', path, asked)).body as { errors: { path: string; message: string }[] }).errors
    const wrong = [{ kind: 'disc', depthM: -1 }, { kind: 'sonar' }, { kind: 'target', target: 'sekret', depthM: 1 }, {}]
    const faults = await faultsOf('/readings', { readings: wrong })
    expect(faults.map(f => f.path)).toEqual([
      'readings.0.depthM',
      'readings.1.kind',
      'readings.2.target',
      'readings.3.kind',
    ])
    expect(JSON.stringify(faults)).not.toMatch(/sekret|sonar/)
    expect((await faultsOf('/readings', { readings: [] }))[0]!.path).toBe('readings')
    const both = { ...ASKED, water: { ...ASKED.water, readings: [{ kind: 'disc', depthM: 1 }] } }
    expect((await faultsOf('/recommendations', both))[0]!.message).toContain('told by readings')
  })
  it('answers 422 with an entry per fault and nothing of what was sent', async () => {
    const { status, body } = await new Client(server.url).call('POST', '/recommendations', {
      lure: 'sekret',
      water: { visibilityM: -3, tint: 'tea' },
      light: { sky: 'clear', sunElevationDeg: 200 },
    })
    expect(status).toBe(422)
    expect((body as { errors: { path: string }[] }).errors.map(e => e.path)).toEqual([
      'lure',
      'water.visibilityM',
      'light.sunElevationDeg',
    ])
    expect(JSON.stringify(body)).not.toMatch(/sekret|-3\b|stack/)
  })
  it.each([['{"lure":'], ['[]'], ['"x"'], ['']])('answers 422 to a body of %j', async raw => {
    const { status, body } = await new Client(server.url).call('POST', '/recommendations', undefined, raw)
    expect(status).toBe(422)
    expect((body as { errors: unknown[] }).errors.length).toBeGreaterThan(0)
  })
  it('refuses a body past its bound', async () => {
    const { status } = await new Client(server.url).call(
      'POST',
      '/recommendations',
      undefined,
      JSON.stringify({ ...ASKED, note: 'x'.repeat(50_000) }),
    )
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
    expect((body as { kind: string }[]).map(w => w.kind).sort()).toEqual([
      'estuary sound',
      'farm pond',
      'oxbow',
      'tannin creek',
      'upland reservoir',
    ])
  })
  it('tells nothing of its insides where there is nothing', async () => {
    const { status, body } = await new Client(server.url).call('GET', '/nowhere')
    expect(status).toBe(404)
    expect(JSON.stringify(body)).not.toMatch(/stack|node_modules|\.mjs/)
  })
})

describe('kept calls', () => {
  it("are kept once however often they are sent, with the server's own ranking", async () => {
    const client = new Client(server.url)
    const id = newId()
    const first = await client.call('PUT', `/calls/${id}`, call())
    expect(first.status).toBe(200)
    expect((await client.call('PUT', `/calls/${id}`, call())).body).toEqual(first.body)
    const { body } = await client.call('GET', '/calls')
    expect(body).toHaveLength(1)
    const kept = (body as Listed[])[0]!
    expect(kept).toMatchObject({ id, tiedOn: { id: 'jerkbait.bone', name: 'Bone' } })
    const ranked = (recommend({ ...ASKED, limit: 60 }) as Answer).ranked.find(
      r => r.finish.id === 'jerkbait.bone',
    )!.rank
    expect(kept.rank).toBe(ranked)
  })
  it('stay with a device that has looked at them once, even when the answer to its first sending is lost', async () => {
    const device = new Client(server.url)
    await device.call('GET', '/calls')
    const known = device.cookie
    expect(known).not.toBe('')
    const id = newId()
    await device.call('PUT', `/calls/${id}`, call())
    device.cookie = known
    expect((await device.call('PUT', `/calls/${id}`, call())).status).toBe(200)
    expect((await device.call('GET', '/calls')).body).toHaveLength(1)
  })
  it('belong to one angler: another sees, changes and removes nothing', async () => {
    const mine = new Client(server.url)
    const other = new Client(server.url)
    const id = newId()
    await mine.call('PUT', `/calls/${id}`, call())
    await other.call('PUT', `/calls/${newId()}`, call())
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
    expect(await paths(newId(), { ...call(), tiedOn: 'craw.black' })).toEqual(['tiedOn'])
    expect(await paths(newId(), { ...call(), asked: { ...ASKED, depthM: -1 } })).toEqual(['asked.depthM'])
    expect(await paths(newId(), { ...call(), waterId: newId() })).toEqual(['waterId'])
    expect((await client.call('GET', '/calls')).body).toEqual([])
  })
})

describe('who a device is', () => {
  const cookieOf = (c: Client) => c.cookie
  it('is a cookie of this installation, kept from scripts, not secure only over plain HTTP', async () => {
    const client = new Client(server.url)
    const { headers } = await client.call('GET', '/calls')
    const [cookie] = headers.getSetCookie()
    expect(cookie).toMatch(/^piscator-[0-9a-f]{10}=/)
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).not.toMatch(/Secure/)
    const proxied = await fetch(`${server.url}/api/v1/calls`, { headers: { 'x-forwarded-proto': 'https' } })
    expect(proxied.headers.getSetCookie()[0]).toMatch(/Secure/)
  })
  it('is told by the asking alone that gives a device its name, whatever else is asked beside it', async () => {
    const stranger = new Client(server.url)
    for (const path of ['/waters', '/health', '/openapi.json']) {
      expect((await stranger.call('GET', path)).headers.getSetCookie(), path).toEqual([])
    }
    expect((await stranger.call('GET', '/device')).status).toBe(204)
    const given = stranger.cookie
    expect(given).toMatch(/^piscator-/)
    await Promise.all(['/waters', '/calls', '/device'].map(path => stranger.call('GET', path)))
    expect(stranger.cookie).toBe(given)
  })
  it('is nobody with a cookie that was forged or is of another installation', async () => {
    const client = new Client(server.url)
    await client.call('GET', '/calls')
    await client.call('PUT', `/calls/${newId()}`, call())
    const forged = new Client(server.url)
    forged.cookie = `${cookieOf(client).slice(0, -6)}aaaaaa`
    expect((await forged.call('GET', '/calls')).body).toEqual([])
    const other = new Client(server.url)
    other.cookie = cookieOf(client).replace(/^piscator-[^=]+/, 'piscator-0000000000')
    expect((await other.call('GET', '/calls')).body).toEqual([])
  })
  it('ends with signing out, on every device', async () => {
    const client = new Client(server.url)
    await client.call('GET', '/calls')
    await client.call('PUT', `/calls/${newId()}`, call())
    const copy = new Client(server.url)
    copy.cookie = cookieOf(client)
    expect((await copy.call('GET', '/calls')).body).toHaveLength(1)
    copy.cookie = cookieOf(client)
    expect((await client.call('POST', '/sign-out')).status).toBe(204)
    expect((await copy.call('GET', '/calls')).status).toBe(401)
  })
  it('moves to another device by a code that was written down', async () => {
    const [mine, other] = [new Client(server.url), new Client(server.url)]
    for (const c of [mine, other]) {
      await c.call('GET', '/calls')
      await c.call('PUT', `/calls/${newId()}`, call())
    }
    const { code } = (await mine.call('POST', '/recovery-code')).body as { code: string }
    expect((await other.call('POST', '/recover', { code: 'AAAAA-AAAAA-AAAAA-AAAAA' })).status).toBe(422)
    expect((await other.call('POST', '/recover', { code: 'short' })).status).toBe(422)
    expect((await other.call('POST', '/recover', { code })).status).toBe(204)
    for (const c of [mine, other]) expect((await c.call('GET', '/calls')).body).toHaveLength(2)
  })
})

describe('what comes from elsewhere', () => {
  const post = (headers: Record<string, string>) =>
    fetch(`${server.url}/api/v1/recommendations`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...headers },
      body: JSON.stringify(ASKED),
    }).then(r => r.status)
  it('may not write with this device’s cookie', async () => {
    expect(await post({ origin: 'https://elsewhere.example' })).toBe(403)
    expect(await post({ 'sec-fetch-site': 'cross-site' })).toBe(403)
    expect(await post({ 'sec-fetch-site': 'same-site' })).toBe(403)
    expect(await post({ origin: 'null' })).toBe(403)
    expect(await post({ origin: server.url })).toBe(200)
    expect(await post({ 'sec-fetch-site': 'same-origin', 'origin': server.url })).toBe(200)
    expect(await post({})).toBe(200)
  })
  it('sends JSON as JSON, and asks by an address that is one', async () => {
    const sent = (type: string) =>
      fetch(`${server.url}/api/v1/recommendations`, {
        method: 'POST',
        headers: { 'content-type': type },
        body: JSON.stringify(ASKED),
      }).then(r => r.status)
    expect(
      await Promise.all(
        ['text/plain', 'application/json; charset=utf-8', 'application/x-www-form-urlencoded'].map(sent),
      ),
    ).toEqual([415, 200, 415])
    const deep = await fetch(`${server.url}/api/v1/recommendations`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '['.repeat(9000) + ']'.repeat(9000),
    })
    expect([deep.status, (await deep.json()).errors[0].code]).toEqual([422, 'too-deep'])
    expect((await fetch(`${server.url}//api/v1`)).status).toBe(404)
  })
  it('can read the description as a page, and every file says what it is', async () => {
    const page = await fetch(`${server.url}/api-page/`)
    expect([page.status, page.headers.get('x-content-type-options')]).toEqual([200, 'nosniff'])
    expect(await page.text()).toContain('swagger-ui-bundle.js')
    const script = await fetch(`${server.url}/api-page/swagger-ui-bundle.js`)
    expect([script.status, script.headers.get('x-content-type-options')]).toEqual([200, 'nosniff'])
    expect((await fetch(`${server.url}/api/v1/nowhere`)).headers.get('x-content-type-options')).toBe('nosniff')
    const secure = await fetch(server.url, { headers: { 'x-forwarded-proto': 'https' } })
    expect(secure.headers.get('strict-transport-security')).toMatch(/max-age=\d+/)
    expect((await fetch(server.url)).headers.get('strict-transport-security')).toBeNull()
  })
  it('is answered by the method it asks with', async () => {
    const ask = (method: string, path: string) => fetch(`${server.url}/api/v1${path}`, { method })
    const head = await ask('HEAD', '/health')
    expect([head.status, await head.text()]).toEqual([200, ''])
    const wrong = await ask('DELETE', '/health')
    expect([wrong.status, wrong.headers.get('allow')]).toEqual([405, 'GET, HEAD'])
    const calls = await ask('PATCH', `/calls/${newId()}`)
    expect([calls.status, calls.headers.get('allow')]).toEqual([405, 'PUT, DELETE'])
    expect((await ask('GET', '/nowhere')).status).toBe(404)
  })
  it('learns nothing it need not: no store, no maker, an id for each answer', async () => {
    const page = await fetch(server.url)
    expect(page.headers.get('x-powered-by')).toBeNull()
    const { headers } = await new Client(server.url).call('GET', '/calls')
    expect(headers.get('cache-control')).toBe('no-store')
    expect(headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/)
  })
})

describe('records of an angler', () => {
  const lure = { lure: 'jerkbait', finishId: 'jerkbait.bone', name: 'Bone', count: 1, wear: 'new' }
  const event = (patch: object = {}) => ({
    id: newId(),
    kind: 'lure',
    recordId: newId(),
    at: '2026-05-10T10:00:00.000Z',
    body: { ...lure, keptIn: '', note: '', retired: false },
    ...patch,
  })
  const sync = async (client: Client, events: object[], cursor: string | null = null) =>
    (await client.call('POST', '/sync', { cursor, events })) as { status: number; body: SyncAnswer }

  it('go in once and out to another device of the same angler, and to nobody else', async () => {
    const [mine, stranger] = [new Client(server.url), new Client(server.url)]
    const [a, b] = [event(), event({ body: null })]
    expect((await sync(mine, [a, b])).body.accepted).toEqual([a.id, b.id])
    expect((await sync(mine, [a])).body.accepted).toEqual([a.id])
    const other = new Client(server.url)
    other.cookie = mine.cookie
    const told = await sync(other, [])
    expect(told.body.events).toEqual([a, b])
    expect((await sync(other, [], told.body.cursor)).body.events).toEqual([])
    expect((await sync(stranger, [])).body.events).toEqual([])
  })
  it('are known again by the device that sent them in capital letters', async () => {
    const client = new Client(server.url)
    const loud = event()
    loud.id = loud.id.toUpperCase()
    const { body } = await sync(client, [loud])
    expect([body.accepted, body.events]).toEqual([[loud.id], []])
  })
  it('are refused one by one with their faults, and the others kept', async () => {
    const client = new Client(server.url)
    const good = event()
    const { status, body } = await sync(client, [event({ kind: 'sekret' }), good, event({ body: { name: 'x' } })])
    expect(status).toBe(200)
    expect(body.accepted).toEqual([good.id])
    expect(body.refused.map(r => r.index)).toEqual([0, 2])
    expect(body.refused[0]!.errors[0]!.path).toBe('kind')
    expect(JSON.stringify(body)).not.toContain('sekret')
    expect((await client.call('POST', '/sync', { events: [], cursor: 'x' })).status).toBe(422)
    expect((await client.call('POST', '/sync', { events: Array(201).fill(good) })).status).toBe(422)
  })
  it('says that the forecast is away where no station is set, and what is wrong with a day', async () => {
    const client = new Client(server.url)
    expect((await client.call('GET', '/forecast?date=2026-05-10&utcOffsetMin=-240')).status).toBe(503)
    expect((await client.call('GET', '/forecast?date=soon&utcOffsetMin=-240')).status).toBe(422)
  })
})

describe('the instruments', () => {
  it('are told as a stream that goes on when one who listened has gone', async () => {
    for (let i = 0; i < 3; i++) {
      const gone = new AbortController()
      const response = await fetch(`${server.url}/api/v1/instruments`, { signal: gone.signal })
      expect(response.headers.get('content-type')).toContain('text/event-stream')
      const { value } = await response.body!.getReader().read()
      const [, data] = /^data: (.+)$/m.exec(new TextDecoder().decode(value))!
      expect(JSON.parse(data!)).toMatchObject({ line: 'none', gauge: 'none', told: {}, simulated: false })
      gone.abort()
    }
  })
})

describe('when things die', () => {
  it('loses no kept call to a server killed in the middle of requests', async () => {
    const port = await freePort()
    let dying = await startServer(port)
    const client = new Client(dying.url)
    await client.call('PUT', `/calls/${newId()}`, call())
    const wanted: string[] = Array.from({ length: 30 }, () => newId())
    const sent = wanted.map(id =>
      client.call('PUT', `/calls/${id}`, call()).then(
        r => (r.status === 200 ? id : null),
        () => null,
      ),
    )
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
    testDatabase('stop')
    try {
      expect((await client.call('GET', '/health')).status).toBe(503)
      const kept = await client.call('PUT', `/calls/${newId()}`, call())
      expect(kept.status).toBe(503)
      expect(JSON.stringify(kept.body)).not.toMatch(/sequelize|ECONN|stack/i)
      expect((await client.call('POST', '/recommendations', ASKED)).status).toBe(200)
    } finally {
      testDatabase('start')
    }
    expect((await client.call('GET', '/health')).status).toBe(200)
    expect((await client.call('PUT', `/calls/${newId()}`, call())).status).toBe(200)
  })
})
