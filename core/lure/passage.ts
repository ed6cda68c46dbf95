import type { LureId } from '#core/lure/types'

/** What a lure is drawn through. */
export const SURROUNDINGS = ['grass', 'pads', 'mat', 'wood', 'dock', 'rock'] as const
export type Surroundings = (typeof SURROUNDINGS)[number]

/** How a lure comes through, best first: clean, knocking and going on, with care, or it hangs. */
export const PASSAGES = ['clean', 'knocks', 'care', 'hangs'] as const
export type Passage = (typeof PASSAGES)[number]

/** How the hook is carried. */
export type Hook = 'trebles' | 'open' | 'guarded' | 'hidden'

export interface PassageFacts {
  hook: Hook
  /** What makes it so, said in a sentence of its own. */
  because: PassageReason
  through: Readonly<Record<Surroundings, Passage>>
}

/** Why lures come through as they do. */
export const PASSAGE_REASONS = {
  'bill': 'A square bill knocks and turns the trebles away from wood and rock; in grass they drag.',
  'long-bill': 'A long bill digs and knocks along rock; in grass and brush the trebles hold.',
  'rip': 'Nose and trebles catch grass and rip free of it; in wood they hold.',
  'trebles': 'Trebles hang under it: over cover, not through it.',
  'wire': 'The wire runs ahead of the hook and bounces off wood; the open arms gather grass.',
  'blade': 'The blade clears grass as it rips free; wood stops it.',
  'guard': 'A pointed head and a brush of fibres before the hook part grass.',
  'bottom-guard': 'A brush of fibres and a compact head go down through brush, docks and mats.',
  'hidden': 'The point lies in the plastic: it slides through.',
  'open-jig': 'An open jig hook: over and beside cover, not through it.',
  'hollow': 'The hooks lie against a soft body that floats over all of it.',
  'buzz': 'The wire carries the hook up over sparse stems; mats stop its blade.',
  'metal': 'Metal that falls straight with a treble under it.',
  'weedless-spoon': 'A single hook behind a wire guard slides through grass.',
} as const
export type PassageReason = keyof typeof PASSAGE_REASONS

const [clean, knocks, care, hangs] = PASSAGES
const facts = (
  hook: Hook,
  because: PassageReason,
  [grass, pads, mat, wood, dock, rock]: readonly [Passage, Passage, Passage, Passage, Passage, Passage],
): PassageFacts => ({ hook, because, through: { grass, pads, mat, wood, dock, rock } })

/** How each type comes through scattered cover: practice (field guide section 4), put in four steps by us. */
export const PASSAGE: Readonly<Record<LureId, PassageFacts>> = {
  'shallow-crankbait': facts('trebles', 'bill', [hangs, hangs, hangs, knocks, knocks, knocks]),
  'deep-crankbait': facts('trebles', 'long-bill', [hangs, hangs, hangs, care, care, knocks]),
  'lipless-crankbait': facts('trebles', 'rip', [knocks, hangs, hangs, hangs, care, care]),
  'jerkbait': facts('trebles', 'trebles', [care, hangs, hangs, hangs, care, clean]),
  'spinnerbait': facts('open', 'wire', [care, care, hangs, clean, clean, clean]),
  'bladed-jig': facts('open', 'blade', [knocks, care, hangs, care, clean, care]),
  'swim-jig': facts('guarded', 'guard', [clean, clean, care, clean, clean, care]),
  'casting-jig': facts('guarded', 'bottom-guard', [care, care, clean, knocks, clean, knocks]),
  'stick-worm': facts('hidden', 'hidden', [clean, clean, care, clean, clean, care]),
  'craw': facts('hidden', 'hidden', [clean, clean, clean, clean, clean, care]),
  'worm': facts('hidden', 'hidden', [clean, clean, care, clean, clean, care]),
  'tube': facts('open', 'open-jig', [care, care, hangs, care, clean, knocks]),
  'grub': facts('open', 'open-jig', [care, hangs, hangs, care, clean, knocks]),
  'swimbait': facts('open', 'open-jig', [care, care, hangs, care, clean, clean]),
  'walking-frog': facts('hidden', 'hollow', [clean, clean, clean, clean, clean, clean]),
  'popping-frog': facts('hidden', 'hollow', [clean, clean, care, clean, clean, clean]),
  'walking-topwater': facts('trebles', 'trebles', [care, hangs, hangs, care, care, clean]),
  'popper': facts('trebles', 'trebles', [care, hangs, hangs, care, care, clean]),
  'buzzbait': facts('open', 'buzz', [knocks, knocks, hangs, clean, clean, clean]),
  'jigging-spoon': facts('trebles', 'metal', [hangs, hangs, hangs, hangs, care, care]),
  'crappie-jig': facts('open', 'open-jig', [care, care, hangs, care, clean, care]),
  'inshore-paddletail': facts('guarded', 'hidden', [clean, clean, hangs, care, clean, care]),
  'inshore-twitchbait': facts('trebles', 'trebles', [care, hangs, hangs, hangs, care, care]),
  'inshore-spoon': facts('guarded', 'weedless-spoon', [clean, care, hangs, care, clean, care]),
}

/**
 * How a lure comes through cover of some density: sparse, nothing hangs that is led round it; thick, an open hook or
 * trebles that wanted care hang, and what knocked wants care, or in thick grass hangs by its trebles.
 */
export function passageOf(lure: LureId, through: Surroundings, density: 'sparse' | 'scattered' | 'thick'): Passage {
  const { hook, through: ways } = PASSAGE[lure]
  const way = ways[through]
  if (density === 'sparse') return way === 'hangs' ? 'care' : way
  if (density === 'scattered') return way
  if (hook === 'guarded' || hook === 'hidden') return way
  if (way === 'care') return 'hangs'
  if (way !== 'knocks') return way
  return hook === 'trebles' && through === 'grass' ? 'hangs' : 'care'
}
