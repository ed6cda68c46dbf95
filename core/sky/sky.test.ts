import { describe, expect, it } from 'vitest'
import { clearSkyLux, moonLux } from '#core/sky/illuminance'
import { skyLight } from '#core/sky/light'
import { moonElevationDeg, moonFraction, moonTimes, sunBearingDeg, sunElevationDeg } from '#core/sky/sun'
import { WINDOW_DEG, internalReflectance, refractedMu, surfaceTransmittance } from '#core/sky/surface'
import { luminanceOfQuanta } from '#core/spectrum/colour'
import type { SkyInput, SkyLight } from '#core/sky/light'
import { NOON, OVERCAST } from '../../tests/reference/scenes'

const NIGHT = { sunElevationDeg: -30 }

describe('sun and sky', () => {
  it('puts the sun where the NREL reference has it', () => {
    const zenith =
      90 - sunElevationDeg({ timeMs: Date.parse('2003-10-17T19:30:30Z'), latitudeDeg: 39.742, longitudeDeg: -105.179 })
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
    expect(internalReflectance(Math.cos((50 * Math.PI) / 180))).toBe(1)
    expect(internalReflectance(1)).toBeCloseTo(0.0211, 3)
  })
  it('is reciprocal: what passes down along a path passes up along it', () => {
    for (const deg of [10, 30, 60, 85])
      expect(1 - internalReflectance(refractedMu(deg))).toBeCloseTo(surfaceTransmittance(deg), 10)
  })
})

describe('light on the water', () => {
  /** Lux above the water and of direct sun below it, to three figures, by the published fits and the stated shares. */
  it.each<[string, Partial<SkyInput>, number, number]>([
    ['clear noon', {}, 95_900, 77_500],
    ['half cloud', { cloud: 0.5 }, 89_100, 40_800],
    ['overcast', { cloud: 1 }, 24_000, 0],
    ['rain', { cloud: 1, rain: true }, 12_000, 0],
    ['the shade of the bank', { canopy: 'bank-shade' }, 9_100, 0],
    ['a dock', { canopy: 'trees-or-dock' }, 4_860, 2_320],
    ['a mat', { canopy: 'mat' }, 331, 0],
    ['a low sun', { sunElevationDeg: 5 }, 4_540, 536],
    ['civil twilight', { sunElevationDeg: -3 }, 79.1, 0],
    ['nautical twilight', { sunElevationDeg: -9 }, 0.1164, 0],
    ['a full moon half way up', { ...NIGHT, moonFraction: 1, moonElevationDeg: 45 }, 0.173, 0.159],
    ['a half moon', { ...NIGHT, moonFraction: 0.5, moonElevationDeg: 45 }, 0.0212, 0.0188],
    ['a moon that has set', { ...NIGHT, moonFraction: 1, moonElevationDeg: -5 }, 0.0008, 0],
    ['stars behind cloud', { ...NIGHT, cloud: 1 }, 0.0002, 0],
    ['a lamp', { ...NIGHT, lamps: true }, 8, 0],
    ['a lamp at a dock', { ...NIGHT, lamps: true, canopy: 'trees-or-dock' }, 8, 0],
  ])('under %s', (_, change, lux, directLux) => {
    const light = skyLight({ ...NOON.sky, ...change })
    expect(light.lux / lux).toBeCloseTo(1, 2)
    if (directLux) expect(light.directLux / directLux).toBeCloseTo(1, 2)
    else expect(light.directLux).toBe(0)
    expect(luminanceOfQuanta(light.direct)).toBeCloseTo(light.directLux, 3)
  })
  it('is let in by the surface and the canopy, nothing else', () => {
    const { diffuse, direct } = skyLight(NOON.sky)
    const all = ({ overcast, clear }: SkyLight['diffuse']) => luminanceOfQuanta(overcast) + luminanceOfQuanta(clear)
    const inside = all(diffuse) + luminanceOfQuanta(direct)
    expect(inside / 95_900).toBeGreaterThan(0.96)
    expect(inside / 95_900).toBeLessThan(0.98)
    const mat = skyLight({ ...NOON.sky, canopy: 'mat' })
    expect(all(mat.diffuse) / all(diffuse)).toBeCloseTo(0.02, 3)
  })
  it('says what lamps give apart, and how rough the water is', () => {
    expect(skyLight({ ...NOON.sky, ...NIGHT, lamps: true }).lampLux).toBe(8)
    expect(skyLight(NOON.sky).lampLux).toBe(0)
    const slopes = (['calm', 'ripple', 'chop', 'strong'] as const).map(
      wind => skyLight({ ...NOON.sky, wind }).waveSlope,
    )
    expect(slopes).toEqual([0.03, 0.1, 0.17, 0.23])
  })
  it('is blue at dusk, grey under cloud, warm from a lamp', () => {
    const blueShare = (change: Partial<SkyInput>) => {
      const { diffuse } = skyLight({ ...NOON.sky, ...change })
      const all = diffuse.overcast.map((v, i) => v + diffuse.clear[i]!)
      const sum = (from: number, to: number) => all.slice(from, to).reduce((a, b) => a + b, 0)
      return sum(0, 10) / sum(20, 30)
    }
    expect(blueShare({ sunElevationDeg: -5, cloud: 0 })).toBeGreaterThan(1.2 * blueShare({ cloud: 0 }))
    expect(blueShare({ cloud: 0 })).toBeGreaterThan(1.2 * blueShare({ cloud: 1 }))
    expect(blueShare({ ...NIGHT, lamps: true })).toBeLessThan(0.3 * blueShare({ cloud: 1 }))
  })
  it('sends the beam down by Snell, and through the surface by Fresnel', () => {
    expect(skyLight({ ...NOON.sky, sunElevationDeg: 90 }).beamMu).toBeCloseTo(1, 9)
    expect(refractedMu(30)).toBeCloseTo(0.7631, 4)
    expect(refractedMu(-20)).toBe(refractedMu(0))
    expect(surfaceTransmittance(90)).toBeCloseTo(0.9789, 4)
    expect(surfaceTransmittance(10)).toBeCloseTo(0.652, 2)
  })
})

describe('published illuminances', () => {
  it.each([
    [90, 128_800],
    [60, 103_100],
    [30, 46_300],
    [10, 11_120],
    [0, 759],
    [-4, 29.9],
    [-6, 3.41],
    [-10, 0.0421],
    [-15, 0.00202],
    [-40, 0.0008],
  ])('sun at %i degrees', (deg, lux) => expect(clearSkyLux(deg) / lux).toBeCloseTo(1, 2))
  it.each([
    [1, 0.224],
    [0.9, 0.106],
    [0.5, 0.0266],
    [0.1, 0.00153],
    [0, 0],
  ])('moon lit to %d at 60 degrees', (fraction, lux) => {
    expect(moonLux(fraction, 60)).toBeCloseTo(lux, 3)
    expect(moonLux(fraction, 0)).toBe(0)
  })
})

describe('sun and moon by the almanac', () => {
  it('has the sun where NREL’s worked example has it', () => {
    // Reda & Andreas 2008, table A5.1: 17 October 2003, 12:30:30 at UTC-7, 39.742476° N, 105.1786° W.
    const at = { timeMs: Date.parse('2003-10-17T19:30:30Z'), latitudeDeg: 39.742476, longitudeDeg: -105.1786 }
    expect(Math.abs(sunElevationDeg(at) - 39.888)).toBeLessThan(0.2)
    expect(Math.abs(sunBearingDeg(at) - 194.34)).toBeLessThan(0.2)
  })
  it('has the moon where Meeus’ worked examples have it', () => {
    // Meeus 1998, examples 47.a and 48.a: 12 April 1992, 0 h TD (58 s before UTC then): right ascension 134.6885°,
    // declination 13.7684°, 368,410 km off, 0.6786 lit. Seen from the equator where it stands on the meridian.
    const timeMs = Date.parse('1992-04-12T00:00:00Z') - 58_000
    const siderealDeg = 280.46061837 + 360.98564736629 * (timeMs / 86_400_000 - 10957.5)
    const longitudeDeg = ((((134.6885 - siderealDeg) % 360) + 540) % 360) - 180
    const parallaxDeg = (Math.asin((6378.14 / 368410) * Math.sin((13.7684 * Math.PI) / 180)) * 180) / Math.PI
    const seen = moonElevationDeg({ timeMs, latitudeDeg: 0, longitudeDeg })
    expect(Math.abs(seen - (90 - 13.7684 - parallaxDeg))).toBeLessThan(0.2)
    expect(Math.abs(moonFraction(timeMs) - 0.6786)).toBeLessThan(0.01)
  })
  it('has the moon rise and set within two minutes of when its upper limb stands on the horizon', () => {
    for (const latitudeDeg of [0, 34.9, 51.48, -42]) {
      const place = { latitudeDeg, longitudeDeg: -84 }
      // The centre as seen stands half the moon's breadth under the horizon then.
      const over = (timeMs: number) => moonElevationDeg({ timeMs, ...place }) + 0.26
      for (let day = 0; day < 360; day += 17) {
        const { rise, set } = moonTimes({ timeMs: Date.UTC(2026, 0, 1 + day), ...place })
        for (const [timeMs, sign] of [
          [rise, 1],
          [set, -1],
        ] as const) {
          if (timeMs === null) continue
          expect(sign * over(timeMs - 120_000)).toBeLessThan(0)
          expect(sign * over(timeMs + 120_000)).toBeGreaterThan(0)
        }
      }
    }
  })
})
