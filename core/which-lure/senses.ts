import { MANNER } from '#core/lure/manner'
import type { Occasion } from '#core/rules/occasion'
import { hearsHigher } from '#core/senses/hearing'
import type { Found } from '#core/which-lure/worth'
import { type Sentence, plainly } from '#core/words/sentence'

/** Nearer than this a fish has it in its mouth, m: a hand's breadth is twice that. */
const HAND_M = 0.1
const BARELY_SEEN_M = 0.05
/** Seen from so many times as far as it could be felt, sight is first beyond doubt. */
const PLAINLY_FIRST = 2

/** Which sense finds a lure first; null where the bands overlap, and nothing honest can be said. */
export function firstSense({ conditions: { lure } }: Occasion, { sightM, felt }: Found): Sentence | null {
  if (felt.lowM > sightM) return { code: 'senses.felt-first', params: { ...felt, sightM } }
  const thumps = MANNER[lure].sound === 'thump'
  if (sightM < BARELY_SEEN_M && felt.highM < HAND_M && !thumps) return plainly('senses.neither')
  return sightM > PLAINLY_FIRST * felt.highM ? plainly('senses.seen-first') : null
}

/** Under this depth of water, m, low sounds die within a few depths. */
const SHALLOW_M = 2

/** What is to be said of hearing here, whatever the lure. */
export function ofHearing({ conditions: { waterM, species } }: Occasion, sounds: boolean): Sentence[] {
  const out: Sentence[] = []
  if (sounds && waterM !== null && waterM < SHALLOW_M) out.push(plainly('senses.shallow-sound'))
  if (sounds && hearsHigher(species)) out.push(plainly('senses.drums'))
  return out
}
