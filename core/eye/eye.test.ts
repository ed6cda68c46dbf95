import { describe, expect, it } from 'vitest'
import { adaptation, colourDistance, eyeOf } from '#core/eye/eye'
import { pigment } from '#core/eye/pigment'
import { SPECIES } from '#core/eye/species'
import { WAVELENGTHS_NM } from '#core/spectrum/grid'

const peakOf = (s: Float64Array) => WAVELENGTHS_NM[s.indexOf(Math.max(...s))]!

describe('pigments', () => {
  it('peak where they are said to, at about 1', () => {
    for (const [nm, kind] of [
      [450, 'A1'],
      [535, 'A1'],
      [565, 'A1'],
      [535, 'A2'],
      [614, 'A2'],
    ] as const) {
      const s = pigment(nm, kind)
      expect(Math.abs(peakOf(s) - nm)).toBeLessThanOrEqual(10)
      expect(Math.max(...s)).toBeGreaterThan(0.95)
      expect(Math.max(...s)).toBeLessThan(1.05)
    }
  })
  it('are broader with A2 than with A1', () => {
    const width = (kind: 'A1' | 'A2') => pigment(550, kind).filter(v => v > 0.5).length
    expect(width('A2')).toBeGreaterThanOrEqual(width('A1'))
  })
})

describe('thresholds', () => {
  it('never rise with light, and colour goes before lightness as it darkens', () => {
    let last = adaptation(1e-6)
    for (let l = 1e-5; l < 1e5; l *= 3) {
      const now = adaptation(l)
      for (const k of ['light', 'colour', 'coarser'] as const) expect(now[k]).toBeLessThanOrEqual(last[k])
      expect(now.colourShare).toBeGreaterThanOrEqual(last.colourShare)
      last = now
    }
    expect(adaptation(1000).colourShare).toBeGreaterThan(0.99)
    expect(adaptation(0.01).colourShare).toBeLessThan(0.05)
  })
  it('hands lightness over from cones to rods through the mesopic range of CIE 191', () => {
    expect([100, 5, 0.005, 1e-4].map(l => Number(adaptation(l).cones.toFixed(2)))).toEqual([1, 1, 0, 0])
    expect(adaptation(1).cones).toBeCloseTo(0.767, 6)
    expect(adaptation(0.1).cones).toBeCloseTo(0.767 - 0.3334, 6)
    expect(adaptation(1e4).light).toBeCloseTo(0.02, 4)
    expect(adaptation(1e-4).light).toBeCloseTo(0.032 * Math.sqrt(501), 6)
  })
  it('resolves ten times as coarsely by starlight as by day', () => {
    expect(adaptation(1e3).coarser).toBeLessThan(1.02)
    expect(adaptation(0.002).coarser).toBeCloseTo(5.5, 6)
    expect(adaptation(1e-6).coarser).toBeGreaterThan(9.5)
  })
})

describe('receptor noise', () => {
  it('sees no colour in a change of lightness alone', () => {
    expect(colourDistance([0.7, 0.7], 2, 0.07)).toBeCloseTo(0)
    expect(colourDistance([0.4, 0.4, 0.4], 3, 0.07)).toBeCloseTo(0)
  })
  it('agrees with the published forms for two and three cones', () => {
    expect(colourDistance([0.1, 0], 2, 0.05)).toBeCloseTo(0.1 / (0.05 * Math.SQRT2), 9)
    const [a, b, c, e] = [0.2, -0.1, 0.05, 0.08]
    const full = Math.sqrt((e ** 2 * (c - b) ** 2 + e ** 2 * (c - a) ** 2 + e ** 2 * (a - b) ** 2) / (3 * e ** 4))
    expect(colourDistance([a, b, c], 3, e)).toBeCloseTo(full, 9)
  })
  it('has an eye of its own for every species, its cones short to long', () => {
    for (const s of Object.values(SPECIES)) {
      const peaks = eyeOf(s).cones.map(peakOf)
      expect(peaks).toEqual([...peaks].sort((x, y) => x - y))
      expect(eyeOf(s)).toBe(eyeOf(s))
    }
  })
})
