import type { SunFacing } from '#core/sight/scene'
import { FELT_M } from '#core/sight/view'
import { FORAGE, type Forage } from '#core/prey/forage'
import { BACKGROUNDS, type BackgroundId } from '#core/sight/backgrounds'
import { timesWords } from '#core/words/quantities'
import { CUSTOM_WORDS, type CustomId } from '#core/words/customs'
import type { None, Speech } from '#core/words/wording'

/** How far off something is seen, m, and where the sun is where the angler has said so. */
interface SeenFrom {
  sightM: number
  facing?: Exclude<SunFacing, 'any'>
}
const SUN_WORDS = {
  'sun-in-face': ' with the sun in your face',
  'sun-at-back': ' with the sun at your back',
  'across': ' across the sun',
} as const
/** A long cast, m: farther off nobody has a lure. */
const CAST_M = 40
/** Food as it is spoken of in the many. */
const many = (prey: Forage) => (prey === 'insect' || prey === 'frog' ? `${FORAGE[prey].words}s` : FORAGE[prey].words)
const sun = ({ facing }: SeenFrom) => (facing ? SUN_WORDS[facing] : '')

/** What schools and customs say for or against a finish. Lengths in m, shares and ratios bare. */
export const REASON_WORDS = {
  'custom': ({ id }: { id: CustomId }) => CUSTOM_WORDS[id],
  'shown-today': (_: None) => 'The fish here have been shown this colour today.',
  'prey.absent': ({ prey }: { prey: Forage }) => `Painted after ${FORAGE[prey].words}, which does not live here.`,
  'prey.rare': ({ prey }: { prey: Forage }) => `Painted after ${FORAGE[prey].words}, of which they eat little here.`,
  'prey.not-eaten': ({ prey }: { prey: Forage }) =>
    `Painted after ${FORAGE[prey].words}, which is not what they are eating.`,
  'angler.follows': ({ anglerM }: { anglerM: number }, say: Speech) =>
    anglerM >= CAST_M
      ? 'You can follow its back for a whole cast, at no cost with the fish.'
      : `You can follow its back from ${say.length(anglerM)} across the water, at no cost with the fish.`,
  'small-points': (_: None) => 'Several lesser things together.',

  'match.like-prey': ({ prey }: { prey: Forage }) => `Looks as much like ${many(prey)} at biting distance as most.`,
  'match.more-like-prey': ({ prey, times }: { prey: Forage; times: number }) =>
    `Looks ${timesWords(times)} as much like ${many(prey)} at biting distance as most of these do.`,
  'match.tone': (_: None) => 'As light or dark as their food at biting distance, or nearly.',
  'match.unlike-prey': ({ prey }: { prey: Forage }) => `Does not look like ${many(prey)} up close in this water.`,
  'match.painted-after': ({ prey, share }: { prey: Forage; share: number }) =>
    `Painted after ${FORAGE[prey].words}, ${Math.round(share * 100)} % of what they are likely eating.`,

  'blend.melts': ({ background }: { background: BackgroundId }) =>
    `Melts into the ${BACKGROUNDS[background].words} behind it.`,
  'blend.stands-off': ({ background }: { background: BackgroundId }) =>
    `Stands off the ${BACKGROUNDS[background].words} behind it.`,
  'blend.too-loud': (_: None) => 'No prey here wears a colour this loud.',
  'blend.bold-in-dirty': (_: None) => 'In dirty water hiding gains nothing: boldness counts instead.',

  'contrast.seen-from': (p: SeenFrom, say: Speech) =>
    p.sightM < FELT_M ? 'Felt before it is seen.' : `First seen at ${say.length(p.sightM)}${sun(p)}.`,
  'contrast.seen-farther': (p: SeenFrom & { times: number }, say: Speech) =>
    `First seen at ${say.length(p.sightM)}${sun(p)}, ${timesWords(p.times)} as far as most of these.`,
  'contrast.seen-late': (p: SeenFrom & { mostM: number }, say: Speech) =>
    p.sightM < FELT_M
      ? `Felt, not seen${sun(p)}; most show from ${say.length(p.mostM)}.`
      : `Only seen from ${say.length(p.sightM)}${sun(p)}; most show from ${say.length(p.mostM)}.`,
  'contrast.own-edges': (_: None) => 'Its own parts stand off each other: an edge holds when colour is gone.',
  'contrast.not-taken-for': ({ background }: { background: BackgroundId }) =>
    `Cannot be taken for the ${BACKGROUNDS[background].words} behind it.`,
  'contrast.in-the-crowd': (_: None) => 'With so much bait about, it is a question of standing out from it.',
  'contrast.see-through': (_: None) => 'See-through: it takes on whatever is behind it.',
  'contrast.night-shape': (_: None) => 'At night a dark belly cuts the hardest shape against the paler surface.',

  'bright-day.bright-in-sun': (_: None) => 'Sun and water this open carry a bright lure.',
  'bright-day.dull-in-sun': (_: None) => 'Too dull for so much light.',
  'bright-day.shows': (_: None) => 'Of its brightness, it keeps its shape best in this light.',
  'bright-day.bright-in-gloom': (_: None) => 'More brightness than this light supports.',
  'bright-day.dark-in-gloom': (_: None) => 'Little light: a dark or earthy shape is what is left to see.',

  'fish-eye.shape': ({ sightM }: { sightM: number }, say: Speech) =>
    sightM < FELT_M ? 'To this fish it is felt, not seen.' : `To this fish the shape shows from ${say.length(sightM)}.`,
  'fish-eye.colour': ({ colourM }: { colourM: number }, say: Speech) =>
    `Its colour can be told from ${say.length(colourM)} in.`,
  'fish-eye.no-colour': (_: None) => 'Its colour cannot be told at any distance here.',

  'few-colours.not-one': (_: None) => 'Not one of the few that cover nearly everything.',
  'few-colours.white': (_: None) => 'White: the safe do-everything.',
  'few-colours.black': (_: None) => 'Black: the plain dark shape of the set.',
  'few-colours.natural': (_: None) => 'A green-brown natural, the quiet one of the set.',
  'few-colours.gold': (_: None) => 'Gold, the one for coloured salt water.',
  'few-colours.dark': (_: None) => 'The dark one of the set.',
  'few-colours.bright': (_: None) => 'The one bright of the set.',

  'reaction.loud': (_: None) => 'Loud enough to be struck before it is judged.',
  'reaction.tame': (_: None) => 'Too tame to provoke.',
  'reaction.seen-early': (_: None) => 'Seen early, so it is met at a rush.',
  'reaction.today': (_: None) => 'Of the loud ones, the one for this water and light.',
  'reaction.clash': (_: None) => 'Clashing colours: nothing they have learned to refuse.',
  'reaction.painted-after-prey': (_: None) => 'Painted after prey, which is what they are refusing.',
  'reaction.flash': (_: None) => 'Flash sets off a strike.',
} as const
