import { type Coat, parseCoat } from '#core/paintwork/coat'
import type { Part } from '#core/paintwork/parts'

export interface Prey {
  words: string
  /** A group of it, as anglers say it. */
  plural: string
  /** Lives in some waters only: counted where it is listed, given or seen, never by the calendar alone. */
  local?: true
  /** True where it lives in salt or brackish water; false in fresh; null in both. */
  salt: boolean | null
  parts: Partial<Record<Part, string>>
}

/**
 * Prey by the contract's kinds, drawn in the finish vocabulary. Silvery sides are mirrors (guanine stacks reflect
 * 0.6-0.8 of the light along the body; Denton 1970), backs dark, bellies pale. Colours ours, by eye.
 */
export const FORAGE = {
  'shad': {
    words: 'shad',
    plural: 'shad',
    salt: false,
    parts: { back: 'slate', flank: 'silver+white*0.3', belly: 'white', tail: 'grey' },
  },
  'herring': {
    words: 'herring',
    plural: 'herring',
    salt: null,
    parts: { back: 'dark-blue', flank: 'silver+white*0.25', belly: 'white', tail: 'grey' },
  },
  'sunfish': {
    words: 'sunfish',
    plural: 'sunfish',
    salt: false,
    parts: { back: 'moss', flank: 'olive-gold+blue*0.12+black*0.1', belly: 'amber', chin: 'orange', tail: 'moss' },
  },
  'crawfish': {
    words: 'crawfish',
    plural: 'crawfish',
    salt: false,
    parts: { back: 'dark-brown', flank: 'rust+black*0.2', belly: 'amber', tail: 'dark-red' },
  },
  'yellow-perch': {
    words: 'yellow perch',
    plural: 'yellow perch',
    salt: false,
    parts: {
      back: 'dark-green',
      flank: 'olive-gold+yellow*0.35+black*0.2',
      belly: 'cream',
      chin: 'orange',
      tail: 'olive-gold',
    },
  },
  'shiner': {
    words: 'shiner',
    plural: 'shiners',
    salt: false,
    parts: { back: 'olive', flank: 'silver+white*0.3', belly: 'white', tail: 'clear' },
  },
  'golden-shiner': {
    words: 'golden shiner',
    plural: 'golden shiners',
    salt: false,
    parts: { back: 'olive-gold', flank: 'gold+cream*0.25', belly: 'cream', tail: 'olive-gold' },
  },
  'fry': {
    words: 'fry',
    plural: 'fry',
    salt: false,
    parts: { back: 'moss', flank: 'smoke+olive*0.3', belly: 'clear', tail: 'clear' },
  },
  'frog': {
    words: 'frog',
    plural: 'frogs',
    salt: false,
    parts: {
      back: 'grass+black*0.2',
      flank: 'lime:matte+moss*0.5',
      belly: 'white',
      skirt: 'cream+grass*0.4',
      tail: 'grass',
    },
  },
  'insect': {
    words: 'insect',
    plural: 'insects',
    salt: false,
    parts: { back: 'black', flank: 'brown', belly: 'moss', tail: 'brown' },
  },
  'mullet': {
    words: 'mullet',
    plural: 'mullet',
    salt: true,
    parts: { back: 'slate', flank: 'silver+grey*0.3', belly: 'white', tail: 'grey' },
  },
  'menhaden': {
    words: 'menhaden',
    plural: 'menhaden',
    salt: true,
    parts: { back: 'slate', flank: 'silver+~gold*0.3+white*0.2', belly: 'white', tail: 'lemon' },
  },
  'pilchard': {
    words: 'pilchard',
    plural: 'pilchards',
    salt: true,
    parts: { back: 'grass', flank: 'silver+white*0.2', belly: 'white', tail: 'lemon' },
  },
  'pinfish': {
    words: 'pinfish',
    plural: 'pinfish',
    salt: true,
    parts: { back: 'olive', flank: 'silver+yellow*0.25+sky-blue*0.1', belly: 'white', tail: 'olive' },
  },
  'shrimp': {
    words: 'shrimp',
    plural: 'shrimp',
    salt: true,
    parts: { back: 'sand:translucent', flank: 'clear+sand*0.25', belly: 'clear', tail: 'amber:translucent' },
  },
  'crab': {
    words: 'crab',
    plural: 'crabs',
    salt: true,
    parts: { back: 'moss', flank: 'olive-gold+sky-blue*0.1', belly: 'cream', tail: 'moss' },
  },
  'goby': {
    words: 'goby',
    plural: 'gobies',
    salt: null,
    local: true,
    parts: { back: 'dark-brown', flank: 'tan+brown*0.45', belly: 'cream', tail: 'brown' },
  },
  'glass-minnow': {
    words: 'glass minnow',
    plural: 'glass minnows',
    salt: true,
    parts: { back: 'smoke', flank: 'clear+~silver*0.25', belly: 'clear', tail: 'clear' },
  },
  'croaker': {
    words: 'croaker',
    plural: 'croakers',
    salt: true,
    local: true,
    parts: { back: 'bronze', flank: 'nickel+bronze*0.3', belly: 'white', tail: 'lemon' },
  },
  'sand-eel': {
    words: 'sand eel',
    plural: 'sand eels',
    salt: true,
    local: true,
    parts: { back: 'olive', flank: 'silver+olive*0.2', belly: 'white', tail: 'olive' },
  },
} as const satisfies Record<string, Prey>
export type Forage = keyof typeof FORAGE

/** The kinds, in the contract's order. */
export const FORAGE_KINDS = Object.keys(FORAGE) as Forage[]

/**
 * Prey coats for the parts of a lure; a skirt, blade or trailer answers to the side of the prey, its body all of it.
 */
export function preyCoat(kind: Forage, part: Part): Coat {
  const parts: Partial<Record<Part, string>> = FORAGE[kind].parts
  const text =
    parts[part] ?? (part === 'chin' || part === 'hook' ? parts.belly : part === 'head' ? parts.back : parts.flank)
  return parseCoat(text!)
}
