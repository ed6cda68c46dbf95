import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type EffectScope, effectScope, reactive } from 'vue'
import type { Reading } from '#core/request/readings'
import type { Request } from '#core/request/request'
import { comes } from '../../tests/reference/comes'
import { type Recorded, recorded } from '../../tests/reference/recorded'
import { useDesk } from './useDesk'

vi.mock('~/common/lightTable', () => ({ withLightTable: () => Promise.resolve() }))
const asked = vi.hoisted(() => [] as Recorded[])
const broken = vi.hoisted(() => ({ is: false }))
vi.mock('./work', async load => {
  const real = await load<typeof import('./work')>()
  const deskApi = recorded(real.deskApi, q => {
    asked.push(q)
    if (broken.is) throw new Error('no code')
  })
  return { ...real, deskApi }
})

const REQUEST: Request = {
  lure: 'popper',
  water: { visibilityM: 1, tint: 'green', salinity: 'salt' },
  light: { sky: 'clear', sunElevationDeg: 30 },
}
let scope: EffectScope
function desk(readings: Reading[], pick: string | null = null) {
  const state = reactive({ readings, pick })
  const made = scope.run(() => useDesk(() => ({ readings: [...state.readings], request: REQUEST, pick: state.pick })))!
  return { ...made, state }
}
beforeEach(() => {
  scope = effectScope()
  asked.length = 0
  broken.is = false
})
afterEach(() => scope.stop())

describe('readings weighed', () => {
  it('tell of the water first, then of what comes first in each water they allow, a few at a time', async () => {
    const { answer, progress, busy, sureness, state } = desk([{ kind: 'disc', depthM: 0.9 }])
    expect([progress.value, busy.value]).toEqual([0, true])
    await comes(() => expect(progress.value).toBe(1))
    await comes(() => expect(busy.value).toBe(false))
    const [read, ...firsts] = asked
    expect(read).toMatchObject({ kind: 'read', ask: { salt: true, units: 'metric' } })
    const sizes = firsts.map(q => (q.kind === 'firsts' ? q.ask.waters.length : 0))
    expect(sizes.reduce((s, n) => s + n, 0)).toBe(answer.value!.allowed.length)
    expect(Math.max(...sizes)).toBe(6)
    const { lowM, highM } = answer.value!.bands[0]!
    expect([lowM < 0.9, highM > 0.9, highM / lowM < 2]).toEqual([true, true, true])
    expect(sureness.value).toBeNull()
    state.pick = 'popper.white'
    expect(sureness.value!.of100).toBeGreaterThanOrEqual(0)
    // Without any reading nothing is told of the water.
    state.readings = []
    await comes(() => expect(answer.value).toBeNull())
    expect([progress.value, sureness.value]).toEqual([0, null])
  })
  it('that cannot be weighed say so, and weigh again with the next', async () => {
    broken.is = true
    const { failed, busy, answer, state } = desk([{ kind: 'look', tint: 'tea' }])
    await comes(() => expect([failed.value, busy.value]).toEqual([true, false]))
    broken.is = false
    state.readings = [{ kind: 'look', tint: 'brown' }]
    await comes(() => expect(answer.value).not.toBeNull())
    expect(failed.value).toBe(false)
  })
})
