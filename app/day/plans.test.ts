import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createApp, defineComponent, h, ref, shallowRef } from 'vue'
import type { PlanRecord } from '#shared/schema/record'
import { RECORDS } from '#shared/schema/record'
import { check } from '#shared/faults'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { FIRST_DAY } from './fields'
import { useDayStore } from './store'
import { useDayPlans } from './useDayPlans'
import { type DayScale, NAMES_PHONE_PX, NAMES_PX, provideDayScale, useDayScale } from './useDayScale'
import type { DayShown, PlanShown } from './work'

beforeEach(() => setActivePinia(createPinia()))

const PLAN = {
  pack: [{ finishId: 'jerkbait.bone' }, { finishId: 'popper.white' }],
  packed: 96.4,
  lanes: [[{ from: 0, to: 2, finishId: 'jerkbait.bone', why: '', gain: 0 }]],
} as unknown as PlanShown
const LIGHT = {
  steps: [
    { atMin: 360, endMin: 390 },
    { atMin: 390, endMin: 420 },
  ],
} as DayShown

/** Plans as a component has them, and what is kept. */
function plans() {
  const records = useRecordsStore()
  vi.spyOn(records, 'load').mockResolvedValue()
  const put = vi.spyOn(records, 'put').mockResolvedValue('id')
  const plan = shallowRef<PlanShown | null>(null)
  const scope = createApp({})
  return { plan, put, ...scope.runWithContext(() => useDayPlans(plan, shallowRef(LIGHT))) }
}
const last = (put: ReturnType<typeof plans>['put']) => put.mock.calls.at(-1)![1] as PlanRecord

describe('a day’s plan', () => {
  it('is kept once it is there, as records take it, until anything is changed', async () => {
    const day = useDayStore()
    const { plan, put, keep, kept } = plans()
    keep()
    expect(put).not.toHaveBeenCalled()
    plan.value = PLAN
    keep()
    const body = last(put)
    expect(put.mock.calls[0]![0]).toBe('plan')
    expect(body).toMatchObject({ name: 'Unnamed water', pack: ['jerkbait.bone', 'popper.white'], share: 96.4 })
    expect(body.spells).toEqual([{ lane: 0, fromMin: 360, toMin: 420, finishId: 'jerkbait.bone' }])
    expect('pins' in body).toBe(false)
    expect(check(RECORDS.plan, JSON.parse(JSON.stringify(body)))).toMatchObject({ ok: true })
    expect(kept.value).toBe(true)
    day.change({ packMost: 3 })
    expect(kept.value).toBe(false)
  })
  it('keeps held changes, and of what a lane may use only the catalogue’s', () => {
    const day = useDayStore()
    const pin = { lane: 0, fromMin: 540, atMin: 600, toMin: 700, before: 'jerkbait.bone', after: 'jerkbait.black' }
    day.pin(pin, 600)
    const { plan, put, keep } = plans()
    plan.value = PLAN
    const asked = {
      ...day.request,
      lures: [
        { lure: 'jerkbait' as const, finishIds: ['jerkbait.bone', 'jerkbait.own-x-1'] },
        { lure: 'popper' as const, finishIds: ['popper.own-x-1'] },
      ],
    }
    vi.spyOn(day, 'request', 'get').mockReturnValue(asked)
    keep()
    expect(last(put).pins).toEqual([pin])
    expect(last(put).asked.lures).toEqual([{ lure: 'jerkbait', finishIds: ['jerkbait.bone'] }, { lure: 'popper' }])
  })
  it('is opened as it was made, on its date or as a copy on the day that is looked at', () => {
    const day = useDayStore()
    const reading = useReadingStore()
    reading.set({ visibilityM: 0.7, tint: 'tea', waterM: 3, cloud: 0.9, wind: 'chop' })
    day.change({
      changeMin: 9,
      minSpellMin: 90,
      packMost: 4,
      bank: { facingDeg: 10, heightM: 5, acrossHeightM: 5, acrossM: 20 },
      lanes: [{ lure: 'popper', place: 'shade', depthM: 0.3 }],
    })
    day.setHour(9, { cloud: 0.1, rain: true })
    const asked = structuredClone(JSON.parse(JSON.stringify(day.request))) as PlanRecord['asked']
    const was = structuredClone(JSON.parse(JSON.stringify(day.set))) as typeof day.set
    const body: PlanRecord = {
      name: 'x',
      waterId: null,
      asked: { ...asked, date: '2026-07-04' },
      spells: [],
      pack: [],
      share: 90,
    }
    const { open } = plans()
    for (const copy of [true, false]) {
      setActivePinia(createPinia())
      const [fresh, read] = [useDayStore(), useReadingStore()]
      fresh.change(structuredClone(FIRST_DAY))
      const before = read.reading.timeMs
      plans().open({ id: 'p', at: '', body }, copy)
      expect(fresh.set).toMatchObject({ ...was, changeMin: expect.closeTo(9, 9), tide: null })
      expect(read.reading).toMatchObject({ visibilityM: 0.7, tint: 'tea', waterM: 3 })
      expect(read.reading.timeMs === before).toBe(copy)
      if (!copy) expect(fresh.date).toBe('2026-07-04')
    }
    const { bank: _b, packMost: _p, changeCost: _c, minSpellMin: _m, hours: _h, ...bare } = asked
    open({ id: 'p', at: '', body: { ...body, asked: bare } }, true)
    expect(useDayStore().set).toMatchObject({ bank: null, hours: null, packMost: 7, changeMin: 8, minSpellMin: 0 })
  })
})

describe('the scale of a day', () => {
  it('lays the hours that are worked out over the breadth, or usual ones before', () => {
    const light = shallowRef<DayShown | null>(null)
    const phone = ref(false)
    let scale!: DayScale
    const Inside = defineComponent(() => {
      scale = useDayScale()
      return () => null
    })
    const made = { light, plan: shallowRef(null), width: ref(1020), cursorMin: ref(600) as never }
    const Outside = defineComponent(() => {
      provideDayScale(made, phone)
      return () => h(Inside)
    })
    // Without a document a component is set up by what renders to text.
    return import('vue/server-renderer').then(async ({ renderToString }) => {
      await renderToString(createApp(Outside))
      expect([scale.fromMin.value, scale.toMin.value, scale.xOf(300), scale.xOf(1320)]).toEqual([300, 1320, 0, 1020])
      light.value = { fromMin: 360, toMin: 870 } as DayShown
      expect([scale.xOf(361), scale.minOf(2), scale.minOf(scale.xOf(777))]).toEqual([2, 361, 777])
      expect(scale.namesPx.value).toBe(NAMES_PX)
      phone.value = true
      expect(scale.namesPx.value).toBe(NAMES_PHONE_PX)
    })
  })
})
