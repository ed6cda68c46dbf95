/**
 * Solve A x = b by Gaussian elimination with partial pivoting. `a` is row-major n x n; both inputs are
 * overwritten and `b` returned as the solution. Returns null where the matrix is singular to working precision.
 */
export function solveInPlace(a: Float64Array, b: Float64Array): Float64Array | null {
  const n = b.length
  for (let k = 0; k < n; k++) {
    let p = k
    for (let i = k + 1; i < n; i++) if (Math.abs(a[i * n + k]!) > Math.abs(a[p * n + k]!)) p = i
    const pivot = a[p * n + k]!
    if (Math.abs(pivot) < 1e-14) return null
    if (p !== k) {
      for (let j = k; j < n; j++) [a[k * n + j], a[p * n + j]] = [a[p * n + j]!, a[k * n + j]!]
      ;[b[k], b[p]] = [b[p]!, b[k]!]
    }
    for (let i = k + 1; i < n; i++) {
      const f = a[i * n + k]! / pivot
      if (f === 0) continue
      for (let j = k; j < n; j++) a[i * n + j]! -= f * a[k * n + j]!
      b[i]! -= f * b[k]!
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    let s = b[i]!
    for (let j = i + 1; j < n; j++) s -= a[i * n + j]! * b[j]!
    b[i] = s / a[i * n + i]!
  }
  return b
}
