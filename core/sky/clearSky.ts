import { OZONE_PER_CM, SUN_ENERGY, SUN_NM } from '#core/data/sun'
import { type Spectrum, WAVELENGTHS_NM, spectrumOf } from '#core/spectrum/grid'

/** Ozone overhead, cm; haze at 500 nm and its Ångström exponent (rural air). */
const OZONE_CM = 0.32
const HAZE = { at500: 0.16, exponent: 1.1 }
/** Albedo of single scattering by haze, and the share of what is scattered that still comes down. */
const HAZE_SCATTERS = 0.93
const HAZE_DOWN = 0.82

/** A value of the source's uneven table at a wavelength, straight between. */
function sunAt(values: readonly number[], nm: number): number {
  const i = Math.max(
    1,
    SUN_NM.findIndex(x => x >= nm),
  )
  const t = (nm - SUN_NM[i - 1]!) / (SUN_NM[i]! - SUN_NM[i - 1]!)
  return values[i - 1]! * (1 - t) + values[i]! * t
}
const SUN: Spectrum = spectrumOf(nm => sunAt(SUN_ENERGY, nm))
const OZONE: Spectrum = spectrumOf(nm => sunAt(OZONE_PER_CM, nm))

/** Relative air mass by the sun's height, degrees (Kasten 1966); 36 at the horizon. */
export function airMass(elevationDeg: number): number {
  const h = Math.max(0, elevationDeg)
  return 1 / (Math.sin((h * Math.PI) / 180) + 0.15 * (h + 3.885) ** -1.253)
}

/**
 * Spectra of a clear sky, relative energy on one scale: the sun's beam on a surface facing it, and the sky's light on
 * level ground. Bird & Riordan 1986 (J. Climate Appl. Meteorol. 25, eqs. 2-4, 3-5 to 3-9): Rayleigh scattering, haze
 * and ozone; water vapour and oxygen, which take a few per cent beyond 690 nm, left out. Sun and sky together have a
 * correlated colour temperature of about 5,700 K at 60° and 5,400 K at 10°.
 * @param elevationDeg height of the sun, degrees; below the horizon as on it
 */
export function clearSkyEnergy(elevationDeg: number): { direct: Spectrum; diffuse: Spectrum } {
  const m = airMass(elevationDeg)
  const cosZenith = Math.max(0.02, Math.sin((elevationDeg * Math.PI) / 180))
  const direct = new Float64Array(SUN.length)
  const diffuse = new Float64Array(SUN.length)
  SUN.forEach((sun, i) => {
    const um = WAVELENGTHS_NM[i]! / 1000
    const rayleigh = Math.exp(-m / (um ** 4 * (115.6406 - 1.335 / um ** 2)))
    const haze = HAZE.at500 * (0.5 / um) ** HAZE.exponent
    const scattered = Math.exp(-HAZE_SCATTERS * haze * m)
    const absorbed = Math.exp(-(1 - HAZE_SCATTERS) * haze * m) * Math.exp(-OZONE[i]! * OZONE_CM * m)
    direct[i] = sun * rayleigh * scattered * absorbed
    diffuse[i] =
      sun * cosZenith * absorbed * (0.5 * (1 - rayleigh ** 0.95) + HAZE_DOWN * rayleigh ** 1.5 * (1 - scattered))
  })
  return { direct, diffuse }
}
