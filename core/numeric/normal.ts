/** The normal distribution function, to 1.5e-7 (Abramowitz & Stegun 1964, 7.1.26). */
export function normalBelow(x: number): number {
  const t = 1 / (1 + 0.3275911 * (Math.abs(x) / Math.SQRT2))
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  const erf = 1 - poly * Math.exp((-x * x) / 2)
  return x < 0 ? 0.5 * (1 - erf) : 0.5 * (1 + erf)
}
