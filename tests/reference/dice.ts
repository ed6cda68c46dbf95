import { uniformFrom } from '#core/numeric/uniform'

/** A small repeatable source of chance, 0 to below 1. */
export const chance = uniformFrom

/** The same, and from the normal distribution (Box & Muller 1958). */
export function dice(seed: number) {
  const even = chance(seed)
  const normal = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even())
  return { even, normal }
}
