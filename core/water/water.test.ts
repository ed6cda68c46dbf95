import { describe, expect, it } from 'vitest'
import { paintReflectance } from '#core/paintwork/paints'
import { bandAt, tabulated, valueAt } from '#core/spectrum/grid'
import { PURE_WATER_ABSORPTION } from '#core/data/water'
import { amountFor, vanishingDepthM, waterFromReading } from '#core/water/disc'
import { diffuseAttenuation, waterOptics } from '#core/water/optics'
import { TINTS, scaled } from '#core/water/tints'
import { waterFromTwoTargets } from '#core/water/twoTargets'
import { clarityWord } from '#core/water/words'

const READINGS_M = [0.1, 0.15, 0.25, 0.4, 0.6, 0.8, 1, 1.5, 2, 3, 4, 6, 8, 10, 12]
const tints = Object.values(TINTS)

describe('water from a reading', () => {
  it('has the absorption of pure water as published', () => {
    const pure = tabulated(PURE_WATER_ABSORPTION)
    for (const [nm, a] of [
      [440, 0.00635],
      [500, 0.0204],
      [550, 0.0565],
      [600, 0.2224],
      [650, 0.34],
      [700, 0.624],
    ] as const)
      expect(valueAt(pure, nm)).toBeCloseTo(a, 6)
  })
  it.each(tints)('P11: the disc depth comes back for $id', ({ recipe }) => {
    for (const m of READINGS_M)
      expect(Math.abs(vanishingDepthM(waterFromReading(recipe, false, m)) / m - 1)).toBeLessThan(0.02)
  })
  it.each(tints)('P12: attenuation of $id stays within the spread of field data', ({ recipe }) => {
    const band = bandAt(550)
    for (const m of READINGS_M) {
      const w = waterFromReading(recipe, false, m)
      expect(diffuseAttenuation(w, band) * m).toBeGreaterThan(0.7)
      expect(diffuseAttenuation(w, band) * m).toBeLessThan(2.6)
      expect(w.beam[band]! * m).toBeGreaterThan(2.95)
      expect(w.beam[band]! * m).toBeLessThan(13)
    }
  })
  it('thickens every way as the amount grows', () => {
    for (const { recipe } of tints) {
      const thin = waterOptics(scaled(recipe, 0.5), false)
      const thick = waterOptics(scaled(recipe, 0.6), false)
      thin.beam.forEach((c, i) => expect(thick.beam[i]!).toBeGreaterThan(c))
    }
  })
  it('takes a lure of known colour for a disc', () => {
    const { recipe } = TINTS.brown
    const bone = paintReflectance('bone')
    const w = waterFromReading(recipe, false, 0.5)
    const again = waterOptics(scaled(recipe, amountFor(recipe, false, vanishingDepthM(w, bone), bone)), false)
    expect(vanishingDepthM(again)).toBeCloseTo(0.5, 2)
  })
  it('names clarity by the disc', () => {
    expect([0.1, 0.3, 0.7, 1.5, 3, 9].map(clarityWord)).toEqual([
      'mud',
      'dirty',
      'stained',
      'slightly stained',
      'clear',
      'gin',
    ])
  })
})

describe('two lures instead of a disc', () => {
  const read = (tint: keyof typeof TINTS, discM: number) => {
    const w = waterFromReading(TINTS[tint].recipe, false, discM)
    const at = (paint: 'white' | 'black') => ({
      target: paintReflectance(paint),
      depthM: vanishingDepthM(w, paintReflectance(paint)),
    })
    return waterFromTwoTargets(at('white'), at('black'))
  }
  it('tells silt from tea by white and black', () => {
    expect(read('brown', 0.4).tints[0]!.tint).toBe('brown')
    expect(read('tea', 0.4).tints[0]!.tint).toBe('tea')
    expect(read('tea', 0.4).tints.find(t => t.tint === 'brown')!.odds).toBeLessThan(0.1)
  })
  it('brackets the true disc depth, and its odds sum to one', () => {
    for (const tint of Object.keys(TINTS) as (keyof typeof TINTS)[]) {
      const r = read(tint, 0.8)
      expect(r.lowM).toBeLessThan(0.82)
      expect(r.highM).toBeGreaterThan(0.78)
      expect(r.tints.reduce((s, t) => s + t.odds, 0)).toBeCloseTo(1, 6)
    }
  })
})
