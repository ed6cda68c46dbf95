import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type EffectScope, effectScope, reactive, ref } from 'vue'
import type { OwnLure } from '#core/box/own'
import type { KitScene } from '#core/kit/scenes'
import { finishesOf } from '#core/lure/finish'
import { rank } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { apartJnd } from '#core/sight/measure'
import { type Recorded, recorded } from '../../tests/reference/recorded'
import { comes } from '../../tests/reference/comes'
import { type KitQuestion, MOST_KIT, useBox } from './useBox'

vi.mock('~/common/lightTable', () => ({ withLightTable: () => Promise.resolve() }))
const asked = vi.hoisted(() => [] as Recorded[])
/** What happens while a worker is at its work. */
const meanwhile = vi.hoisted(() => ({ is: (_q: Recorded) => {} }))
vi.mock('./work', async load => {
  const real = await load<typeof import('./work')>()
  const boxApi = recorded(real.boxApi, q => {
    asked.push(q)
    meanwhile.is(q)
  })
  return { ...real, boxApi }
})

const POND: Request = {
  lure: 'jerkbait',
  water: { visibilityM: 1.2, tint: 'green' },
  light: { sky: 'partly', sunElevationDeg: 40 },
}
const lure = (id: string, finishId: string): OwnLure => {
  return { id, lure: finishId.split('.')[0] as OwnLure['lure'], finishId, name: id }
}
const OWNED = [
  lure('a', 'jerkbait.bone'),
  lure('b', 'jerkbait.black'),
  lure('c', 'jerkbait.white'),
  lure('d', 'spinnerbait.all-black'),
]
const scene = (over: Partial<KitScene> = {}): KitScene => ({ ...POND, ...over })
const SCENES = [
  scene(),
  scene({ water: { visibilityM: 0.4, tint: 'brown' } }),
  scene({ lure: 'spinnerbait' }),
  scene({ lure: 'popper' }),
]

let scope: EffectScope
const box = (over: { owned?: OwnLure[]; mapped?: OwnLure['lure'] | null; kit?: Partial<KitQuestion> | null } = {}) => {
  const state = reactive({ owned: over.owned ?? OWNED, mapped: over.mapped ?? null, drop: [] as string[] })
  const question = (): KitQuestion | null =>
    over.kit === null ? null : { of: { scenes: SCENES }, keep: [], drop: [...state.drop], ...over.kit }
  const hurry = ref(false)
  const made = scope.run(() =>
    useBox(() => ({ request: POND, owned: [...state.owned], fishM: 0.5, mapped: state.mapped }), question, hurry),
  )!
  return { ...made, state, hurry }
}
const kinds = () => asked.map(q => q.kind)

beforeEach(() => {
  setActivePinia(createPinia())
  scope = effectScope()
  asked.length = 0
  meanwhile.is = () => {}
})
afterEach(() => scope.stop())

describe('the box worked out', () => {
  it('has a tray for each lure type in it, in their order, and as many looks as the fish tells', async () => {
    const { trays, lookCount, map } = box()
    await comes(() => expect(trays.value).toHaveLength(2))
    expect(trays.value.map(t => t.lure)).toEqual(['jerkbait', 'spinnerbait'])
    expect(trays.value.map(t => t.finishes.flatMap(f => f.ids).sort())).toEqual([['a', 'b', 'c'], ['d']])
    const looks = trays.value.flatMap(t => [...new Set(t.finishes.map(f => f.look))])
    expect(lookCount.value).toBe(looks.length)
    expect(map.value).toBeNull()
  })
  it('maps the lure that is looked at with the whole catalogue, and no other', async () => {
    const { map, state } = box({ mapped: 'spinnerbait' })
    await comes(() => expect(map.value?.finishIds).toHaveLength(finishesOf('spinnerbait').length))
    state.mapped = null
    await comes(() => expect(map.value).toBeNull())
  })
  it('chooses kits of what is owned for the scenes of its lures, once the box rests', async () => {
    const { kit, kitProgress } = box()
    await comes(() => expect(kit.value).not.toBeNull())
    expect(kitProgress.value).toBeNull()
    expect(kit.value!.curve.map(k => k.size)).toEqual([1, 2, 3, 4])
    for (const { size, finishIds } of kit.value!.curve) expect(finishIds.length).toBeLessThanOrEqual(size)
    const shares = kit.value!.curve.map(k => k.share)
    expect(shares).toEqual([...shares].sort((x, y) => x - y))
    const scored = asked.flatMap(q => (q.kind === 'score' ? (q.ask.scenes as KitScene[]) : []))
    expect(scored.map(s => s.lure)).toEqual(['jerkbait', 'jerkbait', 'spinnerbait'])
  })
  it('scores scenes once for all that is kept and dropped', async () => {
    const { kit, state } = box()
    await comes(() => expect(kit.value).not.toBeNull())
    state.drop = ['jerkbait.black']
    await comes(() => expect(kinds().filter(k => k === 'beginKit')).toHaveLength(2))
    await comes(() => expect(kit.value!.curve.flatMap(k => k.finishIds)).not.toContain('jerkbait.black'))
    expect(kinds().filter(k => k === 'score')).toHaveLength(1)
  })
  it('takes no step towards a kit while the page is in a hurry, and goes on after it', async () => {
    const { kit, kitProgress, hurry } = box()
    hurry.value = true
    await comes(() => expect(kitProgress.value).toEqual({ share: 0, gap: null }))
    await new Promise(r => setTimeout(r, 300))
    expect(kinds().filter(k => k !== 'tray')).toEqual([])
    hurry.value = false
    await comes(() => expect(kit.value).not.toBeNull())
  })
  it('asks nothing more of workers once its place is left in a hurry', async () => {
    const { kitProgress, hurry } = box()
    hurry.value = true
    await comes(() => expect(kitProgress.value).not.toBeNull())
    scope.stop()
    const before = asked.length
    hurry.value = false
    await new Promise(r => setTimeout(r, 100))
    expect(asked).toHaveLength(before)
  })
  it('draws scenes from waters where it is asked for these, the same each time, up to the largest kit', async () => {
    const water = { visibilityM: 1, tint: 'green', salinity: 'fresh', latitude: 35, longitude: -84, prey: [] } as const
    const sample = { waters: [water], species: 'largemouth-bass', moments: 6, year: 2026 } as const
    const many = finishesOf('jerkbait')
      .slice(0, 20)
      .map((f, i) => lure(`l${i}`, f.id))
    const { kit } = box({ owned: many, kit: { of: { sample } } })
    await comes(() => expect(kit.value).not.toBeNull())
    expect(kit.value!.curve.at(-1)!.size).toBe(MOST_KIT)
    const [drawn] = asked.filter(q => q.kind === 'sample')
    expect(drawn).toMatchObject({ args: [{ lures: ['jerkbait'], moments: 6 }, 20260511] })
  })
  it('has no kit of an empty box, none where nothing is asked of it, and none once it was stopped', async () => {
    for (const over of [{ owned: [] }, { kit: null }]) {
      const { kit, kitProgress, choose } = box(over)
      await choose()
      expect([kit.value, kitProgress.value]).toEqual([null, null])
    }
    const { kit, stopped, stop, choose, kitProgress } = box()
    const going = choose()
    expect(kitProgress.value).toEqual({ share: 0, gap: null })
    stop()
    await going
    expect([kit.value, stopped.value, kitProgress.value]).toEqual([null, true, null])
    // Nor does begin what the box, once at rest, would have begun.
    await new Promise(r => setTimeout(r, 700))
    expect([kit.value, stopped.value, kitProgress.value]).toEqual([null, true, null])
  })
  it.each(['score', 'beginKit'] as const)('stays stopped where it was in the middle of %s', async kind => {
    const { kit, stopped, stop, choose, kitProgress, trays } = box()
    await comes(() => expect(trays.value).toHaveLength(2))
    meanwhile.is = q => q.kind === kind && stop()
    await choose()
    expect(kinds().at(-1)).toBe(kind)
    expect([kit.value, stopped.value, kitProgress.value]).toEqual([null, true, null])
  })
  it('says what of it the fish takes for a finish, in how many of a hundred scenes of its lure', async () => {
    const { sameAs } = box()
    const told = await sameAs('jerkbait.matte-pearl')
    expect(told.map(t => t.id).sort()).toEqual(['a', 'b', 'c'])
    const of = SCENES.slice(0, 2).map(s => {
      const { ranked } = rank(s)
      const at = (id: string) => ranked.find(j => j.finish.id === id)!
      return apartJnd(at('jerkbait.matte-pearl'), at('jerkbait.white')) < 1
    })
    expect(told.find(t => t.id === 'c')!.of100).toBe(50 * of.filter(Boolean).length)
    expect(told.map(t => t.of100)).toEqual(told.map(t => t.of100).sort((x, y) => y - x))
    expect(await box({ kit: null }).sameAs('jerkbait.white')).toEqual([])
  })
})
