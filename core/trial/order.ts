import { evenFrom } from '#core/numeric/even'

/** A spell of equal casts with one of the two. */
export interface Spell {
  block: number
  side: Side
}
export type Side = 'a' | 'b'

/**
 * The order of a fair test of two: in each block both once, which goes first drawn from the seed, so that neither the
 * hour nor the angler favours one. The same seed gives the same order.
 * @param blocks how many, 1 or more
 */
export function trialOrder(blocks: number, seed: number): Spell[] {
  const even = evenFrom(seed)
  return Array.from({ length: blocks }, (_, i) => {
    const first: Side = even() < 0.5 ? 'a' : 'b'
    return [first, first === 'a' ? 'b' : 'a'].map(side => ({ block: i + 1, side: side as Side }))
  }).flat()
}
