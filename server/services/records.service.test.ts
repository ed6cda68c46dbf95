import { once } from 'node:events'
import { type AddressInfo, type Socket, connect, createServer } from 'node:net'
import { v7 as newId } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { recommend } from '#core/ranking/recommend'
import type { CallInput } from '#shared/schema/call'
import type { CallRecord } from '#shared/schema/record'
import type { SyncEvent } from '#shared/schema/sync'
import { CONNECTIONS, type Database, openDatabase } from '#server/db/connection'
import { hasSchema, migrate } from '#server/db/migrate'
import { SCHEMA } from '#server/db/migrations/index'
import { seedBasin } from '#server/db/seeds/basin'
import { anglerOfCode, newRecoveryCode, plainCode } from '#server/accounts/paperCode'
import { sessionStandingOf, signOutEverywhere } from '#server/accounts/sessions'
import { makeAngler, signIn } from '#server/accounts/signingIn'
import { cursorOf, cursorText, forgetCall, keepCall, listCalls } from '#server/records/calls'
import { databaseState, unreadyFor } from './health'
import { continueMoves } from '#server/records/moves'
import { syncEvents } from '#server/records/exchange'
import type { Amount } from '#server/records/turn'
import { listWaters } from './waters'

/** The app's own role, and the tables' owner. */
let db: Database
let owner: Database
const anglers: string[] = []
async function newAngler(): Promise<string> {
  const id = newId()
  await db.Angler.create({ id })
  anglers.push(id)
  return id
}

beforeAll(async () => {
  db = openDatabase(process.env.NUXT_DATABASE_URL!)
  owner = openDatabase(process.env.NUXT_DATABASE_OWNER_URL!)
  await migrate(owner)
  await seedBasin(owner)
})
afterAll(async () => {
  await db.Angler.destroy({ where: { id: anglers } })
  await Promise.all([db.sequelize.close(), owner.sequelize.close()])
})

const NOW = Date.parse('2026-04-12T14:00:00.000Z')
const POND = '018f0000-0000-4000-8000-000000000002'
const INPUT: CallInput = {
  asked: {
    lure: 'jerkbait',
    water: { visibilityM: 2, tint: 'green', temperatureC: 14 },
    light: { sky: 'partly', sunElevationDeg: 40 },
  },
  tiedOn: 'jerkbait.bone',
  keptAt: '2026-04-12T10:40:00.000Z',
  waterId: POND,
}
const CALL: CallRecord = {
  asked: INPUT.asked,
  tiedOn: 'jerkbait.bone',
  name: 'Bone',
  keptAt: INPUT.keptAt,
  waterId: POND,
  rank: 2,
  shown: { engine: '1', first: ['jerkbait.bone'] },
}
const eventOf = (body: CallRecord): SyncEvent => ({
  id: newId(),
  kind: 'call',
  recordId: newId(),
  at: INPUT.keptAt,
  body,
})
const rank = vi.fn(async (r: CallInput['asked']) => JSON.stringify(recommend(r)))

describe('a kept call', () => {
  it('is ranked here once, however often it is sent, and listed with its place', async () => {
    const angler = await newAngler()
    const id = newId()
    rank.mockClear()
    const first = await keepCall(db, rank, angler, id, INPUT, NOW)
    expect(await keepCall(db, rank, angler, id, INPUT, NOW)).toEqual(first)
    expect(rank).toHaveBeenCalledTimes(1)
    const place = recommend({ ...INPUT.asked, limit: 60 }).ranked.find(r => r.finish.id === INPUT.tiedOn)!.rank
    expect((await listCalls(db, angler)).calls).toEqual([
      {
        id,
        waterId: POND,
        asked: INPUT.asked,
        tiedOn: { id: 'jerkbait.bone', name: 'Bone' },
        rank: place,
        engineVersion: expect.stringMatching(/^\d{4}\./),
        keptAt: INPUT.keptAt,
      },
    ])
  })
  it('says how far the list it was taken from leaned on the log', async () => {
    const angler = await newAngler()
    await keepCall(db, rank, angler, newId(), { ...INPUT, leaned: 0.36 }, NOW)
    expect((await listCalls(db, angler)).calls).toMatchObject([{ leaned: 0.36 }])
  })
  it('is kept once by two who send it at the same moment', async () => {
    const angler = await newAngler()
    const id = newId()
    const both = await Promise.all([
      keepCall(db, rank, angler, id, INPUT, NOW),
      keepCall(db, rank, angler, id, INPUT, NOW),
    ])
    expect(both.map(r => r.kind)).toEqual(['kept', 'kept'])
    expect((await listCalls(db, angler)).calls).toHaveLength(1)
  })
  it.each<[string, Partial<CallInput>]>([
    ['tied on', { tiedOn: 'jerkbait.white' }],
    ['hour', { keptAt: '2026-04-12T10:41:00.000Z' }],
    ['water', { waterId: null }],
    ['question', { asked: { ...INPUT.asked, water: { ...INPUT.asked.water, visibilityM: 2.5 } } }],
  ])('is not taken for another with the same id and another %s', async (_, change) => {
    const angler = await newAngler()
    const id = newId()
    await keepCall(db, rank, angler, id, INPUT, NOW)
    expect(await keepCall(db, rank, angler, id, { ...INPUT, ...change }, NOW)).toEqual({ kind: 'taken' })
    expect((await listCalls(db, angler)).calls).toMatchObject([{ tiedOn: { id: 'jerkbait.bone' }, waterId: POND }])
  })
  it('is refused where it makes no sense, before it is ranked', async () => {
    const angler = await newAngler()
    rank.mockClear()
    const kinds = await Promise.all([
      keepCall(db, rank, angler, newId(), { ...INPUT, tiedOn: 'craw.black' }, NOW),
      keepCall(db, rank, angler, newId(), { ...INPUT, tiedOn: 'jerkbait.plaid' }, NOW),
      keepCall(db, rank, angler, newId(), { ...INPUT, waterId: newId() }, NOW),
    ])
    expect(kinds.map(k => k.kind)).toEqual(['unknown-finish', 'unknown-finish', 'unknown-water'])
    expect(rank).not.toHaveBeenCalled()
  })
  it("belongs to one angler, with the angler's own waters", async () => {
    const [mine, other] = [await newAngler(), await newAngler()]
    const id = newId()
    await keepCall(db, rank, mine, id, INPUT, NOW)
    expect(await keepCall(db, rank, other, id, INPUT, NOW)).toEqual({ kind: 'taken' })
    await forgetCall(db, other, id, NOW)
    expect((await listCalls(db, mine)).calls).toHaveLength(1)
    await forgetCall(db, mine, id, NOW)
    expect((await listCalls(db, mine)).calls).toEqual([])

    const told = newId()
    const calls = { ...INPUT, waterId: told }
    expect(await keepCall(db, rank, mine, newId(), calls, NOW)).toEqual({ kind: 'unknown-water' })
    const event = { id: newId(), kind: 'water' as const, recordId: told, at: new Date().toISOString(), body: null }
    await syncEvents(db, mine, [event], null, Date.now())
    expect(await keepCall(db, rank, mine, newId(), calls, NOW)).toMatchObject({ kind: 'kept' })
    expect(await keepCall(db, rank, other, newId(), calls, NOW)).toEqual({ kind: 'unknown-water' })
  })
  it('is listed newest first, also when its finish has left the catalogue', async () => {
    const angler = await newAngler()
    for (const hour of ['08', '12', '10']) {
      await keepCall(db, rank, angler, newId(), { ...INPUT, keptAt: `2026-04-12T${hour}:00:00.000Z` }, NOW)
    }
    const hours = (await listCalls(db, angler)).calls.map(c => c.keptAt.slice(11, 13))
    expect(hours).toEqual(['12', '10', '08'])
    const gone = { ...CALL, tiedOn: 'jerkbait.long-gone', name: 'Long gone' }
    await syncEvents(db, angler, [{ ...eventOf(gone), at: '2026-04-12T11:00:00.000Z' }], null, NOW)
    expect((await listCalls(db, angler)).calls.map(c => c.tiedOn.name)).toEqual(['Bone', 'Long gone', 'Bone', 'Bone'])
  })
  it('may be sent by a device as a record like any other, and be taken back there too', async () => {
    const angler = await newAngler()
    const event = eventOf(CALL)
    await syncEvents(db, angler, [event], null, NOW)
    const [call] = (await listCalls(db, angler)).calls
    expect(call).toMatchObject({ id: event.recordId, tiedOn: { name: 'Bone' }, rank: 2, engineVersion: '1' })
    expect(await keepCall(db, rank, angler, event.recordId, INPUT, NOW)).toMatchObject({ kind: 'kept' })
    const back = { ...event, id: newId(), at: new Date(NOW + 1).toISOString(), body: null }
    await syncEvents(db, angler, [back], null, NOW)
    expect((await listCalls(db, angler)).calls).toEqual([])
    // Kept once more after that, it is there again.
    await keepCall(db, rank, angler, event.recordId, INPUT, NOW)
    expect((await listCalls(db, angler)).calls).toHaveLength(1)
  })
})

describe('waters', () => {
  it('are those of the basin, by name, with the time zone of their place', async () => {
    const waters = await listWaters(db)
    expect(waters.map(w => w.name)).toEqual([
      'Harrow Reservoir',
      'Merrow Sound',
      'Slough Bend',
      'Tallow Pond',
      'Umber Creek',
    ])
    expect(waters.find(w => w.id === POND)).toMatchObject({
      kind: 'farm pond',
      zone: 'America/New_York',
      usualTint: 'green',
      salinity: 'fresh',
      usualVisibilityM: 1.1,
    })
  })
})

describe('the tables', () => {
  it('are brought up to date once, and filled again without change', async () => {
    expect(await migrate(owner)).toEqual([])
    expect(await hasSchema(db, SCHEMA)).toBe(true)
    await seedBasin(owner)
    expect(await db.Water.count()).toBe(5)
  })
  it('refuse words they do not know', async () => {
    const water = (change: object) => ({
      id: newId(),
      name: 'x',
      kind: 'x',
      latitude: 0,
      longitude: 0,
      salinity: 'fresh',
      usualTint: 'tea',
      usualVisibilityM: 1,
      prey: [],
      note: '',
      ...change,
    })
    for (const bad of [{ usualTint: 'plaid' }, { salinity: 'sweet' }, { kind: '' }, { name: '' }, { latitude: 91 }]) {
      await expect(db.Water.create(water(bad) as never)).rejects.toMatchObject({ original: { code: '23514' } })
    }
  })
  it('lead from every reference to its rows by an index', async () => {
    const [rows] = await db.sequelize.query(`
      select c.conrelid::regclass::text || '.' || a.attname as at
      from pg_constraint c
      join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
      where c.contype = 'f' and c.connamespace = 'public'::regnamespace
        and not exists (select 1 from pg_index i where i.indrelid = c.conrelid and i.indkey[0] = c.conkey[1])`)
    expect(rows).toEqual([])
  })
})

describe('many calls', () => {
  it('are listed page by page, none twice and none left out, also those of one moment', async () => {
    const angler = await newAngler()
    for (let i = 0; i < 7; i++) {
      const keptAt = `2026-04-12T10:0${Math.floor(i / 3)}:00.000Z`
      await keepCall(db, rank, angler, newId(), { ...INPUT, keptAt }, NOW)
    }
    const seen: string[] = []
    let pages = 0
    let after = null
    do {
      const page: Awaited<ReturnType<typeof listCalls>> = await listCalls(db, angler, after, 2)
      seen.push(...page.calls.map(c => c.id))
      after = page.next && cursorOf(cursorText(page.next))
      pages++
    } while (after)
    expect(pages).toBe(4)
    expect(new Set(seen).size).toBe(7)
    expect(seen).toEqual((await listCalls(db, angler)).calls.map(c => c.id))
  })
  it('have a bound, in number and in size', async () => {
    const angler = await newAngler()
    const keep = (quota: Amount) => keepCall(db, rank, angler, newId(), INPUT, NOW, quota)
    expect(await keep({ events: 1, bytes: 1e9 })).toMatchObject({ kind: 'kept' })
    expect(await keep({ events: 1, bytes: 1e9 })).toEqual({ kind: 'quota' })
    expect(await keep({ events: 9, bytes: 100 })).toEqual({ kind: 'quota' })
    expect(await keep({ events: 9, bytes: 1e9 })).toMatchObject({ kind: 'kept' })
  })
  it.each([
    `1.${'-'.repeat(36)}`,
    '',
    '1',
    'x.018f0000-0000-4000-8000-000000000002',
    '1.2',
    "1.'; drop table calls; --",
  ])('know no place %j in the list', text => expect(cursorOf(text)).toBeNull())
})

describe('the place of a kept call', () => {
  const at = { time: '2026-04-12T10:40:00Z', latitude: 34.87654, longitude: -84.31234 }
  const there: CallInput = { ...INPUT, asked: { ...INPUT.asked, light: { sky: 'clear', at } } }
  it('is rounded, unless the angler wants it exact', async () => {
    const angler = await newAngler()
    const kept = async (input: CallInput) => {
      const result = await keepCall(db, rank, angler, newId(), input, NOW)
      return result.kind === 'kept' ? result.call.asked.light.at : null
    }
    expect(await kept(there)).toEqual({ ...at, latitude: 34.88, longitude: -84.31 })
    expect(await kept({ ...there, exactPlace: true })).toEqual(at)
  })
  it('is the same call when it is sent again', async () => {
    const angler = await newAngler()
    const id = newId()
    await keepCall(db, rank, angler, id, there, NOW)
    expect(await keepCall(db, rank, angler, id, there, NOW)).toMatchObject({ kind: 'kept' })
  })
})

describe('who is asking', () => {
  it('is nobody after signing out, until a new session', async () => {
    const id = await newAngler()
    const standing = (anglerId: string, version: number) =>
      sessionStandingOf(db, { id: newId(), anglerId, version }, 'phone')
    expect(await standing(id, 0)).toBe('known')
    await signOutEverywhere(db, id)
    expect(await standing(id, 0)).toBe('ended')
    expect(await standing(id, 1)).toBe('known')
    expect(await standing(newId(), 0)).toBe('new')
  })
  it('can be brought to another device by a code, with what that device kept', async () => {
    const [mine, other] = [await newAngler(), await newAngler()]
    await keepCall(db, rank, mine, newId(), INPUT, NOW)
    await keepCall(db, rank, other, newId(), INPUT, NOW)
    const code = await newRecoveryCode(db, mine)
    expect(code).toMatch(/^([0-9A-HJKMNP-TV-Z]{5}-){3}[0-9A-HJKMNP-TV-Z]{5}$/)
    const sloppy = ` ${code.toLowerCase().replaceAll('-', ' ')} `
    expect(await anglerOfCode(db, sloppy)).toBe(mine)
    await signIn(db, mine, { anglerId: other, sessionId: newId() }, 'phone')
    await continueMoves(db, mine)
    expect((await listCalls(db, mine)).calls).toHaveLength(2)
    expect((await listCalls(db, other)).calls).toHaveLength(0)
    expect(await anglerOfCode(db, code)).toBe(mine)
  })
  it('is not given away by a code that is void or made up', async () => {
    const id = await newAngler()
    const first = await newRecoveryCode(db, id)
    const second = await newRecoveryCode(db, id)
    expect(second).not.toBe(first)
    expect(await anglerOfCode(db, first)).toBeNull()
    expect(await anglerOfCode(db, 'AAAAA-AAAAA-AAAAA-AAAAA')).toBeNull()
    const row = await db.Angler.findByPk(id)
    expect(row!.recoveryHash).not.toContain(plainCode(second))
  })
  it('is read the same with letters taken for figures', () => {
    expect(plainCode('o0iIl-1abc ')).toBe('001111ABC'.slice(0, 2) + '1111ABC')
  })
  it('has its row made once', async () => {
    const id = newId()
    anglers.push(id)
    await makeAngler(db, id)
    await makeAngler(db, id)
    expect(await db.Angler.count({ where: { id } })).toBe(1)
  })
})

describe('health', () => {
  it('tells a busy pool from a lost database', async () => {
    const small = openDatabase(process.env.NUXT_DATABASE_URL!)
    const gone = openDatabase('postgres://piscator_app:x@127.0.0.1:1/piscator')
    try {
      expect(await databaseState(small, 0)).toBe('ok')
      const held = await Promise.all(Array.from({ length: CONNECTIONS }, () => small.sequelize.transaction()))
      expect(await databaseState(small, 5000)).toBe('busy')
      expect(await databaseState(small, 60_000)).toBe('away')
      await Promise.all(held.map(t => t.rollback()))
      expect(await databaseState(small, 61_000)).toBe('ok')
      expect(await databaseState(gone, 0)).toBe('away')
      expect(await unreadyFor(gone)).toEqual(['database'])
    } finally {
      await Promise.all([small.sequelize.close(), gone.sequelize.close()])
    }
  })
  it('takes a database that went silent a moment ago for lost, not busy', async () => {
    const { hostname, port } = new URL(process.env.NUXT_DATABASE_URL!)
    let silent = false
    const sockets: Socket[] = []
    const relay = createServer(here => {
      const there = connect(Number(port), hostname)
      sockets.push(here, there)
      here.on('data', d => void (silent || there.write(d))).on('error', () => {})
      there.on('data', d => void (silent || here.write(d))).on('error', () => {})
    }).listen(0, '127.0.0.1')
    await once(relay, 'listening')
    const through = new URL(process.env.NUXT_DATABASE_URL!)
    through.port = String((relay.address() as AddressInfo).port)
    const relayed = openDatabase(through.href)
    try {
      expect(await databaseState(relayed, 0)).toBe('ok')
      silent = true
      const states = await Promise.all(Array.from({ length: 4 }, () => databaseState(relayed, 1000)))
      expect(states).toEqual(['away', 'away', 'away', 'away'])
      silent = false
      expect(await databaseState(relayed, 4000)).toBe('ok')
    } finally {
      await relayed.sequelize.close()
      for (const s of sockets) s.destroy()
      relay.close()
    }
  })
  it('is ready when it can write the schema it knows', async () => {
    expect(await unreadyFor(db)).toEqual([])
    const reading = openDatabase(`${process.env.NUXT_DATABASE_URL!}?options=-c%20default_transaction_read_only%3Don`)
    try {
      expect(await unreadyFor(reading)).toEqual(['write'])
    } finally {
      await reading.sequelize.close()
    }
  })
})

describe("the app's role", () => {
  it('owns nothing and may change no table', async () => {
    const [rows] = await db.sequelize.query(`
      select rolsuper or rolcreaterole or rolcreatedb as much,
        exists (select from pg_class where relowner = pg_roles.oid) as owns
      from pg_roles where rolname = current_user`)
    expect(rows).toEqual([{ much: false, owns: false }])
    for (const sql of ['drop table records', 'alter table records add column x int', 'create table x (y int)']) {
      await expect(db.sequelize.query(sql)).rejects.toMatchObject({ original: { code: '42501' } })
    }
  })
})
