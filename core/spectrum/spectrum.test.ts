import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { xyzOfQuanta, linearFromXyz, encodeChannel, fromHex, hex } from '#core/spectrum/colour'
import { daylightEnergy, quanta } from '#core/spectrum/daylight'
import { reflectanceFromSrgb, srgbOfReflectance } from '#core/spectrum/fromSrgb'
import { tabulated, valueAt } from '#core/spectrum/grid'

describe('colour of light', () => {
  it('makes D65 daylight the white of the display', () => {
    const rgb = linearFromXyz(xyzOfQuanta(quanta(daylightEnergy(6504)))).map((v, _, all) => v / all[1]!)
    for (const v of rgb) expect(v).toBeCloseTo(1, 1)
  })
  it('goes no farther than the daylight series does', () => {
    expect([...daylightEnergy(30_000)]).toEqual([...daylightEnergy(25_000)])
    expect([...daylightEnergy(3000)]).toEqual([...daylightEnergy(4000)])
    expect(daylightEnergy(24_000)[0]).toBeLessThan(daylightEnergy(25_000)[0]!)
  })
  it('refuses a table of the wrong length', () => {
    expect(() => tabulated([1, 2, 3])).toThrow(RangeError)
  })
  it('reads between bands on a straight line and holds the ends', () => {
    const s = tabulated(Array.from({ length: 31 }, (_, i) => i))
    expect(valueAt(s, 405)).toBeCloseTo(0.5)
    expect(valueAt(s, 350)).toBe(0)
    expect(valueAt(s, 900)).toBe(30)
  })
})

describe('reflectance from a display colour', () => {
  it('comes back to the same colour, smooth and possible, for any colour a pigment can have', () => {
    const channel = fc.integer({ min: 8, max: 248 })
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        const spectrum = reflectanceFromSrgb([r, g, b])
        for (const v of spectrum) expect(v).toBeGreaterThan(0)
        for (const v of spectrum) expect(v).toBeLessThan(1)
        const back = srgbOfReflectance(spectrum)
        ;[r, g, b].forEach((v, i) => expect(Math.abs(back[i]! - v)).toBeLessThan(0.5))
      }),
      { numRuns: 40, seed: 7 },
    )
  })
  it('writes and reads hex', () => {
    expect(fromHex(hex([18, 52, 255]))).toEqual([18, 52, 255])
    expect(encodeChannel(0.5)).toBeCloseTo(187.5, 0)
  })
})
