import { describe, expect, it } from 'vitest'
import { HEADINGS, LightColumn } from '#core/light-field/lightField'
import { COLUMN } from '#core/light-field/table'
import { waterFromReading } from '#core/reading/disc'
import { skyLight } from '#core/sky/light'
import { BANDS, bandAt } from '#core/spectrum/grid'
import { TINTS } from '#core/water/tints'
import { NOON, OVERCAST } from '../../tests/reference/scenes'

const GREEN = waterFromReading(TINTS.green.recipe, false, 2)
const MID = bandAt(550)
const even = (v: number) => new Float64Array(BANDS).fill(v)
const noon = new LightColumn(GREEN, skyLight(NOON.sky))

describe('a column of water', () => {
  it('says one thing however it is asked', () => {
    const field = noon.at(1.3)
    const zen = new Float64Array(BANDS)
    noon.spectrum(1.3, COLUMN.lZen, zen)
    for (const [got, column] of [
      [field.ed, 'ed'],
      [field.eu, 'eu'],
      [field.eSide.toward, 'eSideToward'],
      [field.lh.away, 'lhAway'],
      [field.lZen, 'lZen'],
    ] as const)
      expect(noon.value(MID, 1.3, COLUMN[column])).toBe(got[MID])
    expect(zen[MID]).toBe(field.lZen[MID])
  })
  it('is brightest towards the sun, and the same all round without one', () => {
    const sunny = noon.at(1)
    expect(sunny.lh.toward[MID]).toBeGreaterThan(1.5 * sunny.lh.across[MID]!)
    expect(sunny.lh.across[MID]).toBeGreaterThan(1.05 * sunny.lh.away[MID]!)
    expect(sunny.eSide.toward[MID]).toBeGreaterThan(1.8 * sunny.eSide.across[MID]!)
    const dull = new LightColumn(GREEN, skyLight(OVERCAST)).at(1)
    for (const h of HEADINGS) {
      expect(dull.lh[h][MID]).toBe(dull.lh.mean[MID])
      expect(dull.eSide[h][MID]).toBe(dull.eSide.mean[MID])
    }
  })
  it('has a mean between its headings', () => {
    const { lh, eSide } = noon.at(0.7)
    for (const { mean, toward, away } of [lh, eSide]) {
      expect(mean[MID]).toBeLessThan(toward[MID]!)
      expect(mean[MID]).toBeGreaterThan(away[MID]!)
    }
  })
  it('loses its light between its absorption and its beam attenuation', () => {
    noon.decay(1.5).forEach((k, i) => {
      expect(k).toBeGreaterThan(0.95 * GREEN.absorption[i]!)
      expect(k).toBeLessThan(GREEN.beam[i]!)
    })
  })
  it('is dark, never broken, at the bottom of a mud hole', () => {
    const mud = new LightColumn(waterFromReading(TINTS.brown.recipe, false, 0.05), skyLight(NOON.sky))
    const { ed, lh } = mud.at(60)
    expect(ed.every(v => v > 0 && v < 1e-10)).toBe(true)
    expect(lh.toward.every(v => v > 0)).toBe(true)
    expect([...mud.decay(60)].every(Number.isFinite)).toBe(true)
  })
  it('does not feel a bottom that no light reaches, and never goes below nothing over a black one', () => {
    const at = (depthM: number, reflectance: number) =>
      new LightColumn(GREEN, skyLight(NOON.sky), { depthM, reflectance: even(reflectance) }).at(0.5)
    const open = noon.at(0.5)
    expect(at(90, 0.4).eu[MID]).toBe(open.eu[MID])
    const black = at(0.8, 0)
    for (const s of [black.eu, black.lh.across, black.eSide.away, black.lNad])
      expect([...s].every(v => v > 0)).toBe(true)
    expect(black.eu[MID]).toBeLessThan(0.7 * open.eu[MID]!)
    expect(at(1.2, 0.35).lNad[MID]).toBeGreaterThan(1.5 * open.lNad[MID]!)
  })
})
