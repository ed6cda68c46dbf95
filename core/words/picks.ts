import { LURES, type LureId } from '#core/lure/types'
import type { TintId } from '#core/water/tints'
import { FELT_M } from '#core/sight/view'
import { timesWords } from '#core/words/quantities'
import { SCHOOLS, type SchoolId } from '#core/words/schools'
import { type None, type Speech, lowerFirst, tintWord } from '#core/words/wording'

/** When each school's side is the one to take; each continues the name of the school or of its pick. */
const SIDE_WHEN: Record<SchoolId, string> = {
  'match': 'while they feed on something you can name',
  'blend': 'where fish see many lures and take a long look',
  'contrast': 'when they must find it first, or after the spot was fished through',
  'bright-day': 'when light and lure are to go together: vivid when it is bright, dark when it is dull',
  'fish-eye': 'when you would go by nothing but what reaches the eye',
  'few-colours': 'when you would rather fish than choose',
  'reaction': 'when natural offers were refused',
}

/** Finishes that share a place: their names, and how many more there are. */
interface Shared {
  names: readonly string[]
  others: number
}
const listed = ({ names, others }: Shared) => {
  const all = [...names.map(lowerFirst), ...(others ? [`${others} more`] : [])]
  const between = all.length > 2 ? '; ' : ' '
  return `${all.slice(0, -1).join('; ')}${between}or ${all.at(-1)!}`
}

const LOOKS = {
  vanish: 'fade soon, for the water shows through it',
  flash: 'flash as it turns',
  glow: 'stand out loud',
  dark: 'hang as a dark shape',
  pale: 'show plain and pale',
  middling: 'show plain, neither pale nor dark',
} as const

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
  `In ${tintWord(p.tint)} water seen to ${say.length(p.visibilityM)}`

/** Rods, quarrels, dress-ups, how much colour matters, and why the balance shifts. */
export const PICK_WORDS = {
  'rod.best': (_: None) => 'The best of the box here.',
  'rod.start': (_: None) => 'Start here.',
  'rod.start-between': (_: None) => "Start here: it is nobody's first choice, and nobody's worst.",
  'rod.after-casts': (_: None) => 'After 20 quiet casts, or when they follow and turn away; then move a few yards too.',
  'rod.after-minutes': (_: None) => 'After 15 quiet minutes, or when they follow and turn away.',
  'rod.when-refused': (_: None) => 'When both are refused.',
  'rod.unlike-both': (p: { tone: Tone; vivid: boolean; seeThrough: boolean; flashing: boolean }) => {
    const shape = p.seeThrough ? 'see-through' : TONE_WORDS[p.tone]
    return `Unlike both: ${[p.vivid && 'loud', shape, p.flashing && 'flashing'].filter(Boolean).join(', ')}.`
  },
  'rod.water-hides': ({ tone, loud }: { tone: Tone; loud: boolean }) =>
    `The water hides the difference in colour: ${TONE_WORDS[tone]} for the shape, and ` +
    `${loud ? 'another sound' : 'another size'} or lure rather than another colour.`,
  'rod.other-tone': ({ tone }: { tone: Tone }) => {
    const how = {
      light: 'Paler than the first',
      mid: 'Neither pale nor dark as the first is',
      dark: 'Darker than the first',
    }
    return `${how[tone]}, so it makes another shape.`
  },
  'rod.flashes': (_: None) => 'Flashes where the first does not.',
  'rod.keeps-still': (_: None) => 'Keeps still where the first flashes.',
  'rod.solid': (_: None) => 'Solid where the first is see-through.',
  'rod.see-through': (_: None) => 'See-through where the first is solid.',
  'rod.louder': (_: None) => 'Louder than the first.',
  'rod.quieter': (_: None) => 'Quieter than the first.',
  'rod.another-colour': (_: None) => 'Another colour to the fish, as good in the main.',

  'quarrel.sides': (p: { a: SchoolId; b: SchoolId; pickA: string; pickB: string }) =>
    `${SCHOOLS[p.a].words} says ${lowerFirst(p.pickA)}; ` +
    `${lowerFirst(SCHOOLS[p.b].words)} says ${lowerFirst(p.pickB)}.`,
  'quarrel.when': ({ a, b }: { a: SchoolId; b: SchoolId }) =>
    `${SCHOOLS[a].words} ${SIDE_WHEN[a]}; ${lowerFirst(SCHOOLS[b].words)} ${SIDE_WHEN[b]}.`,

  'close.same-look': (p: Shared) =>
    `Too close to call: any of ${listed(p)}. The fish cannot tell them apart here; take the one you trust.`,
  'close.leans': (p: Shared & { a: string; b: string; forA: SchoolId; forB: SchoolId }) =>
    `Too close to call: any of ${listed(p)}. ${p.a} ${SIDE_WHEN[p.forA]}; ${lowerFirst(p.b)} ${SIDE_WHEN[p.forB]}.`,

  'quarrel.same-reach': (p: Rivals, say: Speech) =>
    `${water(p, say)}, both show from about ${say.length(p.farM)}${food(p)}.`,
  'quarrel.one-farther': (p: Rivals, say: Speech) =>
    p.nearM < FELT_M
      ? `${water(p, say)}, ${lowerFirst(p.far)} is seen from ${say.length(p.farM)} and ${lowerFirst(p.near)} ` +
        `only when it is upon it${food(p)}.`
      : `${water(p, say)}, ${lowerFirst(p.far)} is seen ${timesWords(p.times)} as far as ${lowerFirst(p.near)} ` +
        `(${say.length(p.farM)} against ${say.length(p.nearM)})${food(p)}.`,

  'sun.turns': (p: { inFace: string; atBack: string; times: number; moon: boolean }) =>
    `Cast towards the ${lamp(p)} and ${lowerFirst(p.inFace)} shows ${timesWords(p.times)} as far as ` +
    `${lowerFirst(p.atBack)}; with the ${lamp(p)} at your back, ${lowerFirst(p.atBack)} shows farther.`,

  'boat-side': (p: { look: keyof typeof LOOKS; lostM: number }, say: Speech) =>
    `Let it down beside the boat: it should ${LOOKS[p.look]}, and be lost to you at about ${say.length(p.lostM)}.`,
  'next.sound': (_: None) =>
    'Change one thing at a time: colour first, then a louder or a silent one, then size, then speed.',
  'next.size': (_: None) => 'Change one thing at a time: colour first, then size, then speed.',

  'dress.blacken-blades': (_: None) => `Blacken the blades with a marker.${FUMES}`,
  'dress.gold-blades': (_: None) => `Swap the blades for gold.`,
  'dress.silver-blades': (_: None) => `Swap the blades for silver.`,
  'dress.throat': (p: Tinted) => `Paint the throat ${p.colour}.${FUMES}`,
  'dress.dip-tail': (p: Tinted) => `Dip the tail in ${p.colour}.${FUMES}`,
  'dress.feather': (p: Tinted) => `Tie ${article(p.colour)} feather on the tail hook.`,
  'dress.red-hooks': (_: None) => `Change to red hooks.`,
  'dress.trailer': (p: Tinted) => `Change to ${article(p.colour)} trailer.`,
  'dress.darken-back': (_: None) => `Darken the back with a marker.${FUMES}`,
  'dress.bars': (_: None) => `Draw dark bars on the side with a scent-free marker.${FUMES}`,

  'matters.little': (p: Box & { lure: LureId; what: 'thump' | 'size' }) =>
    `Colour matters little: place, depth, ${p.what} and speed decide with ${article(LURES[p.lure].words)} in this ` +
    `water.${box(p)}`,
  'matters.some': (p: Box) => `Colour matters some, after where and how deep. Get those right first.${box(p)}`,
  'matters.much': (p: Box) =>
    `Colour matters a lot: the fish get a long look. Place and lure still come first.${box(p)}`,

  'weights.pressured': (_: None) => 'they see far and are wary: matching and melting in count more',
  'weights.long-look': (_: None) => 'a slow lure where they see far gets a long look',
  'weights.dirty': (_: None) => 'they see little: being seen at all comes first',
  'weights.night': (_: None) => 'in the dark only the shape is left',
  'weights.refused': (_: None) => 'natural offers were refused: provoking counts more',
} as const

/** How many finishes there are, and how many of them the fish can tell apart. */
interface Box {
  finishes: number
  distinct: number
}

const box = ({ finishes, distinct }: Box) =>
  distinct === 1
    ? ` To the fish the ${finishes} finishes are all one here.`
    : distinct < finishes
      ? ` Of ${finishes} finishes the fish can tell ${distinct} apart here.`
      : ''

const food = ({ moreLikeFood }: Rivals) =>
  moreLikeFood ? `; close up, ${lowerFirst(moreLikeFood)} is the more like their food` : ''

const lamp = ({ moon }: { moon: boolean }) => (moon ? 'moon' : 'sun')

/** The colour a change brings. */
interface Tinted {
  colour: string
}
const FUMES = ' Gloves and fresh air, as the maker says.'
const article = (colour: string) => `${/^[aeiou]/.test(colour) ? 'an' : 'a'} ${colour}`
