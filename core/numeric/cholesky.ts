/**
 * Lower Cholesky factor of a symmetric positive definite matrix, row-major n × n, in place (Golub & Van Loan 1996,
 * algorithm 4.2.2); the upper half is left as it was.
 * @returns Σ ln of the factor's diagonal: half the logarithm of the determinant; NaN where it is not definite
 */
export function choleskyInPlace(a: Float64Array, n: number): number {
  let ln = 0
  for (let j = 0; j < n; j++) {
    let d = a[j * n + j]!
    for (let k = 0; k < j; k++) d -= a[j * n + k]! ** 2
    const diagonal = Math.sqrt(d)
    a[j * n + j] = diagonal
    ln += Math.log(diagonal)
    for (let i = j + 1; i < n; i++) {
      let s = a[i * n + j]!
      for (let k = 0; k < j; k++) s -= a[i * n + k]! * a[j * n + k]!
      a[i * n + j] = s / diagonal
    }
  }
  return ln
}

/** Solve L x = b in place, L from `choleskyInPlace`, b the n figures of an array from `from` on. */
export function choleskyForward(l: Float64Array, n: number, b: Float64Array, from = 0): Float64Array {
  for (let i = 0; i < n; i++) {
    let s = b[from + i]!
    for (let k = 0; k < i; k++) s -= l[i * n + k]! * b[from + k]!
    b[from + i] = s / l[i * n + i]!
  }
  return b
}

/** Solve L Lᵀ x = b in place, L from `choleskyInPlace`. */
export function choleskySolve(l: Float64Array, n: number, b: Float64Array): Float64Array {
  choleskyForward(l, n, b)
  for (let i = n - 1; i >= 0; i--) {
    let s = b[i]!
    for (let k = i + 1; k < n; k++) s -= l[k * n + i]! * b[k]!
    b[i] = s / l[i * n + i]!
  }
  return b
}

/** The inverse of L Lᵀ, row-major n × n. */
export function choleskyInverse(l: Float64Array, n: number): Float64Array {
  const out = new Float64Array(n * n)
  const column = new Float64Array(n)
  for (let j = 0; j < n; j++) {
    column.fill(0)
    column[j] = 1
    choleskySolve(l, n, column)
    for (let i = 0; i < n; i++) out[i * n + j] = column[i]!
  }
  return out
}
