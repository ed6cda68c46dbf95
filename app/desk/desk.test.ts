import { describe, expect, it, vi } from 'vitest'
import { createPinia, setActivePinia } from 'pinia'
import { meanColour } from '~/common/pixels'
import { MOST_READINGS, useDeskStore } from './store'
import { surenessOf } from './sureness'
import type { FirstIn } from '#core/ranking/byReadings'
import { deskApi } from './work'
import { READING_KINDS } from '#core/water/readingKinds'
import { check } from '#shared/faults'
import { readingsSchema } from '#shared/schema/request'

vi.mock('~/common/lightTable', () => ({ withLightTable: () => Promise.resolve() }))

const firstIn = (tint: FirstIn['water']['tint'], share: number, first: string, shared = [first]): FirstIn => ({
  water: { tint, visibilityM: 1, share },
  first,
  shared,
})

describe('how far a pick hangs on which water it is', () => {
  it('counts the waters in which it comes first or shares the place, and names what comes first elsewhere', () => {
    const { of100, others } = surenessOf('a', [
      firstIn('tea', 0.5, 'a'),
      firstIn('tea', 0.1, 'b', ['b', 'a']),
      firstIn('brown', 0.3, 'c'),
      firstIn('mixed', 0.06, 'c'),
      firstIn('mixed', 0.04, 'd'),
    ])
    expect(of100).toBe(60)
    expect(others).toEqual([
      { finishId: 'c', of100: 36, tint: 'brown' },
      { finishId: 'd', of100: 4, tint: 'mixed' },
    ])
  })
  it('is of the waters done so far', () => {
    expect(surenessOf('a', [firstIn('tea', 0.02, 'a')])).toEqual({ of100: 100, others: [] })
  })
})

describe('the reading desk', () => {
  it('adds every kind in a form the server takes, up to as many as are weighed at once', () => {
    setActivePinia(createPinia())
    const desk = useDeskStore()
    desk.readings = []
    for (const kind of READING_KINDS) desk.add(kind)
    expect(check(readingsSchema, { readings: JSON.parse(JSON.stringify(desk.readings)) }).ok).toBe(true)
    for (let i = 0; i < 20; i++) desk.add('disc')
    expect(desk.readings).toHaveLength(MOST_READINGS)
    desk.remove(0)
    desk.change(0, { kind: 'disc', depthM: 2 })
    expect(desk.readings[0]).toEqual({ kind: 'disc', depthM: 2 })
    expect(desk.readings).toHaveLength(MOST_READINGS - 1)
  })
  it('works out the answer, a band for each reading, and what comes first in each water', async () => {
    const readings = [{ kind: 'disc', depthM: 1 } as const, { kind: 'look', tint: 'tea' } as const]
    const read = await deskApi.read({ readings, salt: false, units: 'us' })
    expect(read.bands).toHaveLength(2)
    expect(read.bands[1]!.highM / read.bands[1]!.lowM).toBeGreaterThan(2 * (read.bands[0]!.highM / read.bands[0]!.lowM))
    const firsts = await deskApi.firsts({
      request: {
        lure: 'popper',
        water: { visibilityM: 1, tint: 'green' },
        light: { sky: 'clear', sunElevationDeg: 30 },
      },
      waters: read.allowed.slice(0, 3),
    })
    expect(firsts).toHaveLength(3)
    for (const f of firsts) expect(f.shared).toContain(f.first)
  })
  it('takes the mean of the pixels under the loupe', () => {
    expect(meanColour({ data: [255, 0, 10, 255, 0, 0, 20, 255], width: 2, height: 1 })).toBe('#80000f')
  })
})
