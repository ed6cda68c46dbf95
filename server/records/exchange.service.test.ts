import { v7 as newId } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type Database, openDatabase } from '#server/db/connection'
import { migrate } from '#server/db/migrate'
import type { SyncEvent } from '#shared/schema/sync'
import { chance } from '../../tests/reference/dice'
import { signIn } from '#server/accounts/signingIn'
import { continueMoves } from './moves'
import { syncEvents } from './exchange'
import { VERSIONS_KEPT } from './present'

let db: Database
const anglers: string[] = []
async function newAngler(): Promise<string> {
  const id = newId()
  await db.Angler.create({ id })
  anglers.push(id)
  return id
}
beforeAll(async () => {
  const owner = openDatabase(process.env.NUXT_DATABASE_OWNER_URL!)
  await migrate(owner)
  await owner.sequelize.close()
  db = openDatabase(process.env.NUXT_DATABASE_URL!)
})
afterAll(async () => {
  await db.Angler.destroy({ where: { id: anglers } })
  await db.sequelize.close()
})

const NOW = Date.parse('2026-05-10T12:00:00.000Z')
const event = (n = 0, at = NOW): SyncEvent => ({
  id: newId(),
  kind: 'lure',
  recordId: newId(),
  at: new Date(at).toISOString(),
  body: {
    lure: 'jerkbait',
    finishId: 'jerkbait.bone',
    name: `Bone ${n}`,
    count: 1,
    wear: 'new',
    keptIn: '',
    note: '',
    retired: false,
  },
})
async function sync(angler: string, events: readonly SyncEvent[], cursor: string | null = null) {
  const result = await syncEvents(db, angler, events, cursor, NOW)
  if (result.kind === 'quota') throw new Error('no room')
  return result
}
/** All there is after a cursor, page by page. */
async function readOn(angler: string, from: string | null) {
  const out: SyncEvent[] = []
  let cursor = from
  for (;;) {
    const page = await sync(angler, [], cursor)
    out.push(...page.events)
    cursor = page.cursor
    if (!page.more) return { events: out, cursor }
  }
}

describe('events of an angler', () => {
  it('are added once however often, in whatever order and by however many they are sent', async () => {
    const angler = await newAngler()
    const even = chance(18)
    const devices = [0, 1].map(d => Array.from({ length: 250 }, (_, i) => event(1000 * d + i)))
    const parcels = devices.flatMap(list =>
      Array.from({ length: 40 }, () => {
        const from = Math.floor(even() * list.length)
        return list.slice(from, from + 1 + Math.floor(even() * 60))
      }),
    )
    const all = [...parcels, ...devices.map(d => d.slice(0, 130)), ...devices.map(d => d.slice(120))]
    all.sort(() => even() - 0.5)
    for (let i = 0; i < all.length; i += 4) await Promise.all(all.slice(i, i + 4).map(some => sync(angler, some)))
    const { events } = await readOn(angler, null)
    expect(events.map(e => e.id).sort()).toEqual(devices.flatMap(d => d.map(e => e.id)).sort())
    expect(events.find(e => e.id === devices[1]![7]!.id)).toEqual(devices[1]![7])
  })
  it('reach a device that reads on while others send, none missed and its own not sent back', async () => {
    const angler = await newAngler()
    const theirs = Array.from({ length: 60 }, (_, i) => event(i))
    const mine = event(99)
    let cursor: string | null = null
    const seen: SyncEvent[] = []
    const sending = Promise.all(theirs.map(e => sync(angler, [e])))
    for (let i = 0; i < 8; i++) {
      const page = await sync(angler, i === 2 ? [mine] : [], cursor)
      cursor = page.cursor
      seen.push(...page.events)
    }
    await sending
    seen.push(...(await readOn(angler, cursor)).events)
    expect(new Set(seen.map(e => e.id))).toEqual(new Set(theirs.map(e => e.id)))
    expect(seen.length).toBe(60)
  })
  it('are nobody else’s, and a clock that runs ahead is held to the present', async () => {
    const [angler, other] = [await newAngler(), await newAngler()]
    const ahead = event(1, NOW + 86_400_000)
    // The device that ran ahead is told, or it would hold on to its own word for good.
    expect((await sync(angler, [ahead])).events.map(e => Date.parse(e.at))).toEqual([NOW + 300_000])
    expect((await sync(angler, [event(2)])).events).toHaveLength(1)
    await sync(other, [ahead])
    const [kept] = (await readOn(angler, null)).events
    expect(Date.parse(kept!.at)).toBe(NOW + 300_000)
    await db.Angler.destroy({ where: { id: other } })
    expect((await readOn(angler, null)).events).toHaveLength(2)
  })
  it('end where the bound is', async () => {
    const angler = await newAngler()
    const quota = { events: 2, bytes: 1e6 }
    await sync(angler, [event(), event()])
    expect((await syncEvents(db, angler, [event()], null, NOW, quota)).kind).toBe('quota')
    expect((await syncEvents(db, angler, [], null, NOW, quota)).kind).toBe('synced')
  })
  it('move with a recovery code, and devices that have read on hear of them', async () => {
    const [from, to] = [await newAngler(), await newAngler()]
    const early = event(1)
    await sync(from, [early])
    const { cursor } = await sync(to, [event(2)])
    await signIn(db, to, { anglerId: from, sessionId: newId() }, 'phone')
    await continueMoves(db, to)
    expect((await readOn(to, cursor)).events).toEqual([early])
    expect((await readOn(from, null)).events).toEqual([])
  })
  it('move past a device that goes on sending and reading: it hears of every one', async () => {
    const [from, to] = [await newAngler(), await newAngler()]
    const theirs = Array.from({ length: 5000 }, (_, i) => event(i))
    for (let i = 0; i < theirs.length; i += 1000) await sync(from, theirs.slice(i, i + 1000))
    await signIn(db, to, { anglerId: from, sessionId: newId() }, 'phone')
    const heard = new Set<string>()
    let cursor: string | null = null
    let moving = true
    const reader = async () => {
      for (let last = false; ; last = !moving) {
        const page = await sync(to, [event()], cursor)
        for (const e of page.events) heard.add(e.id)
        cursor = page.cursor
        if (last && !page.more) return
      }
    }
    await Promise.all([reader(), continueMoves(db, to).finally(() => (moving = false))])
    expect(theirs.filter(e => !heard.has(e.id))).toEqual([])
  }, 60_000)
  it('go on moving where it was broken off, with what came late, and on again to a third', async () => {
    const [first, second, third] = [await newAngler(), await newAngler(), await newAngler()]
    const events = [event(1), event(2), event(3)]
    await sync(first, [events[0]!])
    await signIn(db, second, { anglerId: first, sessionId: newId() }, 'phone')
    // The process ended before anything moved; the second moved on before it began.
    await signIn(db, third, { anglerId: second, sessionId: newId() }, 'phone')
    await sync(second, [events[1]!])
    await continueMoves(db, third)
    await sync(second, [events[2]!])
    await continueMoves(db, second)
    expect((await readOn(third, null)).events.map(e => e.id).sort()).toEqual(events.map(e => e.id).sort())
    expect((await readOn(first, null)).events).toEqual([])
  })
  it('that the database objects to are left out one by one, and the others kept', async () => {
    const angler = await newAngler()
    const good = [event(1), event(2)]
    const bad = { ...event(3), kind: 'x'.repeat(60) as SyncEvent['kind'] }
    const result = await sync(angler, [good[0]!, bad, good[1]!])
    expect([...result.objected]).toEqual([bad.id])
    expect((await readOn(angler, null)).events).toEqual(good)
  })
  it('are counted in the row whose turn is taken, however often they are sent', async () => {
    const angler = await newAngler()
    const events = Array.from({ length: 7 }, (_, i) => event(i))
    await Promise.all([1, 2, 3].map(() => sync(angler, events)))
    const row = await db.Angler.findByPk(angler)
    expect([Number(row!.eventsKept), Number(row!.eventBytes)]).toEqual([
      7,
      events.reduce((n, e) => n + JSON.stringify(e.body).length, 0),
    ])
    const full = await syncEvents(db, angler, [event()], null, NOW, { events: 7, bytes: 1e9 })
    expect(full.kind).toBe('quota')
  })
  it('leave what stands of each record, by the latest in whatever order, and move with it', async () => {
    const [angler, to] = [await newAngler(), await newAngler()]
    const even = chance(34)
    const first = event(0)
    const versions = Array.from({ length: 30 }, (_, i) => ({ ...event(i, NOW + i), recordId: first.recordId }))
    const goneFor = { ...event(40), recordId: newId() }
    const gone = { ...goneFor, id: newId(), at: new Date(NOW + 5).toISOString(), body: null }
    const all = [...versions, goneFor, gone].sort(() => even() - 0.5)
    for (const e of all) await sync(angler, [e])
    const standing = (who: string) =>
      db.RecordRow.findAll({ where: { anglerId: who }, order: [['at', 'ASC']], attributes: ['id', 'body'], raw: true })
    const expected = [
      { id: gone.recordId, body: null },
      { id: first.recordId, body: versions[29]!.body },
    ]
    expect(await standing(angler)).toEqual(expected)
    await signIn(db, to, { anglerId: angler, sessionId: newId() }, 'phone')
    await continueMoves(db, to)
    expect(await standing(angler)).toEqual([])
    expect(await standing(to)).toEqual(expected)
  })
  it('leave the log when nobody can need them any more, and no device misses what stands', async () => {
    const angler = await newAngler()
    const first = event(0)
    const versions = Array.from({ length: 40 }, (_, i) => ({ ...event(i, NOW + i), recordId: first.recordId }))
    const cursors: (string | null)[] = [null]
    for (const v of versions) cursors.push((await sync(angler, [v])).cursor)
    const { events } = await readOn(angler, null)
    expect(events.map(e => e.id)).toEqual(versions.slice(-VERSIONS_KEPT).map(v => v.id))
    const row = await db.Angler.findByPk(angler)
    expect(Number(row!.eventsKept)).toBe(VERSIONS_KEPT)
    for (const cursor of cursors.slice(0, -1)) {
      expect((await readOn(angler, cursor)).events.at(-1)).toEqual(versions.at(-1))
    }
    const gone = { ...first, id: newId(), at: new Date(NOW + 100).toISOString(), body: null }
    await sync(angler, [gone])
    expect((await readOn(angler, null)).events).toEqual([gone])
    // What was sent once more because its answer was lost does not bring it back.
    await sync(angler, [versions[3]!])
    expect((await readOn(angler, null)).events).toEqual([gone])
    expect(await db.EventRow.count({ where: { anglerId: angler } })).toBe(1)
  })
  it('that take away are taken also where there is no more room', async () => {
    const angler = await newAngler()
    const kept = event(1)
    await sync(angler, [kept])
    const away = { ...kept, id: newId(), at: new Date(NOW + 1).toISOString(), body: null }
    const full = { events: 1, bytes: 1e9 }
    expect((await syncEvents(db, angler, [event(2)], null, NOW, full)).kind).toBe('quota')
    expect((await syncEvents(db, angler, [away], null, NOW, full)).kind).toBe('synced')
    expect((await db.Angler.findByPk(angler))!.eventBytes).toBe(String('null'.length))
  })
})
