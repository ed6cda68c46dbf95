import { describe, expect, it } from 'vitest'
import { airMass, clearSkyEnergy } from '#core/sky/clearSky'
import { skyLight } from '#core/sky/light'
import { skyShape, skyTransmittance } from '#core/sky/shapes'
import { luminanceOfQuanta, xyzOfQuanta } from '#core/spectrum/colour'
import { quanta } from '#core/spectrum/daylight'
import { NOON } from '../../tests/reference/scenes'

/** Correlated colour temperature, K, of a spectrum of quanta (McCamy 1992). */
function cct(s: Float64Array): number {
  const [x, y, z] = xyzOfQuanta(s)
  const n = (x / (x + y + z) - 0.332) / (0.1858 - y / (x + y + z))
  return 449 * n ** 3 + 3525 * n ** 2 + 6823.3 * n + 5520.33
}

describe('the colour of a clear sky', () => {
  it.each([
    [60, 5500],
    [10, 5300],
  ])('is that of published spectra with the sun at %d°: about %d K altogether', (deg, kelvin) => {
    const { direct, diffuse } = clearSkyEnergy(deg)
    const height = Math.sin((deg * Math.PI) / 180)
    expect(Math.abs(cct(quanta(direct.map((v, i) => v * height + diffuse[i]!))) / kelvin - 1)).toBeLessThan(0.05)
  })
  it('is blue beside its sun, and redder beams come with lower suns', () => {
    const beam = [60, 30, 15, 8].map(deg => cct(quanta(clearSkyEnergy(deg).direct)))
    for (let i = 1; i < beam.length; i++) expect(beam[i]!).toBeLessThan(beam[i - 1]!)
    expect(cct(quanta(clearSkyEnergy(45).diffuse))).toBeGreaterThan(1.5 * beam[0]!)
  })
  it('comes through 1 air mass overhead, 2 at 30°, and some 36 at the horizon', () => {
    expect(airMass(90)).toBeCloseTo(1, 2)
    expect(airMass(30)).toBeCloseTo(1.99, 1)
    expect(airMass(0)).toBeGreaterThan(33)
    expect(airMass(-5)).toBe(airMass(0))
  })
})

describe('the shape of the sky under water', () => {
  it('ends at the window’s edge', () => {
    for (const kind of ['overcast', 'clear'] as const) {
      expect(skyShape(kind)(0.66)).toBe(0)
      expect(skyShape(kind)(0.68)).toBeGreaterThan(0)
    }
  })
  it('is brighter overhead under cloud and darker overhead when clear', () => {
    expect(skyShape('overcast')(1) / skyShape('overcast')(0.75)).toBeGreaterThan(1.5)
    expect(skyShape('clear')(1) / skyShape('clear')(0.75)).toBeLessThan(0.85)
  })
  it('is let in a little less where it comes in low', () => {
    expect(skyTransmittance('overcast')).toBeCloseTo(0.948, 2)
    expect(skyTransmittance('clear')).toBeCloseTo(0.91, 1)
    expect(skyTransmittance('clear')).toBeLessThan(skyTransmittance('overcast'))
  })
})

describe('the moon', () => {
  const night = { ...NOON.sky, sunElevationDeg: -20, cloud: 0, moonFraction: 1, moonElevationDeg: 40 }
  it('is a beam at night, from where it stands', () => {
    const light = skyLight(night)
    expect(light.directLux).toBeGreaterThan(0.1)
    expect(light.beamMu).toBeCloseTo(skyLight({ ...NOON.sky, sunElevationDeg: 40 }).beamMu, 9)
    expect(skyLight({ ...night, moonElevationDeg: -3 }).directLux).toBe(0)
    expect(skyLight({ ...night, cloud: 1 }).directLux).toBe(0)
  })
  it('loses its beam to the sun without a step in the light', () => {
    const lux = (deg: number) => {
      const l = skyLight({ ...night, sunElevationDeg: deg })
      return luminanceOfQuanta(l.direct) + luminanceOfQuanta(l.diffuse.clear)
    }
    for (let deg = -1; deg < 1; deg += 0.02) expect(lux(deg + 0.02) / lux(deg)).toBeLessThan(1.06)
  })
  it('leaves starlight to be counted once', () => {
    const dark = skyLight({ ...night, moonFraction: 0, sunElevationDeg: -40 })
    expect(dark.lux).toBeCloseTo(8e-4, 6)
    expect(skyLight({ ...night, moonFraction: 0, sunElevationDeg: -17.9 }).lux).toBeLessThan(12e-4)
  })
})
