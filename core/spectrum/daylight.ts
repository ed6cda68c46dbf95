import { DAYLIGHT_S0, DAYLIGHT_S1, DAYLIGHT_S2 } from '#core/data/daylight'
import { type Spectrum, WAVELENGTHS_NM, spectrumOf } from '#core/spectrum/grid'

/**
 * CIE daylight of a correlated colour temperature (K), relative spectral energy (CIE 15:2004, eqs. 3.2-3.5).
 * Valid 4000-25000 K; outside it is held at the end.
 */
export function daylightEnergy(cctK: number): Spectrum {
  const t = Math.min(25000, Math.max(4000, cctK))
  const x =
    t <= 7000
      ? 0.244063 + 99.11 / t + 2.9678e6 / t ** 2 - 4.607e9 / t ** 3
      : 0.23704 + 247.48 / t + 1.9018e6 / t ** 2 - 2.0064e9 / t ** 3
  const y = -3 * x * x + 2.87 * x - 0.275
  const m = 0.0241 + 0.2562 * x - 0.7341 * y
  const m1 = (-1.3515 - 1.7703 * x + 5.9114 * y) / m
  const m2 = (0.03 - 31.4424 * x + 30.0717 * y) / m
  return Float64Array.from(DAYLIGHT_S0, (s0, i) => s0 + m1 * DAYLIGHT_S1[i]! + m2 * DAYLIGHT_S2[i]!)
}

/** Planck's law, relative spectral energy, for lamps and very low sun. Temperature in K. */
export function planckEnergy(temperatureK: number): Spectrum {
  const c2 = 1.4388e7 // nm K
  return spectrumOf(
    nm => ((560 / nm) ** 5 * (Math.exp(c2 / (560 * temperatureK)) - 1)) / (Math.exp(c2 / (nm * temperatureK)) - 1),
  )
}

/** Turn relative energy into relative quanta (photons), which is what pigments count; scaled to a mean of 1. */
export function quanta(energy: Spectrum): Spectrum {
  const q = energy.map((e, i) => e * WAVELENGTHS_NM[i]!)
  const mean = q.reduce((a, b) => a + b, 0) / q.length
  return q.map(v => v / mean)
}
