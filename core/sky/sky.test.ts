import { describe, expect, it } from 'vitest'
import { clearSkyLux, moonLux } from '#core/sky/illuminance'
import { skyLight } from '#core/sky/light'
import { sunElevationDeg } from '#core/sky/sun'
import { WINDOW_DEG, internalReflectance, refractedMu, surfaceTransmittance } from '#core/sky/surface'
import { luminanceOfQuanta } from '#core/spectrum/colour'
import { NOON, OVERCAST } from '../../tests/reference/scenes'

describe('sun and sky', () => {
  it('puts the sun where the NREL reference has it', () => {
    const zenith = 90 - sunElevationDeg({ timeMs: Date.parse('2003-10-17T19:30:30Z'), latitudeDeg: 39.742, longitudeDeg: -105.179 })
    expect(Math.abs(zenith - 50.11)).toBeLessThan(0.1)
  })
  it('never darkens as the sun rises', () => {
    let last = 0
    for (let d = -90; d <= 90; d += 0.25) {
      expect(clearSkyLux(d)).toBeGreaterThanOrEqual(last * 0.999)
      last = clearSkyLux(d)
    }
  })
  it('gives published illuminances', () => {
    expect(clearSkyLux(90)).toBeGreaterThan(1.1e5)
    expect(clearSkyLux(-6)).toBeCloseTo(3.4, 0)
    expect(moonLux(1, 90)).toBeCloseTo(0.27, 2)
    expect(moonLux(0.5, 90)).toBeLessThan(0.05)
  })
  it('keeps photometric books: the spectra carry the lux they are said to', () => {
    const s = skyLight(NOON.sky)
    expect(luminanceOfQuanta(s.direct)).toBeCloseTo(s.directLux, 3)
    expect(skyLight(OVERCAST).directLux).toBe(0)
  })
})

describe('the surface', () => {
  it('shows the sky through a window of 48.3 degrees and mirrors outside it', () => {
    expect(WINDOW_DEG).toBeCloseTo(48.3, 0)
    expect(internalReflectance(Math.cos(50 * Math.PI / 180))).toBe(1)
    expect(internalReflectance(1)).toBeCloseTo(0.0211, 3)
  })
  it('is reciprocal: what passes down along a path passes up along it', () => {
    for (const deg of [10, 30, 60, 85]) expect(1 - internalReflectance(refractedMu(deg))).toBeCloseTo(surfaceTransmittance(deg), 10)
  })
})
