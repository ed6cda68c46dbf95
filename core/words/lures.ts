import { type CoverId, coverKind } from '#core/cover/cover'
import { PASSAGE, PASSAGE_REASONS } from '#core/lure/passage'
import { LURES, type LureId } from '#core/lure/types'
import type { None, Speech } from '#core/words/wording'

/** What may keep a lure out of a place. */
export const GATES = ['cover', 'depth', 'wind', 'cold', 'warm', 'beds', 'clarity', 'salinity', 'light'] as const
export type Gate = (typeof GATES)[number]

/** Customs of which lure goes where, as they are said. */
export const LURE_CUSTOM_WORDS = {
  'grass-rip': 'Tick the tops and rip it free: the tear is what gets hit.',
  'grass-blade-stain': 'The blade shakes stained grass more than anything else that comes through it.',
  'grass-swim': 'Made to be swum through grass and popped off its edge.',
  'grass-worm': 'Slides down through holes and sinks slowly in them.',
  'frog-thick': 'In the thickest of it only a walking frog stays over one hole.',
  'frog-mat': 'Crawls over all of it, and stays where a fish has moved.',
  'frog-heard': 'Where stems stand thin and the surface is broken it is heard.',
  'mat-punch': 'Compact, dark and heavy: through the mat into the dusk under it.',
  'mat-front': 'After a front the mat keeps its warmth, and they sit under it.',
  'wood-blades': 'Draws fish off the tips of wood from a distance.',
  'wood-knock': 'Knock it against the hard stuff: the turn is what they take.',
  'rock-craw': 'Ground along rock it is a crawfish that flees.',
  'rock-crawl': 'Hops over rock as what lives there does.',
  'rock-smallmouth': 'What smallmouth and spotted bass follow over rock.',
  'flip': 'Put it beside each stem and post; most take it on the drop.',
  'flip-dirty': 'In dirty water they sit tight: black bulk, tight to it.',
  'skip': 'Skips under the planks, where the shade is.',
  'ledge': 'Gets down to the ledge and stays on it.',
  'shad-wind': 'Schooling bait in wind: blades and cranks cover the water.',
  'shad-autumn-lure': 'In autumn they follow the shad, and so does this.',
  'fry-lure': 'Those that guard fry strike what comes too near.',
  'jerk-cold': 'Hangs still between twitches longer than anything else.',
  'spoon-cold': 'Straight down to fish in cold, mixed water.',
  'mud-search': 'Thump and knock cover dirty water; slow down once fish are found.',
  'buzz': 'Covers water on top while the light is low.',
  'top-low-light': 'Low light brings them up.',
  'wary-quiet': 'Small, slow and quiet where they have seen it all.',
  'spawn-bottom': 'While they are on beds, what stays down beats what swims past.',
  'winter-bottom': 'Cold fish lie low: along the bottom, and slowly.',
  'night-lure': 'A steady thump or a dark bulk they can find by night.',
  'flat-weedless': 'Comes through the grass of the flat without a blade of it.',
  'flat-edges': 'A plug at the edges of the day.',
  'oyster-tail': 'Over the shell, not into it.',
  'crappie-small': 'Small enough for a paper mouth, and it hangs where they look up.',
} as const
export type LureCustomId = keyof typeof LURE_CUSTOM_WORDS

interface Ranges {
  lowM: number
  highM: number
  sightM: number
}

/** Which lure here, and which sense finds it. Lengths in m. */
export const LURE_WORDS = {
  'lure.custom': ({ id }: { id: LureCustomId }) => LURE_CUSTOM_WORDS[id],
  'lure.through': ({ lure, cover }: { lure: LureId; cover: CoverId }) =>
    `Comes through ${coverKind(cover).words}. ${PASSAGE_REASONS[PASSAGE[lure].because]}`,
  'lure.over': ({ cover }: { cover: CoverId }) => `Runs over the top of the ${plainNoun(cover)}.`,
  'lure.bears-look': (_: None) => 'Bears a long look where they see far.',
  'lure.searches': (_: None) => 'Covers water: more fish meet it.',
  'lure.slow-cold': (_: None) => 'Moves as little as cold fish will follow.',
  'lure.at-depth': ({ depthM }: { depthM: number }, say: Speech) => `Runs where they are, ${say.length(depthM)} down.`,
  'lure.plain': (_: None) => 'Nothing speaks against it here, and nothing much for it.',

  'window.fresh-only': ({ lure }: { lure: LureId }) => `The ${LURES[lure].words} is a lure of fresh water.`,

  'senses.felt-first': ({ lowM, highM, sightM }: Ranges, say: Speech) => {
    const felt =
      say.length(lowM) === say.length(highM) ? say.length(lowM) : `${say.length(lowM)} to ${say.length(highM)}`
    return (
      `Felt before it is seen: from ${felt}, seen from ${say.length(sightM)}. ` +
      "Put it within a rod's section of cover."
    )
  },
  'senses.neither': (_: None) =>
    "Neither seen nor felt beyond a hand's breadth: bigger, slower, tight to cover, or another lure.",
  'senses.seen-first': (_: None) => 'Seen long before it is felt: colour and speed decide.',
  'senses.shallow-sound': (_: None) =>
    'In water this shallow low sounds die within a few depths: loud helps over a short way, not across a bay.',
  'senses.drums': (_: None) => 'Drum and trout hear higher and farther than bass: a knock or a pop counts for more.',
} as const
const plainNoun = (cover: CoverId) => coverKind(cover).words.replace(/^an? /, '')
