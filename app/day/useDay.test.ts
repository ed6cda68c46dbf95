import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type EffectScope, effectScope, shallowReactive } from 'vue'
import type { OwnLure } from '#core/box/own'
import type { Pin } from '#core/day/pins'
import type { DayRequest } from '#core/day/request'
import { finishesOf } from '#core/lure/finish'
import { comes } from '../../tests/reference/comes'
import { type Recorded, recorded } from '../../tests/reference/recorded'
import { useDay } from './useDay'

vi.mock('~/common/lightTable', () => ({ withLightTable: () => Promise.resolve() }))
const asked = vi.hoisted(() => [] as Recorded[])
const broken = vi.hoisted(() => ({ is: false, by: null as (() => void) | null }))
vi.mock('./work', async load => {
  const real = await load<typeof import('./work')>()
  const dayApi = recorded(real.dayApi, q => {
    asked.push(q)
    if (q.kind === 'scores') broken.by?.()
    if (broken.is) throw new Error('no code')
  })
  return { ...real, dayApi }
})

const DAY: DayRequest = {
  date: '2026-05-10',
  place: { latitude: 34.9, longitude: -84.3, utcOffsetMin: -240 },
  from: '09:00',
  to: '19:00',
  water: { visibilityM: 1.2, tint: 'green' },
  lures: [{ lure: 'jerkbait' }, { lure: 'popper', place: 'shade' }],
  bank: { facingDeg: 90, heightM: 11, acrossM: 40 },
}
const MINE: OwnLure = {
  id: 'mine',
  lure: 'popper',
  finishId: 'popper.white',
  name: 'Mine',
  coats: { belly: { colour: '#101010', material: 'matte' } },
}

let scope: EffectScope
function day(over: Partial<DayRequest> = {}) {
  const state = shallowReactive({ request: { ...DAY, ...over }, pins: [] as Pin[], own: [] as OwnLure[] })
  const made = scope.run(() =>
    useDay(() => ({
      request: state.request,
      depthsM: [0.2, 1],
      acrossHeightM: 4,
      pins: state.pins,
      own: state.own,
      lean: {},
    })),
  )!
  return { ...made, state }
}
const of = (kind: string) => asked.filter(q => q.kind === kind)
const planned = (d: ReturnType<typeof day>) => comes(() => expect(d.plan.value).not.toBeNull())

beforeEach(() => {
  scope = effectScope()
  asked.length = 0
  Object.assign(broken, { is: false, by: null })
})
afterEach(() => scope.stop())

describe('the day worked out', () => {
  it('has its light at once, then every lane ranked in chunks, then the plan', async () => {
    const d = day()
    await comes(() => expect(d.light.value).not.toBeNull())
    const { steps, sun, moon, depthsM } = d.light.value!
    expect([steps[0]!.atMin, steps.at(-1)!.endMin]).toEqual([540, 1140])
    expect(steps[0]!.acrossShadeM).not.toBeNull()
    expect(sun.sunrise!).toBeLessThan(sun.sunset!)
    expect(sun.firstLight!).toBeLessThan(sun.sunrise!)
    expect(moon.fraction).toBeLessThanOrEqual(1)
    expect(depthsM).toHaveLength(2)
    await planned(d)
    expect(d.progress.value).toBe(1)
    expect(d.scored.value.map(l => l.filter(Boolean).length)).toEqual([steps.length, steps.length])
    const { lanes, pack, packed, oneEach, finishes } = d.plan.value!
    expect(finishes).toBe(finishesOf('jerkbait').length + finishesOf('popper').length)
    for (const spells of lanes) {
      expect(spells[0]!.from).toBe(0)
      expect(spells.at(-1)!.to).toBe(steps.length)
      for (const s of spells) expect(s.why).not.toBe('')
    }
    expect([packed <= 100, oneEach <= packed, oneEach > 0]).toEqual([true, true, true])
    for (const p of pack) {
      const mine = lanes[p.lane]!.filter(s => s.finishId === p.finishId)
      expect(p.spells).toBe(mine.length)
      expect(p.hours).toBeCloseTo(
        mine.reduce((s, x) => s + (x.to - x.from) / 2, 0),
        6,
      )
    }
  })
  it('ranks nothing anew where only the pack, the price of a change or a held change moves', async () => {
    const d = day()
    await planned(d)
    const before = of('scores').length
    const plan = d.plan.value!
    d.state.request = { ...d.state.request, packMost: 1 }
    await comes(() => expect(d.plan.value!.pack).toHaveLength(1))
    expect(d.plan.value!.packed).toBeLessThanOrEqual(plan.packed)
    const held = { before: 'jerkbait.bone', after: 'jerkbait.black' }
    d.state.pins = [{ lane: 0, fromMin: 540, atMin: 780, toMin: 900, ...held }]
    d.state.request = { ...d.state.request, packMost: 6 }
    const heldAt = (t: number) => d.plan.value!.lanes[0]!.find(s => s.from <= t && t < s.to)?.finishId
    await comes(() => expect([heldAt(0), heldAt(7), heldAt(8)]).toEqual([held.before, held.before, held.after]))
    expect(of('scores')).toHaveLength(before)
  })
  it('ranks anew for another water, a bank whose shade is fished, and lures of one’s own', async () => {
    const d = day()
    await planned(d)
    const steps = of('scores').length
    const again = async (times: number) => {
      await comes(() => expect(of('plan')).toHaveLength(times))
      expect(of('scores')).toHaveLength(times * steps)
    }
    d.state.request = { ...d.state.request, bank: { ...DAY.bank!, heightM: 20 } }
    await again(2)
    // A few steps at a time, so that a newer question is not kept waiting.
    for (const q of of('scores')) if (q.kind === 'scores') expect(q.ask.to - q.ask.from).toBe(8)
    d.state.own = [MINE]
    await again(3)
    expect(Object.keys(d.scored.value[1]![0]!.scores).some(id => id.startsWith('popper.own-mine'))).toBe(true)
  })
  it('says that it failed, and stops when it is told to', async () => {
    broken.is = true
    const d = day()
    await comes(() => expect(d.failed.value).toBe(true))
    broken.is = false
    d.state.request = { ...d.state.request, water: { visibilityM: 0.7, tint: 'tea' } }
    await planned(d)
    expect(d.failed.value).toBe(false)
    const before = d.plan.value
    let shown = 1
    broken.by = () => {
      shown = d.progress.value
      if (shown > 0) d.cancel()
    }
    d.state.request = { ...d.state.request, water: { visibilityM: 2, tint: 'green' } }
    await comes(() => expect(d.cancelled.value).toBe(true))
    expect([shown > 0 && shown < 1, d.progress.value, d.plan.value === before]).toEqual([true, 1, true])
  })
})
