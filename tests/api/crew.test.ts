import { v7 as newId } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { migrate } from '#server/db/migrate'
import { openDatabase } from '#server/db/connection'
import { PATHS } from '#shared/openapi'
import { SHARING_STEPS, type SharingStep } from '#shared/crew'
import type { AccountAnswer } from '#shared/schema/account'
import type { CrewAnswer, DaysAnswer } from '#shared/schema/crew'
import type { ShareOut } from '#shared/schema/share'
import type { SyncAnswer } from '#shared/schema/sync'
import { type Server, startServer } from '../../tools/server'
import { testDatabase } from '../../tools/testDatabase'
import type { Client } from './client'
import { event, members } from './members'

let server: Server
beforeAll(async () => {
  Object.assign(process.env, testDatabase('start'))
  const owner = openDatabase(process.env.NUXT_DATABASE_OWNER_URL!)
  await migrate(owner)
  await owner.sequelize.close()
  server = await startServer(undefined, { PISCATOR_TRUSTED_PROXIES: '127.0.0.1', PISCATOR_GUESSES: '1000' })
})
afterAll(() => server.kill())
const { device, member, signIn } = members(() => server.url)

const PLACE = { latitude: 34.8712, longitude: -84.3157 }
const ASKED = {
  lure: 'jerkbait',
  water: { visibilityM: 1.2, tint: 'green', temperatureC: 14.5 },
  light: { sky: 'clear', at: { time: '2026-05-10T14:40:00Z', ...PLACE } },
}
const ROD = { lure: 'jerkbait', finishId: 'jerkbait.bone' }
const trip = (more: object = {}) => ({
  name: 'Hidden Cove',
  waterId: null,
  startedAt: '2026-05-10T12:00:00.000Z',
  endedAt: '2026-05-10T16:00:00.000Z',
  rods: [ROD],
  asked: ASKED,
  trial: null,
  note: 'by the sunken barn',
  ...more,
})
const tap = (tripId: string, what: string, more: object = {}) => ({
  tripId,
  at: '2026-05-10T13:00:00.000Z',
  what,
  rod: 0,
  ...more,
})
const sync = async (c: Client, events: object[] = [], cursor: string | null = null) =>
  (await c.call('POST', '/sync', { cursor, events })).body as SyncAnswer
const crewOf = async (c: Client) => (await c.call('GET', '/crew')).body as CrewAnswer

/** Two of one crew. */
async function friends() {
  const [a, b] = [await member(), await member()]
  const { token } = (await a.c.call('POST', '/crew/invites')).body as { token: string }
  expect((await b.c.call('POST', '/crew/join', { token })).status).toBe(204)
  const [toB, toA] = [(await crewOf(a.c)).people[0]!.id, (await crewOf(b.c)).people[0]!.id]
  return { a: { ...a, id: toA }, b: { ...b, id: toB }, token }
}
const show = (from: Client, to: string, may: SharingStep) => from.call('PUT', `/crew/${to}`, { may })

describe('a crew', () => {
  it('sees of a day what each step shows, and no more', async () => {
    const { a, b, token } = await friends()
    const tripId = newId()
    await sync(a.c, [
      event('trip', trip(), tripId),
      event('tap', tap(tripId, 'bite', { place: PLACE })),
      event('tap', tap(tripId, 'landed', { at: '2026-05-10T13:10:00.000Z' })),
    ])
    const days = async () => ((await b.c.call('GET', `/crew/${a.id}/days`)).body as DaysAnswer).days
    const plain = { id: tripId, date: '2026-05-10', minutes: 240, bites: 2, landed: 1 }
    expect(await days()).toEqual([plain])
    await show(a.c, b.id, 'nothing')
    expect(await days()).toEqual([])
    await show(a.c, b.id, 'lures')
    const withLures = {
      ...plain,
      lures: [{ finishId: 'jerkbait.bone', bites: 2, landed: 1 }],
      water: { tint: 'green', visibilityM: 1.2, temperatureC: 14.5 },
    }
    expect(await days()).toEqual([withLures])
    await show(a.c, b.id, 'spots')
    expect(await days()).toEqual([{ ...withLures, spots: [{ water: 'Hidden Cove', ...PLACE }] }])
    // Nobody sees more by somebody else's leave: what is shown one way is not shown the other.
    expect((await a.c.call('GET', `/crew/${b.id}/days`)).body).toEqual({ days: [] })
    // The invitation was good once.
    const late = await member()
    expect((await late.c.call('POST', '/crew/join', { token })).status).toBe(404)
    await b.c.call('DELETE', `/crew/${a.id}`)
    expect(await days()).toEqual([])
    expect((await show(a.c, b.id, 'spots')).status).toBe(404)
  })

  it('shares a trip by two devices: each adds, neither overwrites, and a fair test is one', async () => {
    const { a, b } = await friends()
    const tripId = newId()
    const trial = { castsPerSpell: 10, blocks: 4, seed: 7, differs: 'finish', leaveOut: [] }
    const shared = trip({ endedAt: null, trial, rods: [ROD, { ...ROD, finishId: 'jerkbait.white' }], crew: ['A', 'B'] })
    const first = event('tap', tap(tripId, 'cast', { who: 0 }))
    await sync(a.c, [event('trip', shared, tripId), first])
    const aboard = `/crew/${b.id}/aboard/${tripId}`
    expect((await a.c.call('PUT', `/crew/${b.id}/aboard/${newId()}`)).status).toBe(404)
    expect((await a.c.call('PUT', aboard)).status).toBe(204)
    const there = await sync(b.c)
    expect(there.events.map(e => e.recordId).sort()).toEqual([tripId, first.recordId].sort())
    // Both tap at once, many times, and again as a device does that heard no answer.
    const taps = (who: number) =>
      Array.from({ length: 40 }, (_, i) =>
        event('tap', tap(tripId, 'cast', { who, rod: who, at: `2026-05-10T13:${10 + (i % 50)}:00.000Z` })),
      )
    const [mine, theirs] = [taps(0), taps(1)]
    await Promise.all([
      ...[0, 10, 20, 30, 20].map(i => sync(a.c, mine.slice(i, i + 10))),
      ...[0, 10, 20, 30, 0].map(i => sync(b.c, theirs.slice(i, i + 10))),
    ])
    // One's own correction is one's own; another's tap and the trip itself are not to be changed.
    const at = '2026-05-10T14:00:00.000Z'
    await sync(b.c, [
      event('tap', tap(tripId, 'bite', { who: 1, rod: 1 }), theirs[0]!.recordId, at),
      event('tap', tap(tripId, 'landed'), mine[0]!.recordId, at),
      event('trip', trip({ name: 'Taken over' }), tripId, at),
    ])
    const standing = async (c: Client) => {
      await sync(c)
      const { events } = await sync(c)
      return new Map(events.map(e => [e.recordId, e.body as { what?: string; name?: string }]))
    }
    const here = await standing(a.c)
    expect([...here.keys()].sort()).toEqual([tripId, ...[first, ...mine, ...theirs].map(e => e.recordId)].sort())
    expect(here.get(theirs[0]!.recordId)!.what).toBe('bite')
    expect(here.get(mine[0]!.recordId)!.what).toBe('cast')
    expect(here.get(tripId)!.name).toBe('Hidden Cove')
    expect((await standing(b.c)).size).toBe(here.size)
    // Ashore, nothing goes on.
    expect((await a.c.call('DELETE', aboard)).status).toBe(204)
    await sync(b.c, [event('tap', tap(tripId, 'cast', { who: 1, rod: 1 }))])
    expect((await standing(a.c)).size).toBe(here.size)
  })
})

describe('news', () => {
  it('reach another device of the angler, and a friend aboard, through another process, and nobody else', async () => {
    const next = await startServer(undefined, { PISCATOR_TRUSTED_PROXIES: '127.0.0.1' })
    try {
      const { a, b } = await friends()
      const stranger = await member()
      await Promise.all([a.c, b.c, stranger.c].map(c => sync(c, [event('trip', trip({ name: '' }))])))
      /** What somebody hears at the other process. */
      const listen = async ({ cookie }: Client) => {
        const end = new AbortController()
        const response = await fetch(`${next.url}/api/v1/news`, { headers: { cookie }, signal: end.signal })
        let text = ''
        void (async () => {
          for await (const chunk of response.body!) text += Buffer.from(chunk as Uint8Array).toString()
        })().catch(() => {})
        return { end: () => end.abort(), heard: () => (text.match(/event: news/g) ?? []).length }
      }
      const other = device()
      await signIn(other, a.name)
      const [mine, same, friend, nobody] = await Promise.all([other, a.c, b.c, stranger.c].map(listen))
      await new Promise(r => setTimeout(r, 500))
      const tripId = newId()
      await sync(a.c, [event('trip', trip(), tripId)])
      const within = async (hears: () => boolean) => {
        for (let i = 0; i < 20 && !hears(); i++) await new Promise(r => setTimeout(r, 50))
        expect(hears()).toBe(true)
      }
      await within(() => mine!.heard() === 1)
      await a.c.call('PUT', `/crew/${b.id}/aboard/${tripId}`)
      await within(() => friend!.heard() === 1)
      await sync(a.c, [event('tap', tap(tripId, 'bite'))])
      await within(() => friend!.heard() === 2)
      // Who wrote it knows it already.
      expect([same!.heard(), nobody!.heard()]).toEqual([0, 0])
      for (const l of [mine, same, friend, nobody]) l!.end()
      const unknown = await fetch(`${next.url}/api/v1/news`)
      expect(unknown.status).toBe(204)
    } finally {
      await next.kill()
    }
  })
})

describe('every address', () => {
  /** What an answer to each relation may hold of the owner's, by step. */
  const SECRETS: readonly [SharingStep, string][] = [
    ['lures', 'jerkbait.bone'],
    ['spots', 'Hidden Cove'],
    ['spots', '34.8712'],
  ]
  const NEVER = ['by the sunken barn', 'Own name of a lure', 'Boat tablet']

  it('gives each relation what it was given, and changes nothing of somebody else’s', async () => {
    const owner = await member()
    const relations: Record<string, { c: Client; may: SharingStep }> = {
      'a stranger': { c: device(), may: 'nothing' },
      'another account': { c: (await member()).c, may: 'nothing' },
    }
    for (const may of SHARING_STEPS) {
      const friend = await member()
      const { token } = (await owner.c.call('POST', '/crew/invites')).body as { token: string }
      await friend.c.call('POST', '/crew/join', { token })
      const { id } = (await crewOf(owner.c)).people.find(p => p.name === friend.name)!
      await show(owner.c, id, may)
      relations[`crew shown ${may}`] = { c: friend.c, may }
    }
    const out = device()
    await signIn(out, owner.name)
    const ended = (await owner.c.call('GET', '/account')).body as AccountAnswer
    await owner.c.call('DELETE', `/account/devices/${ended.devices.find(d => !d.here)!.id}`)
    relations['a device that was signed out'] = { c: out, may: 'nothing' }

    const [tripId, callId, lureId] = [newId(), newId(), newId()]
    const lure = { ...ROD, name: 'Own name of a lure', count: 1, wear: 'new', keptIn: '', note: '', retired: false }
    await sync(owner.c, [
      event('trip', trip(), tripId),
      event('tap', tap(tripId, 'bite', { place: PLACE })),
      event('lure', lure, lureId),
    ])
    await owner.c.call('PUT', `/calls/${callId}`, {
      asked: ASKED,
      tiedOn: 'jerkbait.bone',
      keptAt: '2026-05-10T14:40:00Z',
    })
    const share = (await owner.c.call('POST', '/shares', { kind: 'call', asked: ASKED, finishId: 'jerkbait.bone' }))
      .body as ShareOut
    const { devices } = (await owner.c.call('GET', '/account')).body as AccountAnswer
    await owner.c.call('PUT', `/account/devices/${devices[0]!.id}`, { name: 'Boat tablet' })
    const friend = relations['crew shown spots']!.c
    const ownerId = (await crewOf(friend)).people[0]!.id

    const snapshot = async () => ({
      account: await owner.c.call('GET', '/account').then(r => {
        const { devices, ...rest } = r.body as AccountAnswer
        return { ...rest, devices: devices.map(d => [d.id, d.name]) }
      }),
      shares: ((await owner.c.call('GET', '/shares')).body as ShareOut[]).map(s => s.id),
      calls: ((await owner.c.call('GET', '/calls')).body as { id: string }[]).map(c => c.id),
      events: (await sync(owner.c)).events.map(e => e.id).sort(),
    })
    const before = await snapshot()
    const ids: Record<string, Record<string, string>> = {
      '/account/devices/{id}': { id: devices[0]!.id },
      '/account/passkeys/{id}': { id: 'AAAA' },
      '/calls/{id}': { id: callId },
      '/shares/{id}': { id: share.id },
      '/crew/invites/{id}': { id: newId() },
      '/crew/{id}': { id: ownerId },
      '/crew/{id}/days': { id: ownerId },
      '/crew/{id}/aboard/{trip}': { id: ownerId, trip: tripId },
    }
    const bodies: Record<string, object> = {
      '/sync': {
        cursor: null,
        events: [
          event('lure', { ...lure, name: 'Overwritten' }, lureId),
          event('trip', trip({ name: 'Mine now' }), tripId),
        ],
      },
      '/calls/{id}': { asked: ASKED, tiedOn: 'jerkbait.white', keptAt: '2026-05-10T14:40:00Z' },
      '/crew/{id}': { may: 'spots' },
      '/account/devices/{id}': { name: 'Stolen' },
      '/account/restore': { undo: 'A'.repeat(22) },
      '/crew/invited': { token: 'A'.repeat(22) },
      '/crew/join': { token: 'A'.repeat(22) },
    }
    // What would end the asker's own account or session is asked last, by whoever is left.
    const LAST = ['/account', '/sign-out', '/account/password', '/account/name', '/crew/{id}']
    // What is listened to goes on for as long as that: what the boat tells is nobody's, and news hold nothing.
    const asks = Object.entries(PATHS).filter(([path]) => !['/instruments', '/news'].includes(path))
    const routes = asks.flatMap(([path, methods]) =>
      Object.keys(methods)
        .filter(m => m !== 'parameters')
        .map(m => ({ path, method: m.toUpperCase() })),
    )
    routes.sort((x, y) => Number(LAST.includes(x.path)) - Number(LAST.includes(y.path)))
    const found: string[] = []
    let asked = 0
    for (const [relation, { c, may }] of Object.entries(relations)) {
      for (const { path, method } of routes) {
        const at = Object.entries(ids[path] ?? {}).reduce((p, [k, v]) => p.replace(`{${k}}`, v), path)
        const { status, body } = await c.call(
          method,
          at,
          method === 'GET' || method === 'DELETE' ? undefined : (bodies[path] ?? {}),
        )
        asked++
        const text = JSON.stringify(body) ?? ''
        if (status >= 500) found.push(`${relation} ${method} ${path}: ${status}`)
        // What the engine answers of its own holds every finish there is.
        const isOfSomebody = /^\/(account|calls|crew|shares|sync|waters)/.test(path)
        for (const [step, secret] of SECRETS)
          if (
            isOfSomebody &&
            SHARING_STEPS.indexOf(may) < SHARING_STEPS.indexOf(step) &&
            text.includes(secret) &&
            !/Mine now/.test(text)
          )
            found.push(`${relation} ${method} ${path}: ${secret}`)
        for (const secret of NEVER) if (text.includes(secret)) found.push(`${relation} ${method} ${path}: ${secret}`)
      }
    }
    expect(found).toEqual([])
    expect(asked).toBeGreaterThan(200)
    expect(await snapshot()).toEqual(before)
  })
})

describe('a link that shows something', () => {
  const page = async (id: string) => {
    const response = await fetch(`${server.url}/s/${id}`)
    return { status: response.status, html: await response.text(), headers: response.headers }
  }
  it('holds neither place nor clock nor name, whatever it shows, and counts its openings', async () => {
    const { c, name } = await member()
    const tripId = newId()
    await sync(c, [
      event('trip', trip(), tripId),
      event('lure', {
        ...ROD,
        name: 'Own name of a lure',
        count: 2,
        wear: 'new',
        keptIn: 'the barn',
        note: 'x',
        retired: false,
      }),
    ])
    const blocks = [{ a: { casts: 10, bites: 2 }, b: { casts: 10, bites: 1 } }]
    const plan = {
      date: '2026-05-10',
      place: { ...PLACE, utcOffsetMin: -240 },
      from: '06:00',
      to: '09:00',
      water: { visibilityM: 1.2, tint: 'green' },
      hours: [{ at: '06:00', cloud: 0.4 }],
      lures: [{ lure: 'jerkbait' }],
    }
    const inputs = [
      { kind: 'call', asked: ASKED, finishId: 'jerkbait.bone' },
      { kind: 'plan', asked: plan },
      { kind: 'box' },
      { kind: 'verdict', finishIds: ['jerkbait.bone', 'jerkbait.white'], blocks, days: null },
    ]
    for (const input of inputs) {
      const made = await c.call('POST', '/shares', input)
      expect([input.kind, made.status]).toEqual([input.kind, 200])
      const { id, until } = made.body as ShareOut
      expect(until === null).toBe(input.kind === 'verdict')
      const { status, html, headers } = await page(id)
      expect(status).toBe(200)
      expect(html).toContain(`Shared by ${name}`)
      expect(headers.get('content-security-policy')).toContain("default-src 'none'")
      for (const word of ['34.8', '84.3', 'Hidden', 'barn', 'Own name', 'T14:40', '14:40', '<script'])
        expect([input.kind, word, html.includes(word)]).toEqual([input.kind, word, false])
      const picture = await fetch(`${server.url}/s/${id}/preview.png`)
      const bytes = new Uint8Array(await picture.arrayBuffer())
      expect([...bytes.slice(1, 4)].map(b => String.fromCharCode(b)).join('')).toBe('PNG')
    }
    const list = (await c.call('GET', '/shares')).body as ShareOut[]
    expect(list.map(s => s.openings)).toEqual([1, 1, 1, 1])
    await c.call('DELETE', `/shares/${list[0]!.id}`)
    expect((await page(list[0]!.id)).status).toBe(404)
    expect((await fetch(`${server.url}/s/${list[0]!.id}/preview.png`)).status).toBe(404)
    await c.call('DELETE', '/account')
    expect((await page(list[1]!.id)).status).toBe(404)
  })
  it('is refused with words where it cannot be made, and is nowhere without its address', async () => {
    const { c } = await member()
    for (const input of [
      { kind: 'box' },
      { kind: 'call', asked: ASKED, finishId: 'spinnerbait.white' },
      { kind: 'call', asked: ASKED },
      { kind: 'log' },
    ])
      expect((await c.call('POST', '/shares', input)).status).toBe(422)
    for (const id of ['A'.repeat(22), 'short', '%00']) expect((await page(id)).status).toBe(404)
  })
})
