import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { trialOrder } from '#core/trial/order'
import type { TripRecord } from '#shared/schema/record'
import { TRIP_OF } from '../../tests/reference/log'
import { effectScope } from 'vue'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { comes } from '../../tests/reference/comes'
import { useCarried } from './useCarried'
import { useLogStore } from './store'

const { startedAt: _s, endedAt: _e, ...TRIP } = TRIP_OF()
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', async () => {
    throw new TypeError('no signal')
  })
})
afterEach(() => vi.unstubAllGlobals())
async function started(patch: Partial<TripRecord> = {}) {
  const log = useLogStore()
  await useRecordsStore().load()
  await log.start({ ...TRIP, ...patch })
  return log
}
const whats = (log: ReturnType<typeof useLogStore>) => log.taps.map(t => `${t.body.what} ${t.body.rod}`)

describe('the log', () => {
  it('keeps the order of what happened when the clock is set back', async () => {
    const log = await started()
    await log.tap('bite')
    const clock = vi.spyOn(Date, 'now').mockReturnValue(Date.now() - 3_600_000)
    await log.tap('follow')
    await log.tap('landed')
    clock.mockRestore()
    expect(whats(log)).toEqual(['bite 0', 'follow 0', 'landed 0'])
    const times = log.taps.map(t => t.body.at)
    expect(new Set(times).size).toBe(3)
  })
  it('keeps every tap on the rod in hand, and takes back the last, one by one', async () => {
    const log = await started()
    await log.tap('bite')
    await log.tap('rod', { rod: 1 })
    await log.tap('landed')
    expect([whats(log), log.rod]).toEqual([['bite 0', 'rod 1', 'landed 1'], 1])
    await log.undo()
    await log.undo()
    expect([whats(log), log.rod]).toEqual([['bite 0'], 0])
    await log.undo()
    await log.undo()
    expect(whats(log)).toEqual([])
  })
  it('is whole again after the page was gone, without a signal', async () => {
    const log = await started()
    for (let i = 0; i < 20; i++) await log.tap('cast')
    setActivePinia(createPinia())
    const again = useLogStore()
    await useRecordsStore().load()
    expect(again.taps).toHaveLength(20)
    expect(useRecordsStore().unsent).toBe(21)
    // What was tapped before the page went can still be taken back.
    await again.undo()
    expect(again.taps).toHaveLength(19)
  })
  it('mends a tap, takes one out, ends a trip and goes on with it', async () => {
    const log = await started()
    await log.tap('landed')
    await log.mend(log.taps[0]!, { lengthM: 0.42, kept: true })
    expect(log.taps[0]!.body).toMatchObject({ what: 'landed', lengthM: 0.42, kept: true })
    await log.takeOut(log.taps[0]!.id)
    expect(log.taps).toEqual([])
    const { id } = log.current!
    await log.end()
    expect([log.current, log.trips[0]!.body.endedAt === null]).toEqual([null, false])
    await log.tap('bite')
    expect(log.allTaps).toEqual([])
    await log.resume(id)
    expect(log.current?.id).toBe(id)
  })
  it('puts the rod in hand that the order of a test says, with the cast', async () => {
    const trial = { castsPerSpell: 2, blocks: 2, seed: 5, leaveOut: [], differs: 'finish' as const }
    const log = await started({ trial })
    for (let i = 0; i < 8; i++) await log.tap('cast')
    await log.tap('bite')
    const sides = trialOrder(2, 5).map(s => Number(s.side === 'b'))
    const casts = log.taps.filter(t => t.body.what === 'cast')
    expect(casts.map(t => t.body.rod)).toEqual(sides.flatMap(s => [s, s]))
    expect(log.taps.at(-1)!.body).toMatchObject({ what: 'bite', rod: sides[3] })
    const changes = [0, ...sides].filter((s, i, all) => i && s !== all[i - 1]).length
    expect(log.taps).toHaveLength(8 + 1 + changes)
    await log.undo()
    await log.undo()
    expect(log.taps.filter(t => t.body.what === 'cast')).toHaveLength(7)
  })
  it('takes back what was tapped last, whatever its time was moved to, and no more than there is', async () => {
    const log = await started()
    for (const what of ['bite', 'follow', 'miss'] as const) await log.tap(what)
    const earlier = new Date(Date.parse(log.current!.body.startedAt) - 1000).toISOString()
    await log.mend(log.taps[2]!, { at: earlier })
    expect(whats(log)[0]).toBe('miss 0')
    await log.undo()
    expect(whats(log)).toEqual(['bite 0', 'follow 0'])
    for (let i = 0; i < 3; i++) await log.undo()
    expect(whats(log)).toEqual([])
    expect(await log.change('no-such', { name: 'x' })).toBe('')
  })
  it('notes conditions that moved once they have stood, and at once on asking', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const log = await started()
    const reading = useReadingStore()
    const scope = effectScope()
    const { changed, note } = scope.run(useCarried)!
    await note()
    const noted = () => log.taps.filter(t => t.body.what === 'conditions').length
    const first = noted()
    expect(changed.value).toEqual([])
    reading.set({ visibilityM: 0.3 })
    await vi.advanceTimersByTimeAsync(14_900)
    expect([changed.value.length, noted()]).toEqual([1, first])
    await vi.advanceTimersByTimeAsync(200)
    await comes(() => expect(noted()).toBe(first + 1))
    expect(changed.value).toEqual([])
    await note()
    expect(noted()).toBe(first + 1)
    scope.stop()
    vi.useRealTimers()
  })
  it('counts a bouncing finger once, keys and another’s target each time, and gives taps away', async () => {
    const log = await started({ crew: ['Maren', 'Jo'] })
    const finger = (timeStamp: number) => ({ detail: 1, timeStamp })
    log.touch('bite', finger(1000), 0)
    log.touch('bite', finger(1200), 0)
    log.touch('bite', finger(1250), 1)
    log.touch('bite', { detail: 0, timeStamp: 1260 }, 1)
    log.touch('bite', finger(1700), 1)
    await comes(() => log.taps.length === 4)
    expect(log.taps.map(t => [t.body.who ?? 0, t.body.rod])).toEqual([
      [0, 0],
      [1, 1],
      [1, 1],
      [1, 1],
    ])
    await log.mend(log.taps.at(-1)!, { who: 0, rod: 0 })
    expect(log.taps.map(t => t.body.who ?? 0)).toEqual([0, 1, 1, 0])
  })
})
