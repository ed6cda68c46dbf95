import { describe, expect, it } from 'vitest'
import type { SceneInput } from '#core/sight/scene'
import type { SkyInput } from '#core/sky/light'
import { NOON, seen } from '../../tests/reference/scenes'

const SPOON = { lure: 'inshore-spoon', tint: 'green', visibilityM: 2 } as const
const flash = (coat: string, change: Partial<SceneInput> = {}, sky: Partial<SkyInput> = {}) =>
  seen(coat, { ...SPOON, ...change, sky: { ...NOON.sky, ...sky } }).flash
const rising = (values: readonly number[]) => values.every((v, i) => i === 0 || v > values[i - 1]!)

describe('flash', () => {
  it('grows with the waves', () => {
    expect(rising((['calm', 'ripple', 'chop', 'strong'] as const).map(wind => flash('silver', {}, { wind })))).toBe(
      true,
    )
  })
  it('grows as the sun climbs and its path through the water steepens', () => {
    const suns = Array.from({ length: 17 }, (_, i) => 5 + 5 * i)
    expect(rising(suns.map(sunElevationDeg => flash('silver', {}, { sunElevationDeg })))).toBe(true)
  })
  it('dies with depth, silt and cloud', () => {
    const dying = (values: number[]) => rising([...values].reverse())
    expect(dying([0.1, 0.5, 1, 2, 4, 8].map(depthM => flash('silver', { depthM })))).toBe(true)
    expect(dying([3, 2, 1, 0.5, 0.25].map(visibilityM => flash('silver', { tint: 'brown', visibilityM })))).toBe(true)
    expect(dying([0, 0.25, 0.5, 0.75, 1].map(cloud => flash('silver', {}, { cloud })))).toBe(true)
  })
  it.each([
    [0.1, 0.608],
    [0.5, 0.418],
    [1, 0.23],
    [2, 0.0714],
  ])('of chrome at %d m is %d of the scale', (depthM, value) => {
    expect(flash('silver', { depthM })).toBeCloseTo(value, 2)
  })
  it('is a mirror’s: none of matte, little of pearl, most of broken foil', () => {
    expect([flash('white'), flash('black'), flash('chartreuse:fluorescent')]).toEqual([0, 0, 0])
    const [pearl, flake, metal, prism] = ['pearl', 'black+~silver*0.15', 'silver', 'silver:holographic'].map(c =>
      flash(c),
    )
    expect(pearl!).toBeGreaterThan(0)
    expect(pearl!).toBeLessThan(0.3 * metal!)
    expect(flake!).toBeLessThan(metal!)
    expect(prism! / metal!).toBeGreaterThan(0.7)
  })
  it('is brightest with the sun at the fish’s back, and not quite dead under cloud', () => {
    const [away, across, toward] = (['sun-in-face', 'across', 'sun-at-back'] as const).map(facing =>
      flash('silver', { facing }),
    )
    expect(away!).toBeGreaterThan(1.1 * across!)
    expect(across!).toBeGreaterThan(1.1 * toward!)
    expect(flash('silver', {}, { cloud: 1 })).toBeGreaterThan(0.005)
  })
  it('is livelier on a lively lure', () => {
    const of = (lure: SceneInput['lure']) => seen('silver', { ...SPOON, lure }).flash
    expect(of('lipless-crankbait')).toBeGreaterThan(of('swimbait'))
  })
})
