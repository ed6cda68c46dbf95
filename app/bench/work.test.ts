import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nineOf } from '#core/bench/bar'
import { MOST_HUNG } from '#core/bench/order'
import { finishesOf } from '#core/lure/finish'
import { rank } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import type { SeenOut } from '~/water/seen'
import { useSettingsStore } from '~/settings/store'
import { seenAt } from './between'
import { useBenchStore } from './store'
import { useQuestionWords } from './useQuestionWords'
import { benchApi } from './work'

vi.mock('~/common/lightTable', () => ({ withLightTable: () => Promise.resolve() }))
beforeEach(() => setActivePinia(createPinia()))

const POND: Request = {
  lure: 'jerkbait',
  water: { visibilityM: 1.2, tint: 'green' },
  light: { sky: 'partly', sunElevationDeg: 40 },
}
const ids = ['jerkbait.bone', 'jerkbait.black', 'jerkbait.perch', 'popper.white']

describe('the bench worked out', () => {
  it('hangs what was chosen of the lure at hand, and nine of its own choice where nothing was', async () => {
    const bar = await benchApi.bar({ request: POND, ids, side: 'level', watcher: 'diver' })
    expect(bar.ids).toEqual(ids.slice(0, 3))
    for (const id of bar.ids) {
      const seen = bar.seen[id]!
      const { diverM, fishM } = bar.bar.hung.find(h => h.finishId === id)!
      expect(seen.map(s => s.distanceM)).toEqual(bar.distancesM)
      expect(seen.map(s => s.shape)).toEqual(bar.distancesM.map(d => d <= diverM))
      const ofFish = await benchApi.bar({ request: POND, ids, side: 'level', watcher: 'fish' })
      expect(ofFish.seen[id]!.map(s => s.shape)).toEqual(ofFish.distancesM.map(d => d <= fishM))
    }
    const own = await benchApi.bar({ request: POND, ids: ids.slice(3), side: 'below', watcher: 'fish' })
    expect(own.ids).toEqual(nineOf(POND))
  })
  it('fills jars with drops of tint, in which lures and lines are gone sooner', async () => {
    const ask = { request: POND, ids: ids.slice(0, 2), lines: ['leader'], watcher: 'diver' } as const
    const [clear, some] = await Promise.all(
      [0, 4].map(drops => benchApi.jars({ ...ask, ids: [...ask.ids], lines: [...ask.lines], drops })),
    )
    clear!.forEach((jar, i) => {
      expect(jar.water).toMatch(/^#[0-9a-f]{6}$/)
      expect(jar.lures.map(l => l.finishId)).toEqual(ask.ids)
      expect(some![i]!.discM).toBeLessThan(jar.discM)
      jar.lures.forEach((l, k) => expect(some![i]!.lures[k]!.goneM).toBeLessThan(l.goneM))
    })
    expect(clear!.map(j => j.discM)).toEqual(clear!.map(j => j.discM).sort((a, b) => b - a))
  })
  it('says how far off the first pick should be lost from the boat, in the angler’s units', async () => {
    const { finishId, text, lostM } = await benchApi.boat({ ...POND, units: 'us' })
    expect(finishId).toBe(rank(POND).ranked[0]!.finish.id)
    expect(lostM).toBeGreaterThan(0)
    expect(text).toMatch(/\d (ft|in)\b/)
  })
  it('puts a question with what it is about drawn, and its reason', async () => {
    for (const topic of ['first.tea', 'water.jar', 'phase'] as const) {
      const asked = { topic, seed: 7, level: 0.3, units: 'us' } as const
      const { drill, seen, because } = await benchApi.drill(asked)
      expect(seen).toHaveLength(drill.facts.kind === 'scene' ? drill.facts.finishIds.length : 0)
      expect(because).toMatch(/^[A-Z].*\.$/)
      const { questionOf, factsWords, optionWords } = useQuestionWords()
      expect(questionOf(drill)).toMatch(/\?$/)
      expect(factsWords(drill.facts)).toMatch(topic === 'phase' ? /°F and (rising|falling)/ : /ft|in\b/)
      drill.options.forEach((o, i) => expect(optionWords(o, i)).not.toBe(''))
    }
    useSettingsStore().units = 'metric'
    const { drill } = await benchApi.drill({ topic: 'phase', seed: 7, level: 0.3, units: 'metric' })
    expect(useQuestionWords().factsWords(drill.facts)).toContain('°C')
    useSettingsStore().units = 'us'
  })
})

describe('a look between two that were painted', () => {
  const look = (distanceM: number, fine: number, water: string): SeenOut => ({
    distanceM,
    shape: true,
    fine,
    water,
    parts: { flank: water },
  })
  const list = [look(0.5, 1, '#ffffff'), look(1, 0.5, '#808080'), look(2, 0, '#000000')]
  const at = (m: number, goneM = 5) => seenAt(list, [0.5, 1, 2], m, goneM)
  it('is mixed of the two by the logarithm of the distance, and holds at the ends', () => {
    expect(at(Math.SQRT2).fine).toBeCloseTo(0.25, 9)
    expect([at(0.1).fine, at(0.5).fine, at(1).fine, at(2).fine, at(9).fine]).toEqual([1, 1, 0.5, 0, 0])
    expect([at(1).water, at(1).parts.flank, at(1).distanceM]).toEqual(['#808080', '#808080', 1])
    expect(parseInt(at(Math.SQRT1_2).water.slice(1, 3), 16)).toBeGreaterThan(0x90)
  })
  it('has a shape as far as the finish is seen', () => {
    expect([at(1.5, 1.5).shape, at(1.6, 1.5).shape]).toEqual([true, false])
  })
})

describe('what hangs', () => {
  it('is kept by lure type, no more than the bar holds', () => {
    const bench = useBenchStore()
    const all = finishesOf('jerkbait').map(f => f.id)
    bench.hang('jerkbait', all)
    bench.hang('popper', ['popper.white'])
    expect(bench.set.hung.jerkbait).toEqual(all.slice(0, MOST_HUNG))
    expect(bench.set.hung.popper).toEqual(['popper.white'])
    bench.change({ drops: 3 })
    expect([bench.set.drops, bench.set.jarTint]).toEqual([3, 'tea'])
  })
})
