/**
 * The one wavelength grid of the model: 400-700 nm in 10 nm steps, 31 bands.
 * Every spectrum in `core/` is a Float64Array of this length.
 */
export const FIRST_NM = 400
export const STEP_NM = 10
export const BANDS = 31

/** One value per band of the grid. */
export type Spectrum = Float64Array

/** Band centres, nm. */
export const WAVELENGTHS_NM: Spectrum = Float64Array.from({ length: BANDS }, (_, i) => FIRST_NM + STEP_NM * i)

/** Build a spectrum from a function of wavelength in nm. */
export function spectrumOf(f: (wavelengthNm: number) => number): Spectrum {
  return Float64Array.from(WAVELENGTHS_NM, f)
}

/** A tabulated spectrum; refuses a table of the wrong length, which would silently shift every colour. */
export function tabulated(values: readonly number[]): Spectrum {
  if (values.length !== BANDS) throw new RangeError(`a spectrum needs ${BANDS} bands, got ${values.length}`)
  return Float64Array.from(values)
}

/** The band whose centre is nearest to a wavelength; outside the grid, the end band. */
export function bandAt(wavelengthNm: number): number {
  return Math.min(BANDS - 1, Math.max(0, Math.round((wavelengthNm - FIRST_NM) / STEP_NM)))
}

/** Value of a spectrum at a wavelength, linear between bands, held constant outside the grid. */
export function valueAt(s: Spectrum, wavelengthNm: number): number {
  const x = Math.min(BANDS - 1, Math.max(0, (wavelengthNm - FIRST_NM) / STEP_NM))
  const i = Math.min(BANDS - 2, Math.floor(x))
  const t = x - i
  return s[i]! * (1 - t) + s[i + 1]! * t
}

/** Sum over bands of the product of two spectra (a band integral without the 10 nm factor). */
export function dot(a: Spectrum, b: Spectrum): number {
  let sum = 0
  for (let i = 0; i < BANDS; i++) sum += a[i]! * b[i]!
  return sum
}
