/** The schools of thought, in the contract's order, with the name an angler would give each. */
export const SCHOOLS = {
  'match': { words: 'Match the food', creed: 'look like what they are eating, as they see it' },
  'blend': { words: 'Melt in', creed: 'take the colour of what is behind the lure, as real prey does' },
  'contrast': { words: 'Stand out', creed: 'be seen from farthest off' },
  'bright-day': { words: 'Bright day, bright lure', creed: 'brightness follows the light' },
  'fish-eye': { words: "Fish's eye", creed: "only what the fish's eye can make out counts" },
  'few-colours': { words: 'Few colours', creed: 'a tiny set covers nearly everything' },
  'reaction': { words: 'Provoke', creed: 'when natural is refused, make them angry' },
} as const
export type SchoolId = keyof typeof SCHOOLS
export const SCHOOL_IDS = Object.keys(SCHOOLS) as SchoolId[]
