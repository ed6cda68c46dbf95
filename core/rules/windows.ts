import { coverKind } from '#core/cover/cover'
import { MANNER } from '#core/lure/manner'
import { type Passage, passageOf } from '#core/lure/passage'
import { type LureId, lureType } from '#core/lure/types'
import { shareOf } from '#core/prey/odds'
import {
  type Occasion,
  colder,
  is,
  isDirty,
  isFrog,
  isMud,
  isPlug,
  seesFar,
  typeIn,
  warmer,
} from '#core/rules/occasion'
import type { Gate } from '#core/words/lures'
import { type PlainCode, type Sentence, plainly } from '#core/words/sentence'

/** A lure is outside its window: what is said of it, and what shuts it out altogether where something does. */
export interface Window {
  gate: Gate | null
  says: Sentence
}
type Rule = (o: Occasion) => Window | null

const when =
  (applies: (o: Occasion) => boolean, code: PlainCode, gate: Gate | null = null): Rule =>
  o =>
    applies(o) ? { gate, says: plainly(code) } : null
/** Of a temperature, where one was given. */
const whenTemperature =
  (
    applies: (o: Occasion) => boolean,
    code: 'window.frog-cold' | 'window.topwater-cold' | 'window.cold-for-spawn' | 'window.warm-for-winter',
    gate: Gate | null = null,
  ): Rule =>
  o => {
    const { temperatureC } = o.conditions
    return temperatureC !== null && applies(o) ? { gate, says: { code, params: { temperatureC } } } : null
  }

/**
 * Running depths outside the lure's own by more than this much deserve a word: shares of its shallowest and deepest,
 * and m.
 */
const DEPTH_SLACK = { shallow: 0.7, shallowM: 0.05, deep: 1.4, deepM: 0.1 }
/** The least depth worth saying, m. */
const LEAST_SAID_M = 0.01

/** Where a lure can be made to run, m. */
export const reachesDown = (lure: LureId) => DEPTH_SLACK.deep * lureType(lure).runsM[1] + DEPTH_SLACK.deepM
const leastDepthM = (lure: LureId) => DEPTH_SLACK.shallow * lureType(lure).runsM[0] - DEPTH_SLACK.shallowM

/** Water too shallow for it to run in, or too deep for what belongs on the bed to be felt there. */
const waterTooShallowOrDeep: Rule = ({ conditions: { lure, waterM } }) => {
  if (waterM === null) return null
  const { bottom, surface, runsM } = lureType(lure)
  const [fromM, toM] = runsM
  if (!surface && waterM < fromM)
    return { gate: 'depth', says: { code: 'window.too-shallow', params: { lure, fromM, waterM } } }
  if (!bottom || waterM <= reachesDown(lure)) return null
  return { gate: 'depth', says: { code: 'window.too-deep', params: { lure, toM, waterM } } }
}

const outsideItsDepths: Rule = ({ conditions: { lure, depthM } }) => {
  const [fromM, toM] = lureType(lure).runsM
  const tooShallow = depthM < leastDepthM(lure)
  if (!tooShallow && depthM <= reachesDown(lure)) return null
  const said = (depth: number) => Math.max(depth, LEAST_SAID_M)
  return { gate: null, says: { code: 'window.depth', params: { lure, fromM: said(fromM), toM, depthM: said(depthM) } } }
}

/** Fish on a ledge, rock or beds leave it upwards by no more than so many disc depths. Ours. */
const COMES_UP = 1.5
/** Where the fish lie on the bed, a lure that stays far above them is not met. */
const aboveTheFish: Rule = ({ conditions: { lure, cover, waterM, visibilityM } }) => {
  if (!cover || waterM === null || !coverKind(cover.kind).onBed) return null
  const fishM = coverKind(cover.kind).fishAt * waterM
  const [, toM] = lureType(lure).runsM
  if (fishM - toM <= COMES_UP * visibilityM) return null
  return {
    gate: 'depth',
    says: { code: 'window.above-fish', params: { lure, toM: Math.max(toM, LEAST_SAID_M), fishM } },
  }
}

/** How a lure comes through the cover where it runs, or over it; null where no cover was named. */
export function passageIn({ conditions: { lure, cover, depthM } }: Occasion): { way: Passage; over: boolean } | null {
  if (!cover) return null
  const { passage } = coverKind(cover.kind)
  if (!passage) return { way: 'clean', over: false }
  const { surface, bottom, runsM } = lureType(lure)
  const lowest = surface ? runsM[1] : depthM + CLEARANCE_M
  if (cover.topM !== null && !bottom && lowest < cover.topM) return { way: 'clean', over: true }
  return { way: passageOf(lure, passage, cover.density), over: false }
}
/** A lure that is to clear the top of cover runs so much above it, m. */
const CLEARANCE_M = 0.15

const hangsInCover: Rule = o => {
  const { lure, cover } = o.conditions
  if (passageIn(o)?.way !== 'hangs') return null
  return { gate: 'cover', says: { code: 'window.hangs', params: { lure, cover: cover!.kind } } }
}

const isOnBeds = ({ conditions: { cover, phase } }: Occasion) => cover?.kind === 'bed' && phase === 'spawn'
const HIGH_SUN_DEG = 35
const inHighSun = ({ grades, conditions: c }: Occasion) =>
  grades.sunny > 0.7 && c.sunElevationDeg > HIGH_SUN_DEG && c.canopy === 'open' && grades.windy < 0.5
/** Pads, mats, docks and wood have their own shade. */
const isShaded = ({ conditions: { cover } }: Occasion) =>
  cover !== null && ['mat', 'pads', 'dock', 'wood'].includes(cover.kind)

/** Where the chosen lure is outside its window, and what would suit (field guide section 4). */
const WINDOWS: readonly Rule[] = [
  waterTooShallowOrDeep,
  hangsInCover,
  aboveTheFish,
  when(o => typeIn(o).surface && o.conditions.wind === 'strong', 'window.whitecaps', 'wind'),
  when(o => is(o, 'popping-frog') && o.conditions.wind === 'chop', 'window.popping-frog-chop'),
  when(o => is(o, 'walking-frog') && o.conditions.wind === 'chop', 'window.walking-frog-chop'),
  whenTemperature(o => isFrog(o) && colder(o, MANNER[o.conditions.lure].worksFromC!), 'window.frog-cold', 'cold'),
  whenTemperature(o => isPlug(o) && colder(o, MANNER[o.conditions.lure].worksFromC!), 'window.topwater-cold', 'cold'),
  o => {
    if (!isPlug(o) || !inHighSun(o) || isShaded(o)) return null
    const { cover, waterM } = o.conditions
    // Over shallow cover a fish that holds in it still comes up; over open water it has gone down.
    const gone = seesFar(o) && (cover?.kind === 'open' || cover?.kind === 'ledge') && (waterM === null || waterM > 2)
    return { gate: gone ? 'light' : null, says: plainly('window.topwater-noon') }
  },
  when(o => isFrog(o) && inHighSun(o) && o.conditions.cover?.kind === 'open', 'window.frog-open', 'light'),
  when(o => !typeIn(o).bottom && isOnBeds(o), 'window.on-beds', 'beds'),
  when(o => is(o, 'swim-jig') && o.conditions.phase === 'spawn' && !isOnBeds(o), 'window.swim-jig-beds'),
  when(o => is(o, 'swim-jig') && warmer(o, 24), 'window.swim-jig-warm'),
  when(o => is(o, 'swim-jig') && isDirty(o), 'window.swim-jig-dirty'),
  when(
    o => is(o, 'swim-jig') && o.conditions.phase === 'autumn' && shareOf(o.conditions.prey.shares, 'shad') > 0.4,
    'window.swim-jig-shad',
  ),
  when(
    o => is(o, 'spinnerbait') && seesFar(o) && o.grades.windy < 0.3 && o.grades.sunny > 0.5,
    'window.spinnerbait-clear',
  ),
  when(
    o => is(o, 'spinnerbait') && o.conditions.background === 'green-weed' && o.grades.clear > 0.5,
    'window.spinnerbait-grass',
  ),
  when(o => is(o, 'jigging-spoon') && warmer(o, 13), 'window.spoon-warm', 'warm'),
  when(o => is(o, 'jerkbait') && isDirty(o) && !isMud(o), 'window.jerkbait-dirty'),
  when(o => is(o, 'jerkbait') && isMud(o), 'window.jerkbait-dirty', 'clarity'),
  whenTemperature(o => o.conditions.phase === 'spawn' && colder(o, 9), 'window.cold-for-spawn'),
  whenTemperature(o => o.conditions.phase === 'winter' && warmer(o, 20), 'window.warm-for-winter'),
  o => (waterTooShallowOrDeep(o) ? null : outsideItsDepths(o)),
  when(o => typeIn(o).salt && o.conditions.salinity === 'fresh', 'window.inshore-in-fresh', 'salinity'),
  when(o => typeIn(o).bottom && o.conditions.background === 'open' && o.grades.clear > 0.5, 'window.say-the-bottom'),
]
/** What is said of a request and not of the lure: it tells nothing about which lure to fish. */
const OF_THE_REQUEST: readonly string[] = ['window.cold-for-spawn', 'window.warm-for-winter', 'window.say-the-bottom']

/** Where the lure is outside its window, in the order in which it is said. */
export const windowsOf = (o: Occasion): Window[] => WINDOWS.map(rule => rule(o)).filter(w => w !== null)

/** The same, of what speaks against the lure alone. */
export const againstLure = (o: Occasion): Window[] => windowsOf(o).filter(w => !OF_THE_REQUEST.includes(w.says.code))
