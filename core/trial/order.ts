import { uniformFrom } from '#core/numeric/uniform'

/** A spell of equal casts with one of the two. */
export interface TrialSpell {
  block: number
  side: TrialSide
}
export type TrialSide = 'a' | 'b'
export type Position = 'bow' | 'stern'

/** A spell of one of two anglers who fish at the same time. */
export interface SpellOfTwo extends TrialSpell {
  /** The first of the block, or the second: both anglers fish each at once. */
  spell: 1 | 2
  angler: 1 | 2
  position: Position
}

const otherSide = (side: TrialSide): TrialSide => (side === 'a' ? 'b' : 'a')
const sides = (even: () => number): [TrialSide, TrialSide] => {
  const first: TrialSide = even() < 0.5 ? 'a' : 'b'
  return [first, otherSide(first)]
}

/**
 * The order of a fair test of two: in each block both once, which goes first drawn from the seed, so that neither the
 * hour nor the angler favours one. The same seed gives the same order.
 * @param blocks how many, 1 or more
 */
export function trialOrder(blocks: number, seed: number): TrialSpell[] {
  const even = uniformFrom(seed)
  return Array.from({ length: blocks }, (_, i) => sides(even).map(side => ({ block: i + 1, side }))).flat()
}

/**
 * The order for two anglers in one boat: in each block both fish at once with opposite things and then swap, who has
 * which first drawn from the seed. Bow and stern change between blocks, so that four spells make a Latin square:
 * angler, place and hour fall out.
 * @param blocks how many, 1 or more
 */
export function trialOrderOfTwo(blocks: number, seed: number): SpellOfTwo[] {
  const even = uniformFrom(seed)
  return Array.from({ length: blocks }, (_, i) => {
    const first = sides(even)
    const atBow = i % 2 === 0 ? 1 : 2
    return ([1, 2] as const).flatMap(spell =>
      ([1, 2] as const).map((angler): SpellOfTwo => ({
        block: i + 1,
        spell,
        angler,
        side: spell === angler ? first[0] : first[1],
        position: angler === atBow ? 'bow' : 'stern',
      })),
    )
  }).flat()
}
