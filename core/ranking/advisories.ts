import { lengthWords, temperatureWords } from '#core/conditions/lengths'
import { type LureId, lureType } from '#core/finish/lures'
import type { Advisory } from '#core/ranking/answer'
import type { Moment } from '#core/schools/school'
import { shareOf } from '#core/season/prey'
import { PHASE_WORDS } from '#core/season/phase'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import { type LineId, lineSightM } from '#core/sight/line'

type Rule = (m: Moment) => string | null
type Rules = readonly { kind: Advisory['kind'], rule: Rule }[]

const is = (m: Moment, ...lures: LureId[]) => lures.includes(m.conditions.lure)
const LOCAL = 'Check local rules.'

/** Where the chosen lure is outside its window, and what would suit (field guide section 4). */
const LURE_WINDOW: readonly Rule[] = [
  m => lureType(m.conditions.lure).surface && m.conditions.wind === 'strong' ? 'Whitecaps bury a surface lure: a spinnerbait or bladed jig suits better.' : null,
  m => is(m, 'walking-frog', 'popping-frog') && m.conditions.wind === 'chop' ? (is(m, 'popping-frog') ? 'A light chop is the most a popping frog wants.' : 'In a chop a popping frog is heard where a walking frog is lost.') : null,
  m => is(m, 'walking-frog', 'popping-frog') && (m.conditions.temperatureC ?? 20) < 15 ? `Frogs want warm water; at ${temperatureWords(m.conditions.temperatureC!, m.conditions.units)} fish a jig or a jerkbait.` : null,
  m => is(m, 'walking-topwater', 'popper', 'buzzbait') && !lureType(m.conditions.lure).salt && (m.conditions.temperatureC ?? 20) < 13 ? `Few fish come up in ${temperatureWords(m.conditions.temperatureC!, m.conditions.units)} water: a jerkbait does better.` : null,
  m => is(m, 'swim-jig') && m.conditions.phase === 'spawn' ? 'While fish sit on beds a bottom lure beats any horizontal one.' : null,
  m => is(m, 'swim-jig') && (m.conditions.temperatureC ?? 18) > 24 ? 'The swim jig is at its best before the water passes the low twenties (°C; mid seventies °F).' : null,
  m => is(m, 'swim-jig') && m.facts.dirty > 0.7 ? 'In dirty water a spinnerbait\'s blades call better than a swim jig.' : null,
  m => is(m, 'swim-jig') && m.conditions.phase === 'autumn' && shareOf(m.conditions.prey.shares, 'shad') > 0.4 ? 'Schooling shad in autumn favour a spinnerbait.' : null,
  m => is(m, 'spinnerbait') && m.facts.clear > 0.9 && m.facts.windy < 0.3 ? 'Clear and calm: a swim jig is quieter than a spinnerbait.' : null,
  m => is(m, 'spinnerbait') && m.conditions.background === 'green-weed' && m.facts.clear > 0.5 ? 'In thick grass a swim jig comes through cleaner.' : null,
  m => is(m, 'jigging-spoon') && (m.conditions.temperatureC ?? 10) > 13 ? 'Vertical spoons come into their own once the water is mixed and under about 13 °C (55 °F).' : null,
  m => is(m, 'jerkbait') && m.facts.dirty > 0.6 ? 'A jerkbait needs to be seen: in dirty water a crankbait or bladed jig covers more.' : null,
  m => m.conditions.phase === 'spawn' && (m.conditions.temperatureC ?? 18) < 9 ? `${temperatureWords(m.conditions.temperatureC!, m.conditions.units)} is cold for the ${PHASE_WORDS.spawn}; the season you set is kept.` : null,
  m => m.conditions.phase === 'winter' && (m.conditions.temperatureC ?? 5) > 20 ? `${temperatureWords(m.conditions.temperatureC!, m.conditions.units)} is warm for winter; the season you set is kept.` : null,
  (m) => {
    const { runsM: [lo, hi], words } = lureType(m.conditions.lure)
    const d = m.conditions.depthM
    if (d < 0.7 * lo - 0.05 || d > 1.4 * hi + 0.1) return `A ${words} runs ${lengthWords(Math.max(lo, 0.01), m.conditions.units)} to ${lengthWords(hi, m.conditions.units)}; you set ${lengthWords(Math.max(d, 0.01), m.conditions.units)}.`
    return null
  },
  m => lureType(m.conditions.lure).salt && m.conditions.salinity === 'fresh' ? 'An inshore lure in fresh water: set the salinity if this is the coast.' : null,
  m => lureType(m.conditions.lure).bottom && m.conditions.background === 'open' && m.facts.clear > 0.5 ? 'Say what the bottom is: it is what the fish sees behind this lure.' : null,
]

const SOUND: readonly Rule[] = [
  m => m.facts.clear > 0.8 && m.facts.windy < 0.3 && !lureType(m.conditions.lure).bottom ? 'Clear and calm: silent baits.' : null,
  m => m.facts.dirty > 0.5 || m.facts.night > 0.5 ? 'Little to see by: sound and thump bring them near, colour only finishes it. Loud rattle, big blades.' : null,
  m => m.conditions.pressure === 'high' && m.facts.clear <= 0.8 ? 'Pressured fish: one deep knock, or silent when everyone else is loud.' : null,
  m => (m.conditions.temperatureC ?? 0) > 18 && m.facts.dirty <= 0.5 && m.conditions.pressure !== 'high' && m.facts.clear <= 0.8 ? 'Warm, active fish: a tight, high rattle.' : null,
]
const SIZE: readonly Rule[] = [
  m => m.facts.dirty > 0.4 ? 'Bigger profile in dirty water.' : null,
  m => m.facts.clear > 0.75 && m.conditions.pressure === 'high' ? 'Smaller profile: clear water, wary fish.' : null,
]
/** From how far the lines show beside the lure, by the same optics. */
function lineWords(m: Moment): string {
  const shows = (id: LineId) => lengthWords(lineSightM(m.scene, id), m.conditions.units)
  return `A level fish sees green braid from ${shows('green-braid')}, yellow from ${shows('yellow-braid')}, red from ${shows('red-braid')}, a clear leader from ${shows('leader')}.`
}

const LINE: readonly Rule[] = [
  m => m.facts.clear > 0.6 ? `Clear water with fish that inspect: fluorocarbon or mono leader. ${lineWords(m)}` : null,
  m => m.facts.clear <= 0.3 || BACKGROUNDS[m.conditions.background].kind === 'weed' ? `Coloured braid straight through is fine in this stain or weed. ${lineWords(m)}` : null,
]
const RETRIEVE: readonly Rule[] = [
  m => is(m, 'walking-frog', 'popping-frog') ? 'A few twitches and a long pause, longer in open pockets. Answer a miss within seconds with a slow-falling soft bait.' : null,
  m => is(m, 'walking-topwater', 'popper', 'buzzbait') ? 'Answer a boil or a miss within seconds with a slow-falling soft bait on the second rod.' : null,
  m => is(m, 'swim-jig') ? 'Steady, just in sight.' : null,
  m => !lureType(m.conditions.lure).surface && lureType(m.conditions.lure).pace === 'fast' && m.facts.clear > 0.7 ? 'Faster in clear water, so they cannot inspect it.' : null,
  m => m.facts.dirty > 0.6 && !lureType(m.conditions.lure).surface ? 'Cover water first; slow down only once fish are found.' : null,
]
/** Cautions, only where they apply, in one line each (field guide section 8). */
const SAFETY: readonly Rule[] = [
  m => m.conditions.sky === 'rain' ? 'Building storm or lightning: get off the water.' : null,
  m => (m.conditions.temperatureC ?? 20) < 15 ? `Water at ${temperatureWords(m.conditions.temperatureC!, m.conditions.units)}: cold shock. Wear a life jacket and do not go alone.` : null,
  m => m.facts.night > 0.3 ? `Night: lights, life jacket, and someone told of the plan. ${LOCAL}` : null,
  m => m.conditions.salinity !== 'fresh' && lureType(m.conditions.lure).salt && m.conditions.depthM < 1.2 ? 'Wading a flat: mind tide and soft mud, and shuffle your feet for stingrays.' : null,
  m => m.conditions.phase === 'spawn' && !['red-drum', 'seatrout', 'snook'].includes(m.conditions.species) ? `Fish on nests are closed or release-only in places. ${LOCAL}` : null,
  m => m.facts.sunny > 0.7 && m.facts.clear > 0.3 ? 'Sun and glare: polarised glasses, which also stop hooks.' : null,
]

const RULES: Rules = ([['lure-window', LURE_WINDOW], ['sound', SOUND], ['size', SIZE], ['line', LINE], ['retrieve', RETRIEVE], ['safety', SAFETY]] as const)
  .flatMap(([kind, rules]) => rules.map(rule => ({ kind, rule })))

/** What goes with colour, and cautions, each only where it applies. */
export function advisoriesOf(moment: Moment): Advisory[] {
  return RULES.flatMap(({ kind, rule }) => {
    const text = rule(moment)
    return text ? [{ kind, text }] : []
  })
}
