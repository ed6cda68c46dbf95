import { EIGHT_IN_TEN } from '#core/season-learning/effect'

/** The picture of "times" runs from a third to three times, by doublings. */
const DOUBLINGS = Math.log2(3)
/** A hill this narrow is drawn at full height, wider ones as much lower: standard deviation of the logarithm. */
const NARROW = 0.14
const [FROM, TO, STEP] = [-3, 3, 0.25] as const

/** Where so many times stand in the picture, percent of its width; what is outside stands at its edge. */
export const hillAt = (times: number): number =>
  50 + (50 * Math.max(-DOUBLINGS, Math.min(DOUBLINGS, Math.log2(Math.max(1e-3, times))))) / DOUBLINGS

/**
 * A hill of what may be true, as a path 100 wide and `height` high: a normal density of the logarithm, its area the
 * same whatever its width, so that what is known well stands tall.
 */
export function hillPath({ times, low, high }: { times: number; low: number; high: number }, height: number): string {
  const sd = Math.max(0.02, Math.log(high / low) / (2 * EIGHT_IN_TEN))
  const tall = height * Math.min(1, NARROW / sd)
  const points: string[] = []
  for (let z = FROM; z <= TO; z += STEP) {
    const x = 50 + (50 * Math.log2(times * Math.exp(z * sd))) / DOUBLINGS
    points.push(`${x.toFixed(2)} ${(height - tall * Math.exp((-z * z) / 2)).toFixed(2)}`)
  }
  return `M${points.join('L')}`
}
