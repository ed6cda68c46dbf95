import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import { effectScope, nextTick } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useInstrumentsStore } from '~/instruments/store'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { TRIP_OF } from '../../tests/reference/log'
import { comes } from '../../tests/reference/comes'
import { useLogStore } from './store'
import { useCarried } from './useCarried'
import { useWhereaboutsStore } from './whereabouts'

const NOW = Date.parse('2026-05-10T12:00:00.000Z')
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', async () => {
    throw new TypeError('no signal')
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
async function onTheWater() {
  const log = useLogStore()
  await useRecordsStore().load()
  const { startedAt: _s, endedAt: _e, ...trip } = TRIP_OF()
  await log.start(trip)
  return log
}
/** The boat says where it is, so many seconds ago. */
function boatAt(latitude: number, longitude: number, agoS = 1): void {
  const instruments = useInstrumentsStore()
  const told = { latitude, longitude }
  instruments.board = {
    simulated: true,
    nowMs: NOW,
    line: 'here',
    gauge: 'none',
    told: Object.fromEntries(Object.entries(told).map(([k, value]) => [k, { value, atMs: NOW - 1000 * agoS }])),
    cast: null,
  }
}

describe('where a tap was', () => {
  it('is kept only where the angler lets it be, to a metre, and from a boat that speaks', async () => {
    const log = await onTheWater()
    const where = useWhereaboutsStore()
    boatAt(34.8700123456, -84.3)
    await log.tap('bite')
    where.kept = true
    await log.tap('bite')
    boatAt(34.88, -84.3, 600)
    await log.tap('bite')
    where.kept = false
    await log.tap('bite')
    expect(log.taps.map(t => t.body.place)).toEqual([
      undefined,
      { latitude: 34.87001, longitude: -84.3 },
      undefined,
      undefined,
    ])
  })
})

describe('conditions of the trip under way', () => {
  it('are noted once a change has stood for a while, and at once where that is asked', async () => {
    const reading = useReadingStore()
    reading.set({ temperatureC: 14 })
    const log = await onTheWater()
    const scope = effectScope()
    const carried = scope.run(() => useCarried())!
    await carried.note()
    const noted = () => log.taps.filter(t => t.body.what === 'conditions').map(t => t.body.asked!.water.temperatureC)
    expect([noted(), carried.changed.value]).toEqual([[14], []])
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    for (const temperatureC of [15, 16, 17]) {
      reading.set({ temperatureC })
      await nextTick()
      await vi.advanceTimersByTimeAsync(5000)
    }
    expect(noted()).toEqual([14])
    await vi.advanceTimersByTimeAsync(15_000)
    await comes(() => expect(noted()).toEqual([14, 17]))
    expect(Date.parse(log.taps.at(-1)!.body.asked!.light.at!.time)).toBeGreaterThan(Date.now() - 60_000)
    scope.stop()
  })
})
