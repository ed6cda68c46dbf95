import { v7 as newId } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { eraseDue } from '#server/accounts/erasing'
import { type Database, openDatabase } from '#server/db/connection'
import { migrate } from '#server/db/migrate'
import { rows } from '#server/db/rows'
import type { AccountAnswer } from '#shared/schema/account'
import type { SyncAnswer } from '#shared/schema/sync'
import { type Server, startServer } from '../../tools/server'
import { testDatabase } from '../../tools/testDatabase'
import { chance } from '../reference/dice'
import { Client } from './client'
import { PASSWORD, members } from './members'

/** Tries from one address, and for one name, before it is too many. */
const TRIES = 5
/** Requests with forged cookies; the long form sends ten thousand. */
const FORGED = Number(process.env.PISCATOR_FORGED ?? 2000)
let server: Server
let db: Database
beforeAll(async () => {
  Object.assign(process.env, testDatabase('start'))
  const owner = openDatabase(process.env.NUXT_DATABASE_OWNER_URL!)
  await migrate(owner)
  await owner.sequelize.close()
  db = openDatabase(process.env.NUXT_DATABASE_URL!)
  await rows(db, 'delete from limits')
  server = await startServer(undefined, { PISCATOR_TRUSTED_PROXIES: '127.0.0.1', PISCATOR_GUESSES: String(TRIES) })
})
afterAll(async () => {
  await db.sequelize.close()
  await server.kill()
})

const { newName, device, member, signIn } = members(() => server.url)
const lure = (name: string) => ({
  id: newId(),
  kind: 'lure',
  recordId: newId(),
  at: '2026-05-10T12:00:00.000Z',
  body: {
    lure: 'jerkbait',
    finishId: 'jerkbait.bone',
    name,
    count: 1,
    wear: 'new',
    keptIn: '',
    note: '',
    retired: false,
  },
})
const sync = (c: Client, events: object[] = [], angler?: string) =>
  c.call('POST', '/sync', { cursor: null, events, ...(angler ? { angler } : {}) })
const kept = async (c: Client) =>
  ((await sync(c)).body as SyncAnswer).events.map(e => (e.body as { name: string }).name).sort()
const account = async (c: Client) => (await c.call('GET', '/account')).body as AccountAnswer
const codeOf = (body: unknown) => (body as { errors: { code: string }[] }).errors[0]!.code

describe('an account', () => {
  it('is a device’s alone until it has a name, then of every device that signs in', async () => {
    const c = device()
    await sync(c, [lure('first')])
    expect(await account(c)).toMatchObject({ name: null, password: false, passkeys: [], devices: [{ here: true }] })
    const name = newName()
    const before = c.cookie
    expect((await c.call('PUT', '/account/password', { name, password: PASSWORD })).status).toBe(204)
    expect(c.cookie).not.toBe(before)
    const other = device()
    const offline = [lure('second'), lure('third')]
    await sync(other, offline)
    expect((await signIn(other, name.toUpperCase())).status).toBe(204)
    // Sent once more, as a device does that did not hear of it.
    await sync(other, offline)
    for (const d of [c, other]) expect(await kept(d)).toEqual(['first', 'second', 'third'])
    expect((await account(other)).devices).toHaveLength(2)
  })
  it('does not swallow another one that was signed in on the device before', async () => {
    const [a, b] = [await member(), await member()]
    await sync(a.c, [lure('of a')])
    expect((await signIn(a.c, b.name)).status).toBe(204)
    expect(await kept(a.c)).toEqual([])
    expect((await signIn(a.c, a.name)).status).toBe(204)
    expect(await kept(a.c)).toEqual(['of a'])
  })
  it('refuses a name that is taken, and passwords that are short, breached or hold the name', async () => {
    const { name } = await member()
    const c = device()
    const put = (n: string, password: string) => c.call('PUT', '/account/password', { name: n, password })
    expect((await put(name.toLowerCase(), PASSWORD)).status).toBe(409)
    expect((await put('x', PASSWORD)).status).toBe(422)
    for (const [password, code] of [
      ['short', 'string.min'],
      ['basketball12', 'breached'],
      ['aaaaaaaaaaaa', 'repeated'],
      ['osprey of the sound', 'like-name'],
    ] as const) {
      const refused = await put('Osprey', password)
      expect([refused.status, codeOf(refused.body)]).toEqual([422, code])
      expect(JSON.stringify(refused.body)).not.toContain(password)
    }
    expect((await account(c)).name).toBe(null)
  })
  it('says neither name nor password is wrong, changes its password by the old one', async () => {
    const { c, name } = await member()
    const other = device()
    expect((await signIn(other, name)).status).toBe(204)
    const unknown = await signIn(device(), 'Nobody at all')
    expect(await signIn(device(), name, 'not this one at all')).toMatchObject({ status: 422, body: unknown.body })
    const next = 'five quick perch at dusk'
    expect((await c.call('PUT', '/account/password', { password: next, current: 'wrong one' })).status).toBe(422)
    expect((await c.call('PUT', '/account/password', { password: next, current: PASSWORD })).status).toBe(204)
    expect((await account(c)).name).toBe(name)
    expect((await other.call('GET', '/account')).status).toBe(401)
    expect((await signIn(device(), name)).status).toBe(422)
    expect((await signIn(device(), name, next)).status).toBe(204)
  })
  it('names its devices, signs one out there at once, and itself here', async () => {
    const { c, name } = await member()
    const lost = device()
    expect((await signIn(lost, name)).status).toBe(204)
    const { devices } = await account(c)
    const there = devices.find(d => !d.here)!.id
    expect((await c.call('PUT', `/account/devices/${there}`, { name: 'Boat tablet' })).status).toBe(204)
    expect((await account(lost)).devices.find(d => d.here)!.name).toBe('Boat tablet')
    expect((await device().call('DELETE', `/account/devices/${there}`)).status).toBe(204)
    expect((await kept(lost)).length).toBe(0)
    expect((await c.call('DELETE', `/account/devices/${there}`)).status).toBe(204)
    for (const [method, path] of [
      ['POST', '/sync'],
      ['GET', '/account'],
      ['GET', '/device'],
    ] as const) {
      const refused = await lost.call(method, path, method === 'POST' ? { events: [] } : undefined)
      expect([refused.status, codeOf(refused.body)]).toEqual([401, 'signed-out'])
    }
    // Told once, it is a stranger.
    expect((await lost.call('GET', '/device')).status).toBe(204)
    expect((await account(lost)).name).toBe(null)
  })
  it('keeps at least one way in, and a code on paper is one', async () => {
    const { c, name } = await member()
    expect((await c.call('DELETE', '/account/password')).status).toBe(409)
    const { code } = (await c.call('POST', '/recovery-code')).body as { code: string }
    expect((await c.call('DELETE', '/account/password')).status).toBe(204)
    expect((await signIn(device(), name)).status).toBe(422)
    const other = device()
    expect((await other.call('POST', '/recover', { code })).status).toBe(204)
    expect((await account(other)).name).toBe(name)
    expect((await c.call('PUT', '/account/name', { name: newName() })).status).toBe(204)
    expect((await device().call('PUT', '/account/name', { name: newName() })).status).toBe(409)
  })
  it('takes nothing from a device that is not who it was told it is', async () => {
    const c = device()
    const { angler } = (await sync(c, [lure('one')])).body as SyncAnswer
    c.cookie = ''
    const refused = await sync(c, [lure('two')], angler)
    expect([refused.status, codeOf(refused.body)]).toEqual([409, 'another'])
    expect(await kept(c)).toEqual([])
    expect((await sync(c, [lure('two')])).status).toBe(200)
  })
  it('has no passkeys at an address, and none without being asked', async () => {
    const c = new Client(server.url.replace('127.0.0.1', 'localhost'))
    expect(codeOf((await device().call('POST', '/account/sign-in/options')).body)).toBe('no-name')
    const options = await c.call('POST', '/account/sign-in/options')
    expect(options.body).toMatchObject({ rpId: 'localhost', userVerification: 'required' })
    const bytes = (o: object) => Buffer.from(JSON.stringify(o)).toString('base64url')
    const { challenge } = options.body as { challenge: string }
    const response = {
      clientDataJSON: bytes({ type: 'webauthn.get', challenge, origin: server.url }),
      authenticatorData: 'AAAA',
      signature: 'AAAA',
    }
    const forged = { response: { id: 'AAAA', rawId: 'AAAA', type: 'public-key', response } }
    expect((await c.call('POST', '/account/sign-in/passkey', forged)).status).toBe(422)
    const bad = { ...forged, response: { ...forged.response, response: { ...response, clientDataJSON: 'AAAA' } } }
    expect((await c.call('POST', '/account/sign-in/passkey', bad)).status).toBe(422)
  })
})

describe('guessing', () => {
  it('is held to the stated rate from fifty addresses, for a name and for codes', async () => {
    const { c, name } = await member()
    const guesses = Array.from({ length: 50 }, (_, i) => new Client(server.url, `10.9.0.${i}`))
    const statuses = await Promise.all(
      guesses.flatMap(g => [0, 1, 2].map(n => signIn(g, name, `guess number ${n}`).then(r => r.status))),
    )
    expect(statuses.filter(s => s === 422).length).toBeLessThanOrEqual(TRIES)
    expect(new Set(statuses)).toEqual(new Set([422, 429]))
    // Who is signed in already goes on.
    expect((await account(c)).name).toBe(name)
    const code = () => guesses[0]!.call('POST', '/recover', { code: 'AAAAA-AAAAA-AAAAA-AAAAA' })
    const codes = await Promise.all(Array.from({ length: 12 }, () => code().then(r => r.status)))
    expect(codes.filter(s => s === 422)).toHaveLength(TRIES)
  })
  it('by forged, expired and swapped cookies and ids opens nothing and breaks nothing', async () => {
    const { c } = await member()
    await sync(c, [lure('mine')])
    const { devices } = await account(c)
    const even = chance(40)
    const pick = <T>(list: readonly T[]) => list[Math.floor(even() * list.length)]!
    const good = c.cookie
    const broken = () => {
      const at = 30 + Math.floor(even() * (good.length - 30))
      return pick([
        good.slice(0, at),
        good.slice(0, at) + (good[at] === 'A' ? 'B' : 'A') + good.slice(at + 1),
        good.replace(/^piscator-[^=]+/, 'piscator-0000000000'),
        `${good.split('=')[0]}=${'x'.repeat(1 + Math.floor(even() * 400))}`,
        '',
      ])
    }
    const asks = [
      ['GET', '/account'],
      ['GET', '/calls'],
      ['POST', '/sync', { events: [] }],
      ['DELETE', `/account/devices/${devices[0]!.id}`],
      ['PUT', `/account/devices/${devices[0]!.id}`, { name: 'stolen' }],
      ['PUT', '/account/name', { name: 'Stolen' }],
      ['DELETE', '/account/password'],
      ['DELETE', '/account/passkeys/AAAA'],
      ['POST', '/account/restore', { undo: 'A'.repeat(22) }],
    ] as const
    const found: unknown[] = []
    for (let i = 0; i < FORGED; i += 20) {
      await Promise.all(
        Array.from({ length: 20 }, async (_, k) => {
          const stranger = new Client(server.url, `10.${20 + (i % 200)}.${k}.${Math.floor(even() * 250)}`)
          stranger.cookie = broken()
          const [method, path, body] = pick(asks)
          const { status, body: said } = await stranger.call(method, path, body)
          if (status >= 500 || JSON.stringify(said)?.includes('mine')) found.push([method, path, status])
        }),
      )
    }
    expect(found).toEqual([])
    expect((await account(c)).devices.map(d => [d.id, d.name])).toEqual(devices.map(d => [d.id, d.name]))
    expect(await kept(c)).toEqual(['mine'])
  })
})

describe('taking everything away', () => {
  it('signs out everywhere at once, comes back by its word, else leaves the id in no table', async () => {
    const { c, name } = await member()
    const other = device()
    expect((await signIn(other, name)).status).toBe(204)
    await sync(c, [lure('mine')])
    const found = await rows<{ id: string }>(db, 'select id from anglers where name = $name', { name })
    const { id } = found[0]!
    const taken = await c.call('DELETE', '/account')
    expect(taken).toMatchObject({ status: 200 })
    const { undo } = taken.body as { undo: string }
    expect((await other.call('GET', '/account')).status).toBe(401)
    expect((await signIn(device(), name)).status).toBe(422)
    expect((await device().call('POST', '/account/restore', { undo: 'A'.repeat(22) })).status).toBe(422)
    expect((await c.call('POST', '/account/restore', { undo })).status).toBe(204)
    expect(await kept(c)).toEqual(['mine'])
    await c.call('DELETE', '/account')
    await rows(db, `update anglers set erase_at = now() - interval '1 second' where id = $id`, { id })
    await eraseDue(db)
    const tables = await rows<{ name: string }>(
      db,
      `select table_name as name from information_schema.tables where table_schema = 'public'`,
    )
    expect(tables.length).toBeGreaterThan(8)
    for (const t of tables) {
      const found = await rows(db, `select 1 from "${t.name}" r where r::text like '%' || $id || '%'`, { id })
      expect([t.name, found.length]).toEqual([t.name, 0])
    }
    expect((await device().call('PUT', '/account/password', { name, password: PASSWORD })).status).toBe(204)
  })
})
