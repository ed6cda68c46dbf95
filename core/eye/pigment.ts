import { type Spectrum, spectrumOf } from '#core/spectrum/grid'

export type Chromophore = 'A1' | 'A2'

/**
 * Absorbance of a visual pigment by its peak (nm), peak near 1, alpha and beta bands.
 * Source: Govardovskii et al. 2000, Visual Neuroscience 17, eqs. 1-2 and 4-5 (A1), 6-8 (A2).
 */
export function pigment(peakNm: number, chromophore: Chromophore): Spectrum {
  return spectrumOf(nm => (chromophore === 'A1' ? a1(nm, peakNm) : a2(nm, peakNm)))
}

function a1(nm: number, peak: number): number {
  const x = peak / nm
  const a = 0.8795 + 0.0459 * Math.exp(-((peak - 300) ** 2) / 11940)
  const alpha = 1 / (Math.exp(69.7 * (a - x)) + Math.exp(28 * (0.922 - x)) + Math.exp(-14.9 * (1.104 - x)) + 0.674)
  const betaPeak = 189 + 0.315 * peak
  const width = -40.5 + 0.195 * peak
  return alpha + 0.26 * Math.exp(-(((nm - betaPeak) / width) ** 2))
}

function a2(nm: number, peak: number): number {
  const x = peak / nm
  const A = 62.7 + 1.834 * Math.exp((peak - 625) / 54.2)
  const a = 0.875 + 0.0268 * Math.exp((peak - 665) / 40.7)
  const alpha = 1 / (Math.exp(A * (a - x)) + Math.exp(20.85 * (0.9101 - x)) + Math.exp(-10.37 * (1.1123 - x)) + 0.5343)
  const betaPeak = 216.7 + 0.287 * peak
  const width = 317 - 1.149 * peak + 0.00124 * peak ** 2
  return alpha + 0.37 * Math.exp(-(((nm - betaPeak) / width) ** 2))
}
