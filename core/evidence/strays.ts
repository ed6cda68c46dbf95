import type { Spectrum } from '#core/spectrum/grid'
import type { Constituents } from '#core/water/tints'

/** Scatter of a vanishing depth read by hand, as a share of it (repeat readings differ by 10-15 %). */
export const READING_ERROR = 0.13
/**
 * How far nature strays from a recipe, and a lure from its paint's reflectance: standard deviations of the logarithms
 * (light-model section 8, point 7).
 */
export const STRAYS = { constituent: 0.5, reflectance: 0.25 } as const

/** Constituents of a recipe that have strayed, each by its own standard normal value. */
export function strayed(c: Constituents, z: readonly number[]): Constituents {
  const by = (v: number, i: number) => v * Math.exp(STRAYS.constituent * z[i]!)
  return { chlorophyll: by(c.chlorophyll, 0), tannin: by(c.tannin, 1), silt: by(c.silt, 2) }
}

/** Reflectance of a target that has strayed by a standard normal value. */
export function repainted(target: number | Spectrum, z: number): number | Spectrum {
  // What is nearly white cannot stray upwards: the dark share of it does.
  const one = (r: number) => {
    const dark = (1 - r) / Math.max(1e-6, r)
    return 1 / (1 + dark * Math.exp(-STRAYS.reflectance * z))
  }
  return typeof target === 'number' ? one(target) : target.map(one)
}

/** Inverse of the normal distribution, to 0.005 (Shore 1982 by the logistic). */
function normalAt(p: number): number {
  const x = Math.min(0.995, Math.max(0.005, p))
  return Math.sign(x - 0.5) * 5.5556 * (1 - (Math.min(x, 1 - x) / Math.max(x, 1 - x)) ** 0.1186)
}

/**
 * Standard normal values spread evenly over three directions: a rotated lattice (the generalised golden ratio's,
 * Roberts 2018) through the inverse normal.
 */
export function evenNormals(count: number): readonly (readonly [number, number, number])[] {
  const [a, b, c] = [0.8191725, 0.6710436, 0.5497005]
  const at = (k: number, step: number) => normalAt((0.5 + (k + 1) * step) % 1)
  return Array.from({ length: count }, (_, k) => [at(k, a), at(k, b), at(k, c)] as const)
}
