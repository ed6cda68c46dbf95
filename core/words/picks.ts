import { LURES, type LureId } from '#core/lure/types'
import { TINTS, type TintId } from '#core/water/tints'
import { timesWords } from '#core/words/quantities'
import { SCHOOLS, type SchoolId } from '#core/words/schools'
import type { None, Speech } from '#core/words/wording'

type Tone = 'light' | 'mid' | 'dark'

const TONE_WORDS: Record<Tone, string> = { light: 'pale', mid: 'middling', dark: 'dark' }

/** Two picks that quarrel: names as in the catalogue, ranges in m. */
interface Rivals {
  tint: TintId
  visibilityM: number
  fishM: number
  far: string
  near: string
  farM: number
  nearM: number
  times: number
  /** The one that is plainly more like the food close up, where one is. */
  moreLikeFood: string | null
}

const water = (p: { tint: TintId; visibilityM: number }, say: Speech) =>
  `In ${TINTS[p.tint].name.replace(/ \(.*/, '')} water seen to ${say.length(p.visibilityM)}`

/** Rods, quarrels, dress-ups, how much colour matters, and why the balance shifts. */
export const PICK_WORDS = {
  'rod.best': (_: None) => 'The best of the box here.',
  'rod.start': (_: None) => 'Start here.',
  'rod.after-casts': (_: None) => 'After 20 quiet casts, or when they follow and turn away.',
  'rod.after-minutes': (_: None) => 'After 15 quiet minutes, or when they follow and turn away.',
  'rod.when-refused': (_: None) => 'When both are refused.',
  'rod.unlike-both': (p: { tone: Tone; vivid: boolean; seeThrough: boolean; flashing: boolean }) => {
    const shape = p.seeThrough ? 'see-through' : TONE_WORDS[p.tone]
    return `Unlike both: ${[p.vivid && 'loud', shape, p.flashing && 'flashing'].filter(Boolean).join(', ')}.`
  },
  'rod.other-tone': ({ tone }: { tone: Tone }) => {
    const how = { light: 'Paler', mid: 'Between light and dark', dark: 'Darker' }[tone]
    return `${how} than the first, so it makes another shape.`
  },
  'rod.flashes': (_: None) => 'Flashes where the first does not.',
  'rod.keeps-still': (_: None) => 'Keeps still where the first flashes.',
  'rod.solid': (_: None) => 'Solid where the first is see-through.',
  'rod.see-through': (_: None) => 'See-through where the first is solid.',
  'rod.louder': (_: None) => 'Louder than the first.',
  'rod.quieter': (_: None) => 'Quieter than the first.',
  'rod.another-colour': (_: None) => 'Another colour to the fish, as good in the main.',

  'quarrel.sides': (p: { a: SchoolId; b: SchoolId; pickA: string; pickB: string }) =>
    `${SCHOOLS[p.a].words} says ${p.pickA.toLowerCase()}; ` +
    `${SCHOOLS[p.b].words.toLowerCase()} says ${p.pickB.toLowerCase()}.`,
  'quarrel.same-to-fish': (p: { tint: TintId; visibilityM: number; fishM: number }, say: Speech) =>
    `${water(p, say)} the fish cannot tell them apart at ${say.length(p.fishM)}.`,
  'quarrel.same-reach': (p: Rivals, say: Speech) =>
    `${water(p, say)}, both show from about ${say.length(p.farM)}${food(p)}.`,
  'quarrel.one-farther': (p: Rivals, say: Speech) =>
    `${water(p, say)}, ${p.far.toLowerCase()} is seen ${timesWords(p.times)} as far as ${p.near.toLowerCase()} ` +
    `(${say.length(p.farM)} against ${say.length(p.nearM)})${food(p)}.`,

  'sun.turns': (p: { inFace: string; atBack: string; times: number }) =>
    `Cast towards the sun and ${p.inFace.toLowerCase()} shows ${timesWords(p.times)} as far as ` +
    `${p.atBack.toLowerCase()}; with the sun at your back, ${p.atBack.toLowerCase()} shows farther.`,

  'dress.blacken-blades': (_: None) => 'Blacken the blades with a marker.',
  'dress.gold-blades': (_: None) => 'Swap the blades for gold.',
  'dress.silver-blades': (_: None) => 'Swap the blades for silver.',
  'dress.throat': ({ colour }: { colour: string }) => `Colour the throat ${colour}.`,
  'dress.dip-tail': ({ colour }: { colour: string }) => `Dip the tail in ${colour}.`,
  'dress.feather': ({ colour }: { colour: string }) => `Tie a ${colour} feather on the tail hook.`,
  'dress.red-hooks': (_: None) => 'Change to red hooks.',
  'dress.trailer': ({ colour }: { colour: string }) => `Change to a ${colour} trailer.`,
  'dress.darken-back': (_: None) => 'Darken the back with a marker.',
  'dress.bars': (_: None) => 'Draw dark bars on the side with a scent-free marker.',

  'matters.little': (p: Box & { lure: LureId }) =>
    `Colour matters little: place, depth, thump and speed decide with a ${LURES[p.lure].words} in this water.${box(p)}`,
  'matters.some': (p: Box) => `Colour matters some, after where and how deep. Get those right first.${box(p)}`,
  'matters.much': (p: Box) =>
    `Colour matters a lot: the fish get a long, clear look. Place and lure still come first.${box(p)}`,

  'weights.pressured': (_: None) => 'clear and pressured: matching and melting in count more',
  'weights.long-look': (_: None) => 'a slow lure in clear water gets a long look',
  'weights.dirty': (_: None) => 'dirty water: being seen at all comes first',
  'weights.night': (_: None) => 'in the dark only the shape is left',
  'weights.refused': (_: None) => 'natural offers were refused: provoking counts more',
} as const

/** How many finishes there are, and how many of them the fish can tell apart. */
interface Box {
  finishes: number
  distinct: number
}

const box = ({ finishes, distinct }: Box) =>
  distinct < finishes ? ` Of ${finishes} finishes the fish can tell ${distinct} apart here.` : ''

const food = ({ moreLikeFood }: Rivals) =>
  moreLikeFood ? `; close up, ${moreLikeFood.toLowerCase()} is the more like their food` : ''
