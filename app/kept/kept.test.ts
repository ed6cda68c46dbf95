import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CallInput } from '#shared/schema/call'
import { type KeptCall, send } from './outbox'
import { useCallsStore } from './store'

const ASKED: CallInput['asked'] = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green' },
  light: { sky: 'partly', sunElevationDeg: 40 },
}
const BONE = { id: 'jerkbait.bone', name: 'Bone' }
const NOON = '2026-04-12T12:00:00.000Z'

/** A server in the palm of a hand: what it has kept, and how it answers just now. */
function fakeServer() {
  const state = {
    calls: new Map<string, KeptCall>(),
    health: 200,
    put: 200 as number | 'lost',
    faults: [{ path: 'waterId', code: 'unknown', message: 'That water is not one of yours.' }],
    asked: [] as string[],
  }
  const reply = (status: number, body: unknown) => new Response(body === null ? null : JSON.stringify(body), { status })
  const answer = (url: string, init?: RequestInit): Response => {
    const method = init?.method ?? 'GET'
    state.asked.push(`${method} ${url.replace('/api/v1', '').replace(/calls\/.*/, 'calls/…')}`)
    if (url.endsWith('/health')) return reply(state.health, {})
    const id = url.split('/').at(-1)!
    if (method === 'DELETE') {
      state.calls.delete(id)
      return reply(204, null)
    }
    if (method === 'GET') return reply(200, [...state.calls.values()])
    if (state.put === 'lost') throw new TypeError('connection lost')
    if (state.put !== 200) return reply(state.put, { errors: state.faults })
    const input = JSON.parse(init!.body as string) as CallInput
    const call: KeptCall = {
      id,
      asked: input.asked,
      tiedOn: { id: input.tiedOn, name: 'Bone' },
      rank: 4,
      waterId: input.waterId ?? null,
      keptAt: input.keptAt,
    }
    state.calls.set(id, call)
    return reply(200, call)
  }
  vi.stubGlobal(
    'fetch',
    vi.fn(async (url: string, init?: RequestInit) => answer(url, init)),
  )
  return state
}

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers({ now: new Date(NOON) })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('sending one thing', () => {
  const keep = { kind: 'keep' as const, id: 'x', name: 'Bone', input: {} as never }
  const answering = (status: number, body: unknown = {}) =>
    (async () => new Response(status === 204 ? null : JSON.stringify(body), { status })) as unknown as typeof fetch
  const faults = [{ path: 'tiedOn', code: 'unknown', message: 'No such finish.' }]

  it('is done when the server says so', async () => {
    expect(await send(keep, answering(200, { id: 'x' }))).toEqual({ kind: 'done', call: { id: 'x' } })
    expect(await send({ kind: 'drop', id: 'x' }, answering(204))).toEqual({ kind: 'done', call: null })
  })
  it.each([409, 422])('is refused for good by %i with faults', async status => {
    expect(await send(keep, answering(status, { errors: faults }))).toEqual({ kind: 'refused', faults })
  })
  it.each([400, 401, 403, 404, 408, 413, 422])('waits after %i without faults', async status => {
    expect(await send(keep, answering(status))).toEqual({ kind: 'later' })
  })
  it.each([429, 500, 503])('waits with all others after %i', async status => {
    expect(await send(keep, answering(status))).toEqual({ kind: 'away' })
  })
  it('waits with all others when the connection is lost or the answer is no answer', async () => {
    const lost = (async () => {
      throw new TypeError('connection lost')
    }) as unknown as typeof fetch
    expect(await send(keep, lost)).toEqual({ kind: 'away' })
    const torn = (async () => new Response('<html>', { status: 200 })) as unknown as typeof fetch
    expect(await send(keep, torn)).toEqual({ kind: 'away' })
  })
})

describe('kept calls', () => {
  it('are on the device at once and on the server after, without asking for the list again', async () => {
    const server = fakeServer()
    const store = useCallsStore()
    await store.load()
    store.keep(ASKED, BONE, null)
    expect(store.all).toMatchObject([{ tiedOn: BONE, state: 'waiting', rank: null, keptAt: NOON }])
    await vi.runOnlyPendingTimersAsync()
    expect(store.all).toMatchObject([{ tiedOn: BONE, state: 'kept', rank: 4 }])
    expect(store.waiting).toEqual([])
    expect(server.asked).toEqual(['GET /health', 'GET /device', 'GET /calls', 'PUT /calls/…'])
  })
  it('go in the round that is under way, and others are not held up by one that must wait', async () => {
    const server = fakeServer()
    const store = useCallsStore()
    await store.load()
    store.keep(ASKED, BONE, null)
    store.keep(ASKED, BONE, null)
    await vi.advanceTimersByTimeAsync(100)
    expect(server.calls.size).toBe(2)
    server.put = 413
    store.keep(ASKED, BONE, null)
    store.keep(ASKED, BONE, null)
    await vi.advanceTimersByTimeAsync(100)
    expect(server.asked.filter(a => a.startsWith('PUT'))).toHaveLength(4)
  })
  it('are listed newest first, those still waiting among them', async () => {
    const server = fakeServer()
    const store = useCallsStore()
    await store.load()
    store.keep(ASKED, BONE, null)
    await vi.advanceTimersByTimeAsync(1000)
    server.put = 'lost'
    store.keep(ASKED, { id: 'jerkbait.white', name: 'Solid white' }, null)
    await vi.advanceTimersByTimeAsync(1000)
    expect(store.all.map(c => [c.tiedOn.name, c.state])).toEqual([
      ['Solid white', 'waiting'],
      ['Bone', 'kept'],
    ])
  })
  it.each([401, 404, 408, 413, 429, 500, 503, 'lost' as const])('survive %s and go when it has passed', async fault => {
    const server = fakeServer()
    const store = useCallsStore()
    await store.load()
    server.put = fault
    server.faults = []
    store.keep(ASKED, BONE, null)
    await vi.advanceTimersByTimeAsync(30_000)
    expect(store.all).toMatchObject([{ state: 'waiting' }])
    server.put = 200
    await vi.advanceTimersByTimeAsync(130_000)
    expect(store.all).toMatchObject([{ state: 'kept' }])
    expect(server.calls.size).toBe(1)
  })
  it('wait until the server knows the device', async () => {
    const server = fakeServer()
    server.health = 503
    const store = useCallsStore()
    await store.load()
    expect([store.health, store.loaded]).toEqual(['database-away', true])
    store.keep(ASKED, BONE, null)
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.asked.filter(a => a.startsWith('PUT'))).toEqual([])
    server.health = 200
    await vi.advanceTimersByTimeAsync(60_000)
    expect(server.calls.size).toBe(1)
    expect(store.health).toBe('ok')
  })
  it('try again less and less often', async () => {
    const server = fakeServer()
    const store = useCallsStore()
    await store.load()
    server.put = 'lost'
    store.keep(ASKED, BONE, null)
    await vi.advanceTimersByTimeAsync(240_000)
    const tries = server.asked.filter(a => a.startsWith('PUT')).length
    expect(tries).toBeGreaterThan(4)
    expect(tries).toBeLessThan(10)
  })
  it('stay on the device when their content is refused, are not sent again, and can be mended', async () => {
    const server = fakeServer()
    const store = useCallsStore()
    await store.load()
    server.put = 422
    store.keep(ASKED, BONE, '018f0000-0000-4000-8000-000000000002')
    await vi.advanceTimersByTimeAsync(100_000)
    expect(store.refused).toMatchObject([{ state: 'refused', faults: [{ path: 'waterId' }] }])
    expect(server.asked.filter(a => a.startsWith('PUT'))).toHaveLength(1)
    server.put = 200
    store.mend(store.refused[0]!.id)
    await vi.advanceTimersByTimeAsync(1000)
    expect(store.refused).toEqual([])
    expect([...server.calls.values()]).toMatchObject([{ waterId: null }])
  })
  it('keep their water when something else was refused', async () => {
    const server = fakeServer()
    const store = useCallsStore()
    await store.load()
    server.put = 409
    server.faults = [{ path: 'id', code: 'taken', message: 'That call belongs to someone else.' }]
    const water = '018f0000-0000-4000-8000-000000000002'
    store.keep(ASKED, BONE, water)
    await vi.advanceTimersByTimeAsync(1000)
    server.put = 200
    store.mend(store.refused[0]!.id)
    await vi.advanceTimersByTimeAsync(1000)
    expect([...server.calls.values()]).toMatchObject([{ waterId: water }])
  })
  it('can be taken back, before and after they were sent', async () => {
    const server = fakeServer()
    const store = useCallsStore()
    await store.load()
    store.keep(ASKED, BONE, null)
    expect(store.last).toMatchObject({ name: 'Bone' })
    await vi.advanceTimersByTimeAsync(1000)
    store.takeBack()
    expect([store.all, store.last]).toEqual([[], null])
    await vi.advanceTimersByTimeAsync(1000)
    expect([server.calls.size, store.waiting]).toEqual([0, []])
    server.put = 'lost'
    store.keep(ASKED, BONE, null)
    store.takeBack()
    expect(store.all).toEqual([])
    store.takeBack()
    expect(store.waiting).toHaveLength(1)
  })
  it('have ids made without a secure context', async () => {
    fakeServer()
    vi.stubGlobal('crypto', { getRandomValues: crypto.getRandomValues.bind(crypto) })
    const store = useCallsStore()
    store.keep(ASKED, BONE, null)
    expect(store.waiting[0]!.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-/)
  })
})
