import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CallRecord } from '#shared/schema/record'
import type { SyncEvent } from '#shared/schema/sync'
import { comes } from '../../tests/reference/comes'
import { useRecordsStore } from '~/records/store'
import { useCallsStore } from './store'

const CALL: Omit<CallRecord, 'keptAt'> = {
  asked: {
    lure: 'jerkbait',
    water: { visibilityM: 2, tint: 'green' },
    light: { sky: 'partly', sunElevationDeg: 40 },
  },
  tiedOn: 'jerkbait.bone',
  name: 'Bone',
  waterId: null,
  rank: 4,
  shown: { engine: '2026.1', first: ['jerkbait.white'] },
}

/** A server that takes every event, refuses them all with words, or is away. */
function fakeServer() {
  const state = { kept: [] as SyncEvent[], away: false, refusing: '' }
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    if (state.away) throw new TypeError('away')
    if (!url.endsWith('/sync')) return new Response(null, { status: url.endsWith('/device') ? 204 : 200 })
    const { events } = JSON.parse(init!.body as string) as { events: SyncEvent[] }
    if (!state.refusing) state.kept.push(...events)
    const errors = [{ path: 'body.waterId', code: 'unknown', message: state.refusing }]
    const refused = state.refusing ? events.map(({ id }, index) => ({ index, id, errors })) : []
    const accepted = state.refusing ? [] : events.map(e => e.id)
    return new Response(
      JSON.stringify({ angler: 'a', name: null, accepted, refused, events: [], cursor: '0', more: false }),
    )
  })
  return state
}
async function started() {
  const store = useCallsStore()
  await store.load()
  return store
}
const states = (store: ReturnType<typeof useCallsStore>) => store.all.map(c => c.state)

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('kept calls', () => {
  it('are on the device at once and on the server after', async () => {
    const server = fakeServer()
    const store = await started()
    store.keep(CALL)
    expect(store.all).toMatchObject([{ ...CALL, state: 'waiting' }])
    expect(store.last).toMatchObject({ name: 'Bone' })
    await comes(() => expect(states(store)).toEqual(['kept']))
    expect(server.kept).toMatchObject([{ kind: 'call', body: CALL }])
  })
  it('are listed newest first, and wait while the server is away, also past the closing of the page', async () => {
    const server = fakeServer()
    const store = await started()
    store.keep(CALL)
    await comes(() => expect(states(store)).toEqual(['kept']))
    server.away = true
    store.keep({ ...CALL, name: 'Solid white' })
    await comes(() => expect(useRecordsStore().health).toBe('server-away'))
    expect(store.all.map(c => [c.name, c.state])).toEqual([
      ['Solid white', 'waiting'],
      ['Bone', 'kept'],
    ])
    setActivePinia(createPinia())
    const again = await started()
    expect(again.all.map(c => [c.name, c.state])).toEqual([
      ['Solid white', 'waiting'],
      ['Bone', 'kept'],
    ])
    server.away = false
    await comes(() => {
      void useRecordsStore().sync()
      expect(states(again)).toEqual(['kept', 'kept'])
    })
  })
  it('say why they were refused, stay, and can be taken back', async () => {
    const server = fakeServer()
    const store = await started()
    server.refusing = 'That cannot be kept.'
    store.keep(CALL)
    await comes(() => expect(store.all).toMatchObject([{ state: 'refused', why: 'That cannot be kept.' }]))
    server.refusing = ''
    store.forget(store.all[0]!.id)
    await comes(() => expect(server.kept.map(e => e.body)).toEqual([null]))
    await comes(() => expect(useRecordsStore().refused).toEqual([]))
    expect(store.all).toEqual([])
  })
  it('can be taken back, before and after they were sent', async () => {
    const server = fakeServer()
    const store = await started()
    store.keep(CALL)
    await comes(() => expect(states(store)).toEqual(['kept']))
    store.takeBack()
    expect([store.all, store.last]).toEqual([[], null])
    store.keep(CALL)
    store.takeBack()
    store.takeBack()
    expect(store.all).toEqual([])
    await comes(() => expect(server.kept.filter(e => e.body === null)).toHaveLength(2))
    expect(store.all).toEqual([])
  })
  it('have ids made without a secure context', async () => {
    fakeServer()
    vi.stubGlobal('crypto', { getRandomValues: crypto.getRandomValues.bind(crypto) })
    const store = useCallsStore()
    store.keep(CALL)
    expect(store.last!.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-/)
  })
  it('that an older Piscator left waiting on the device become records, once, and what was taken back is', async () => {
    const server = fakeServer()
    const { asked, tiedOn, name } = CALL
    const at = { time: '2026-04-12T10:40:00Z', latitude: 34.87654, longitude: -84.31234 }
    const [kept, gone] = ['0196f000-0000-7000-8000-000000000001', '0196f000-0000-7000-8000-000000000002']
    const input = { asked: { ...asked, light: { sky: 'clear', at } }, tiedOn, keptAt: '2026-04-12T10:40:00.000Z' }
    const left = JSON.stringify([
      { kind: 'keep', id: kept, name, input },
      { kind: 'drop', id: gone },
    ])
    const items = new Map([['piscator.waiting', left]])
    vi.stubGlobal('localStorage', {
      get length() {
        return items.size
      },
      key: (i: number) => [...items.keys()][i] ?? null,
      getItem: (k: string) => items.get(k) ?? null,
      setItem: (k: string, v: string) => void items.set(k, v),
      removeItem: (k: string) => void items.delete(k),
    })
    const store = await started()
    expect(store.all).toMatchObject([{ id: kept, name, rank: null, asked: { light: { at: { latitude: 34.88 } } } }])
    const theirs = () => server.kept.map(e => e.recordId).filter(id => [kept, gone].includes(id))
    await comes(() => expect(theirs()).toEqual([kept, gone]))
    expect(items.has('piscator.waiting')).toBe(false)
  })
})
