/** Gauss-Legendre nodes and weights on (a, b), by Newton's method on the Legendre polynomial. */
export function gauss(n: number, a: number, b: number): { x: number[]; w: number[] } {
  const x: number[] = []
  const w: number[] = []
  for (let i = 0; i < n; i++) {
    let t = Math.cos((Math.PI * (i + 0.75)) / (n + 0.5))
    let slope = 1
    for (let k = 0; k < 100; k++) {
      let p0 = 1
      let p1 = t
      for (let l = 2; l <= n; l++) [p0, p1] = [p1, ((2 * l - 1) * t * p1 - (l - 1) * p0) / l]
      slope = (n * (t * p1 - p0)) / (t * t - 1)
      const step = p1 / slope
      t -= step
      if (Math.abs(step) < 1e-15) break
    }
    x.push((a + b) / 2 - (t * (b - a)) / 2)
    w.push((b - a) / ((1 - t * t) * slope * slope))
  }
  return { x, w }
}

/**
 * Associated Legendre functions of one azimuth mode m at a cosine, degrees 0 to `order`, normalised by
 * sqrt((l-m)!/(l+m)!), so that they add up to a phase function without factorials (Stamnes et al. 1988, eq. 7);
 * 0 below degree m.
 */
export function associated(m: number, order: number, mu: number): Float64Array {
  const p = new Float64Array(order + 1)
  if (m > order) return p
  let first = 1
  for (let i = 1; i <= m; i++) first *= Math.sqrt(((2 * i - 1) / (2 * i)) * (1 - mu * mu))
  p[m] = first
  if (m < order) p[m + 1] = Math.sqrt(2 * m + 1) * mu * first
  for (let l = m + 2; l <= order; l++) {
    p[l] = ((2 * l - 1) * mu * p[l - 1]! - Math.sqrt((l - 1) ** 2 - m * m) * p[l - 2]!) / Math.sqrt(l * l - m * m)
  }
  return p
}
