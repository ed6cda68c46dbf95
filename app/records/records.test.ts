import { AsyncLocalStorage } from 'node:async_hooks'
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import { v7 as newId } from 'uuid'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { LureRecord } from '#shared/schema/record'
import type { SyncEvent } from '#shared/schema/sync'
import { comes } from '../../tests/reference/comes'
import { type PresentRecord, takeIn } from './merge'
import { useRecordsStore } from './store'

const lure = (name: string): LureRecord => ({
  lure: 'jerkbait',
  finishId: 'jerkbait.bone',
  name,
  count: 1,
  wear: 'new',
  keptIn: '',
  note: '',
  retired: false,
})
const event = (id: string, recordId: string, at: string, body: LureRecord | null): SyncEvent => ({
  id,
  kind: 'lure',
  recordId,
  at,
  body,
})

/** Which test something was begun in, timers too: a device of one that is over still sends. */
const TEST = new AsyncLocalStorage<object>()

/** A server that keeps every event once, by its id, and may be away; to devices of other tests it always is. */
function fakeServer() {
  const mine = {}
  TEST.enterWith(mine)
  const state = {
    kept: [] as SyncEvent[],
    away: false,
    loseAnswers: false,
    posts: 0,
    /** Names of lures that are refused one by one, and of one that the server chokes on as a whole. */
    refuses: [] as string[],
    chokesOn: 'nothing',
    mostBytes: Infinity,
    /** Who the device's cookie says it is, and the account's name. */
    angler: newId(),
    name: null as string | null,
    /** The session was ended. */
    ended: false,
  }
  vi.stubGlobal(
    'fetch',
    vi.fn(async (url: string, init: RequestInit) => {
      if ((TEST.getStore() ?? mine) !== mine) throw new TypeError('a device of another test')
      if (url === '/api/v1/device') {
        return new Response(null, { status: state.away ? 503 : state.ended ? 401 : 204 })
      }
      state.posts++
      if (state.away) throw new TypeError('away')
      if (state.ended) return new Response('{}', { status: 401 })
      const asked = JSON.parse(init.body as string) as { cursor: string | null; angler?: string; events: SyncEvent[] }
      const { cursor, angler, events } = asked
      if (angler && angler !== state.angler) return new Response('{}', { status: 409 })
      const nameOf = (e: SyncEvent) => (e.body as LureRecord | null)?.name ?? ''
      const fault = (message: string) => ({ path: 'body.name', code: 'text', message })
      if ((init.body as string).length > state.mostBytes || events.some(e => nameOf(e) === state.chokesOn))
        return new Response(JSON.stringify({ errors: [fault('Too much.')] }), { status: 422 })
      const bad = events.filter(e => state.refuses.includes(nameOf(e)))
      const refused = bad.map(e => ({ index: events.indexOf(e), id: e.id, errors: [fault('The name is too long.')] }))
      for (const e of bad) events.splice(events.indexOf(e), 1)
      for (const e of events) if (!state.kept.some(k => k.id === e.id)) state.kept.push(e)
      if (state.loseAnswers) throw new TypeError('lost')
      const told = state.kept.slice(Number(cursor ?? 0)).filter(k => !events.some(e => e.id === k.id))
      const who = { angler: state.angler, name: state.name }
      const answer = {
        ...who,
        accepted: events.map(e => e.id),
        refused,
        events: told,
        cursor: String(state.kept.length),
      }
      return new Response(JSON.stringify({ ...answer, more: false }))
    }),
  )
  return state
}
const names = (store: ReturnType<typeof useRecordsStore>) =>
  store
    .list('lure')
    .map(l => l.body.name)
    .sort()
const settled = async (store: ReturnType<typeof useRecordsStore>) => comes(() => expect(store.unsent).toBe(0))

/** A store that has sent what is given. */
async function sent(server: ReturnType<typeof fakeServer>, ...some: string[]) {
  const store = useRecordsStore()
  await store.load()
  for (const name of some) await store.put('lure', lure(name))
  await comes(() => expect(server.kept).toHaveLength(some.length))
  await settled(store)
  return store
}

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('changes of the same record', () => {
  it('come to the same in whatever order they arrive', () => {
    const changes = [
      event('a', 'r', '2026-05-10T10:00:00.000Z', lure('first')),
      event('c', 'r', '2026-05-10T11:00:00.000Z', lure('third')),
      event('b', 'r', '2026-05-10T11:00:00.000Z', lure('second')),
      event('d', 'q', '2026-05-10T09:00:00.000Z', lure('other')),
      event('e', 'q', '2026-05-10T09:30:00.000Z', null),
    ]
    const came = (order: number[]) => {
      const standing: PresentRecord = new Map()
      for (const i of order) takeIn(standing, [changes[i]!])
      return [...standing.get('lure')!.values()].map(e => e.id).sort()
    }
    for (const order of [
      [0, 1, 2, 3, 4],
      [4, 3, 2, 1, 0],
      [2, 4, 0, 1, 3],
      [1, 1, 3, 0, 2, 4, 4],
    ])
      expect(came(order)).toEqual(['c', 'e'])
  })
  it('stand when the server says they do, where a clock ran ahead', () => {
    const standing: PresentRecord = new Map()
    const ahead = event('a', 'r', '2199-01-01T00:00:00.000Z', lure('first'))
    const held = { ...ahead, at: '2026-05-10T10:00:00.000Z' }
    expect([takeIn(standing, [ahead]), takeIn(standing, [held]), takeIn(standing, [held])]).toEqual([true, true, false])
    expect(takeIn(standing, [event('b', 'r', '2026-05-10T10:05:00.000Z', lure('later'))])).toBe(true)
  })
})

describe('records', () => {
  it('are there at once, outlive the page, and reach the server when it is back', async () => {
    const server = fakeServer()
    server.away = true
    const store = useRecordsStore()
    await store.load()
    const id = await store.put('lure', lure('Bone'))
    await store.put('lure', lure('Black'))
    await store.put('lure', lure('Bone, worn'), id)
    expect(names(store)).toEqual(['Black', 'Bone, worn'])
    expect(store.unsent).toBe(3)

    setActivePinia(createPinia())
    server.away = false
    const again = useRecordsStore()
    await again.load()
    expect(names(again)).toEqual(['Black', 'Bone, worn'])
    await settled(again)
    expect(server.kept.map(e => e.body && 'wear' in e.body && e.body.name)).toEqual(['Bone', 'Black', 'Bone, worn'])
  })
  it('are sent again where the answer was lost, and kept once', async () => {
    const server = fakeServer()
    const store = useRecordsStore()
    await store.load()
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    server.loseAnswers = true
    await store.put('lure', lure('Bone'))
    await comes(() => expect(server.kept).toHaveLength(1))
    server.loseAnswers = false
    await vi.advanceTimersByTimeAsync(5000)
    vi.useRealTimers()
    await settled(store)
    expect(server.kept).toHaveLength(1)
    expect(server.posts).toBeGreaterThan(1)
  })
  it('of another device come in, the later change standing', async () => {
    const server = fakeServer()
    server.kept.push(event('018f0000-0000-7000-8000-000000000001', 'r', '2026-01-01T00:00:00.000Z', lure('Theirs')))
    const store = useRecordsStore()
    await store.load()
    await comes(() => expect(names(store)).toEqual(['Theirs']))
    await store.put('lure', lure('Mine'), 'r')
    expect(names(store)).toEqual(['Mine'])
    await store.remove('lure', 'r')
    expect(names(store)).toEqual([])
    await settled(store)
    expect(server.kept).toHaveLength(3)
  })
  it('are sent from the page where the device has no room for them, and put away once it has', async () => {
    const server = fakeServer()
    const store = useRecordsStore()
    await store.load()
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError')
    })
    await store.put('lure', lure('Bone'))
    expect([names(store), store.trouble]).toEqual([['Bone'], 'full'])
    expect(store.words).toMatch(/^No room left on this device\. What is not sent yet lasts/)
    await comes(() => expect(server.kept).toHaveLength(1))
    server.away = true
    await store.put('lure', lure('Black'))
    put.mockRestore()
    server.away = false
    await comes(async () => {
      await store.sync()
      expect([store.unsent, store.trouble]).toEqual([0, null])
    })
    expect(server.kept).toHaveLength(2)
  })
  it('are changed over what a device with a clock far ahead has made of them', async () => {
    const server = fakeServer()
    server.kept.push(event('018f0000-0000-7000-8000-000000000001', 'r', '2199-01-01T00:00:00.000Z', lure('Theirs')))
    const store = useRecordsStore()
    await store.load()
    await comes(() => expect(names(store)).toEqual(['Theirs']))
    await store.put('lure', lure('Mine'), 'r')
    expect(names(store)).toEqual(['Mine'])
    await settled(store)
    expect(server.kept.at(-1)!.at > '2199').toBe(true)
  })
  it('of the angler this device becomes are heard from the beginning', async () => {
    const server = fakeServer()
    const store = useRecordsStore()
    await store.load()
    await store.put('lure', lure('Mine'))
    await settled(store)
    // Another angler's records, older than how far this device has read.
    server.kept.unshift(event('018f0000-0000-7000-8000-000000000001', 'q', '2026-01-01T00:00:00.000Z', lure('Theirs')))
    await store.hearAnew()
    expect(names(store)).toEqual(['Mine', 'Theirs'])
  })
  it('are sent by nobody before the device is known, and by nobody else after', async () => {
    const asked: string[] = []
    let answer = (_: Response) => {}
    vi.stubGlobal('fetch', async (url: string) => {
      asked.push(url)
      return url === '/api/v1/device' ? new Promise<Response>(r => (answer = r)) : new Response('{}', { status: 500 })
    })
    const store = useRecordsStore()
    await store.load()
    await store.put('lure', lure('Bone'))
    await comes(() => expect(asked).toEqual(['/api/v1/device']))
    answer(new Response(null, { status: 204 }))
    await comes(() => expect(asked.slice(0, 2)).toEqual(['/api/v1/device', '/api/v1/sync']))
  })
  it('written in one tab are seen in the other at once', async () => {
    fakeServer().away = true
    const [one, other] = [useRecordsStore(), useRecordsStore(createPinia())]
    await Promise.all([one.load(), other.load()])
    await one.put('lure', lure('Bone'))
    await comes(() => expect([names(other), other.unsent]).toEqual([['Bone'], 1]))
  })
  it('last as long as the page where the browser keeps nothing, and it is said', async () => {
    const server = fakeServer()
    server.away = true
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new Error('refused')
      },
    })
    const store = useRecordsStore()
    await store.load()
    await store.put('lure', lure('Bone'))
    expect(names(store)).toEqual(['Bone'])
    expect(store.words).toMatch(/as long as this page/)
  })
  it('are there again where the page was killed before the device had put them away', async () => {
    fakeServer().away = true
    const held = new Map<string, string>()
    vi.stubGlobal('localStorage', {
      get length() {
        return held.size
      },
      key: (i: number) => [...held.keys()][i],
      getItem: (k: string) => held.get(k),
      setItem: (k: string, v: string) => void held.set(k, v),
      removeItem: (k: string) => void held.delete(k),
    })
    const store = useRecordsStore()
    await store.load()
    const commit = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new Error('killed')
    })
    void store.put('lure', lure('Bone'))
    void store.put('lure', lure('Black'))
    expect(held.size).toBe(2)
    await comes(() => expect(commit).toHaveBeenCalled())
    commit.mockRestore()
    const again = useRecordsStore(createPinia())
    await again.load()
    expect([names(again), again.unsent, held.size]).toEqual([['Black', 'Bone'], 2, 0])
  })

  it('that are refused stay, with the reason, past a reload, and go once the server takes them', async () => {
    const server = fakeServer()
    server.refuses = ['Bad']
    const store = useRecordsStore()
    await store.load()
    for (const name of ['One', 'Bad', 'Two']) await store.put('lure', lure(name))
    await settled(store)
    await comes(() => expect(store.refused).toHaveLength(1))
    const kept = () => server.kept.map(e => (e.body as LureRecord).name)
    expect([kept().includes('One'), kept().includes('Two'), kept().includes('Bad')]).toEqual([true, true, false])
    expect([names(store).includes('Bad'), store.refused[0]!.why]).toEqual([true, 'The name is too long.'])
    const again = useRecordsStore(createPinia())
    await again.load()
    await comes(() => expect(again.refused).toHaveLength(1))
    server.refuses = []
    const mended = useRecordsStore(createPinia())
    await mended.load()
    await settled(mended)
    await comes(() => expect(server.kept.map(e => (e.body as LureRecord).name)).toContain('Bad'))
    expect(mended.refused).toHaveLength(0)
  })
  it('that are refused are done with once corrected, or dropped by hand: what stood before stands again', async () => {
    const server = fakeServer()
    const store = useRecordsStore()
    await store.load()
    const id = await store.put('lure', lure('Good'))
    await settled(store)
    server.refuses = ['Bad']
    await store.put('lure', lure('Bad'), id)
    await comes(() => expect(store.refused).toHaveLength(1))
    await store.put('lure', lure('Better'), id)
    await comes(() => expect(store.refused).toHaveLength(0))
    await store.put('lure', lure('Bad'), id)
    await comes(() => expect(store.refused).toHaveLength(1))
    await store.drop([store.refused[0]!.event.id])
    const stands = store.list('lure').find(l => l.id === id)
    expect([stands?.body.name, store.refused.length]).toEqual(['Better', 0])
  })
  it('of which one stops a whole parcel are sent in halves until it alone is set aside', async () => {
    const server = fakeServer()
    server.away = true
    const store = useRecordsStore()
    await store.load()
    for (let i = 0; i < 9; i++) await store.put('lure', lure(i === 5 ? 'Stone' : `Lure ${i}`))
    Object.assign(server, { away: false, chokesOn: 'Stone' })
    await store.sync()
    await comes(() => expect(server.kept).toHaveLength(8))
    expect(store.refused.map(r => (r.event.body as LureRecord).name)).toEqual(['Stone'])
  })
  it('go in parcels that the server takes, however large each is', async () => {
    const server = fakeServer()
    Object.assign(server, { away: true, mostBytes: 1_000_000 })
    const store = useRecordsStore()
    await store.load()
    await store.writeAll(
      Array.from({ length: 30 }, (_, i) => ({
        kind: 'lure',
        id: newId(),
        body: { ...lure(`${i}`), note: 'x'.repeat(90_000) },
      })),
    )
    server.away = false
    const before = server.posts
    await store.sync()
    await comes(() => expect(server.kept).toHaveLength(30))
    expect([store.refused.length, server.posts - before >= 4]).toEqual([0, true])
  })
})

describe('who this device is', () => {
  it('becomes somebody else where its cookie was cleared: everything is sent once more', async () => {
    const server = fakeServer()
    const store = await sent(server, 'Bone', 'Black')
    Object.assign(server, { angler: 'second', kept: [] })
    await store.put('lure', lure('White'))
    await comes(() => expect(server.kept).toHaveLength(3))
    expect([names(store), store.signedOut]).toEqual([['Black', 'Bone', 'White'], false])
    await settled(store)
  })
  it('stays an account’s where its cookie was cleared: nothing goes to a stranger', async () => {
    const server = fakeServer()
    server.name = 'Wren'
    const store = await sent(server, 'Bone')
    const wren = server.angler
    Object.assign(server, { angler: 'stranger', name: null })
    await store.put('lure', lure('White'))
    await comes(() => expect(store.signedOut).toBe(true))
    expect(server.kept).toHaveLength(1)
    expect(store.words).toBe(
      'Signed out. What is here is Wren’s: sign in to go on. 1 not sent yet; kept on this device.',
    )
    // Somebody else signs in on it.
    Object.assign(server, { angler: 'odile', name: 'Odile' })
    await store.hearAnew()
    expect([store.signedOut, server.kept.length]).toEqual([true, 1])
    Object.assign(server, { angler: wren, name: 'Wren' })
    await store.hearAnew()
    await comes(() => expect(server.kept).toHaveLength(2))
    expect([store.signedOut, names(store)]).toEqual([false, ['Bone', 'White']])
  })
  it('signed out from elsewhere it holds nothing that was sent, and what was not waits', async () => {
    const server = fakeServer()
    server.name = 'Wren'
    const store = await sent(server, 'Bone')
    server.ended = true
    await store.put('lure', lure('White'))
    await comes(() => expect(store.signedOut).toBe(true))
    expect([names(store), server.kept.length]).toEqual([['White'], 1])
    server.ended = false
    await store.hearAnew()
    await comes(() => expect(names(store)).toEqual(['Bone', 'White']))
    server.ended = true
    await store.sync()
    await comes(() => expect(names(store)).toEqual([]))
    expect(store.owner).toBe(null)
  })
  it('forgets everything where it is signed out here', async () => {
    const server = fakeServer()
    const store = await sent(server, 'Bone')
    Object.assign(server, { angler: 'next', kept: [] })
    await store.forget()
    expect(names(store)).toEqual([])
    setActivePinia(createPinia())
    const after = useRecordsStore()
    await after.load()
    await settled(after)
    expect([names(after), server.kept.length]).toEqual([[], 0])
  })
})
