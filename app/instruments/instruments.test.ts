import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick } from 'vue'
import type { Board, Quantity } from '#shared/instruments'
import { useReadingStore } from '~/reading/store'
import { useInstrumentsStore } from './store'

/** The server's stream, by hand. */
class Stream {
  static CLOSED = 2
  static open: Stream[] = []
  readyState = 1
  onmessage: ((e: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  constructor() {
    Stream.open.push(this)
  }
  close() {
    Stream.open = Stream.open.filter(s => s !== this)
  }
}
/** What the instruments tell, so long ago on the server's clock, whatever that is. */
function tell(values: Partial<Record<Quantity, number>>, agoS = 1): void {
  const nowMs = 5_000_000
  const told = Object.fromEntries(Object.entries(values).map(([q, value]) => [q, { value, atMs: nowMs - agoS * 1000 }]))
  const board: Board = { simulated: true, nowMs, line: 'here', gauge: 'here', told, cast: null }
  for (const s of Stream.open) s.onmessage!({ data: JSON.stringify(board) })
}

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
  vi.stubGlobal('EventSource', Stream)
  Stream.open = []
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
/** Somebody looks; what is given back ends it. */
function looking() {
  const scope = effectScope()
  const store = useInstrumentsStore()
  scope.run(() => store.look())
  return { store, end: () => scope.stop() }
}

describe('instruments', () => {
  it('are listened to only while somebody looks', async () => {
    const { end } = looking()
    await nextTick()
    expect(Stream.open).toHaveLength(1)
    end()
    await nextTick()
    expect(Stream.open).toHaveLength(0)
  })
  it('are listened to for as long as one is followed, and then no more', async () => {
    const { store, end } = looking()
    store.follow('depthM', true)
    end()
    await nextTick()
    expect(Stream.open).toHaveLength(1)
    store.follow('depthM', false)
    await nextTick()
    expect(Stream.open).toHaveLength(0)
  })
  it('are taken once where asked, to a tenth', async () => {
    const { store } = looking()
    await nextTick()
    tell({ temperatureC: 18.27, depthM: 3.44 })
    const { reading } = useReadingStore()
    store.take('temperatureC')
    expect([reading.temperatureC, reading.waterM]).toEqual([18.3, null])
    tell({ temperatureC: 22 })
    await nextTick()
    expect(reading.temperatureC).toBe(18.3)
  })
  it.each([
    ['stale', { temperatureC: 20 }, 16],
    ['absurd', { temperatureC: 80 }, 1],
  ] as const)('that are %s are never written', async (standing, values, agoS) => {
    const { store } = looking()
    await nextTick()
    const before = useReadingStore().reading.temperatureC
    tell(values, agoS)
    expect(store.standing('temperatureC')).toBe(standing)
    store.take('temperatureC')
    store.follow('temperatureC', true)
    expect(useReadingStore().reading.temperatureC).toBe(before)
  })
  it('followed keep the reading up to date, in steps that count, until another figure is typed', async () => {
    const { store } = looking()
    await nextTick()
    const reading = useReadingStore()
    tell({ temperatureC: 20 })
    store.follow('temperatureC', true)
    expect(reading.reading.temperatureC).toBe(20)
    tell({ temperatureC: 20.2 })
    await nextTick()
    expect(reading.reading.temperatureC).toBe(20)
    tell({ temperatureC: 20.4 })
    await nextTick()
    expect([reading.reading.temperatureC, store.follows.temperatureC]).toEqual([20.4, true])
    reading.set({ temperatureC: 12 })
    await nextTick()
    expect(store.follows.temperatureC).toBe(false)
    tell({ temperatureC: 21 })
    expect(reading.reading.temperatureC).toBe(12)
  })
  it('grow old by the device’s own clock, and are lost where nothing comes', async () => {
    const { store } = looking()
    await nextTick()
    tell({ depthM: 3 }, 2)
    expect(store.ageS('depthM')).toBe(2)
    vi.advanceTimersByTime(10_000)
    expect([store.ageS('depthM'), store.lost, store.standing('depthM')]).toEqual([12, false, 'fresh'])
    vi.advanceTimersByTime(6000)
    expect([store.lost, store.standing('depthM')]).toEqual([true, 'stale'])
    tell({ depthM: 3 })
    expect(store.lost).toBe(false)
  })
  it('are asked for anew where the stream was refused', async () => {
    const { store } = looking()
    await nextTick()
    const [first] = Stream.open
    first!.readyState = Stream.CLOSED
    first!.onerror!()
    expect(store.lost).toBe(true)
    vi.advanceTimersByTime(1000)
    expect(Stream.open).toHaveLength(1)
    expect(Stream.open[0]).not.toBe(first)
  })
})
