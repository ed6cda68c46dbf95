import { describe, expect, it } from 'vitest'
import { paintReflectance } from '#core/paintwork/paints'
import { bandAt, tabulated, valueAt } from '#core/spectrum/grid'
import { PURE_WATER_ABSORPTION } from '#core/data/water'
import {
  amountFor,
  constituentsFromReading,
  readingColumn,
  vanishingDepthM,
  waterFromReading,
} from '#core/reading/disc'
import { waterOptics } from '#core/water/optics'
import { TINTS, scaled } from '#core/water/tints'
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
      expect(Math.abs(vanishingDepthM(readingColumn(waterFromReading(recipe, false, m))) / m - 1)).toBeLessThan(0.02)
  })
  it.each(tints)('P12: attenuation of $id stays within the spread of field data', ({ recipe }) => {
    const band = bandAt(550)
    for (const m of READINGS_M) {
      const column = readingColumn(waterFromReading(recipe, false, m))
      const kz = column.decay(m / 2)[band]! * m
      expect(kz).toBeGreaterThan(0.3)
      expect(kz).toBeLessThan(5.2)
      expect(column.water.beam[band]! * m).toBeGreaterThan(5)
      expect(column.water.beam[band]! * m).toBeLessThan(8.5)
    }
  })
  it('holds what waters hold: chlorophyll as Carlson found it, silt and not algae below the tannin ceiling', () => {
    for (const m of [0.3, 1, 3]) {
      const carlson = (7.7 / m) ** (1 / 0.68)
      const { chlorophyll } = constituentsFromReading(TINTS.green.recipe, false, m)
      expect(chlorophyll / carlson).toBeGreaterThan(1 / 3)
      expect(chlorophyll / carlson).toBeLessThan(3)
    }
    const blackwater = constituentsFromReading(TINTS.tea.recipe, false, 0.15)
    expect(blackwater.tannin).toBeLessThan(20)
    expect(blackwater.chlorophyll).toBeLessThan(30)
    expect(blackwater.silt).toBeGreaterThan(20)
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
    const lostM = vanishingDepthM(readingColumn(w), bone)
    const again = waterOptics(scaled(recipe, amountFor(recipe, false, lostM, bone)), false)
    expect(vanishingDepthM(readingColumn(again))).toBeCloseTo(0.5, 2)
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
