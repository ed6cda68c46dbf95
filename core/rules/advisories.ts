import { species } from '#core/eye/species'
import { can, colder, is, isDirty, isFrog, isPlug, seesFar, typeIn, warmer } from '#core/rules/occasion'
import { windowsOf } from '#core/rules/windows'
import type { Moment } from '#core/schools/school'
import { hearsHigher } from '#core/senses/hearing'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import { type LineId, lineSightM } from '#core/sight/line'
import { FELT_M } from '#core/sight/view'
import { type PlainCode, type Sentence, plainly } from '#core/words/sentence'

export const ADVISORY_KINDS = ['lure-window', 'sound', 'size', 'line', 'retrieve', 'safety'] as const
export type AdvisoryKind = (typeof ADVISORY_KINDS)[number]

/** What goes with colour in a moment, or null where it does not apply. */
type Rule = (m: Moment) => Sentence | null

/** A sentence that needs nothing but its moment. */
const when =
  (applies: (m: Moment) => boolean, code: PlainCode): Rule =>
  m =>
    applies(m) ? plainly(code) : null
/** A sentence about the temperature; only where there is one. */
const whenTemperature =
  (applies: (m: Moment) => boolean, code: 'safety.cold' | 'safety.cold-stun' | 'safety.warm-release'): Rule =>
  m =>
    m.conditions.temperatureC !== null && applies(m)
      ? { code, params: { temperatureC: m.conditions.temperatureC } }
      : null

const seesLittle = (m: Moment) => isDirty(m) || m.grades.night > 0.5
const isInWeed = (m: Moment) => BACKGROUNDS[m.conditions.background].kind === 'weed'
const isOverWeed = (m: Moment) => ['green-weed', 'brown-weed'].includes(m.conditions.background)
/** Where nobody wades, whatever the depth. */
const isBoatOnly = (m: Moment) => m.conditions.waterM !== null && m.conditions.waterM > 1.5
/** Fish that are often kept to eat, as black bass seldom are. */
const oftenKept = (m: Moment) => !m.conditions.species.endsWith('th-bass') && m.conditions.species !== 'spotted-bass'
const tideRuns = (m: Moment) => m.conditions.tide === 'rising' || m.conditions.tide === 'falling'

/** Where the water is being left by warmth: a front has gone through, or the year is going down. */
const isFalling = (m: Moment) => m.conditions.trend === 'falling'
const isNight = (m: Moment) => m.grades.night > 0.5
/** Cold enough that nothing chases: below this, °C, black bass and their like take what hardly moves. Ours. */
const SLUGGISH_C = 12
const isSluggish = (m: Moment) => colder(m, SLUGGISH_C)
const isSlow = (m: Moment) => typeIn(m).pace === 'slow'
const isWary = (m: Moment) => m.conditions.pressure === 'high'

const isShallowWading = (m: Moment) => m.conditions.depthM < 1.2

/** The first of several rules that has something to say: one sentence of a kind, not two that quarrel. */
const firstOf =
  (...rules: Rule[]): Rule =>
  m => {
    for (const rule of rules) {
      const sentence = rule(m)
      if (sentence) return sentence
    }
    return null
  }
/** Only of lures that make a sound that can be chosen. */
const SOUND: readonly Rule[] = [
  firstOf(
    when(m => can(m, 'rattles') && isFalling(m) && !seesLittle(m), 'sound.front'),
    when(m => can(m, 'rattles') && seesLittle(m), 'sound.loud'),
    when(m => can(m, 'spins') && seesLittle(m), 'sound.thump'),
    when(m => can(m, 'rattles') && seesFar(m) && m.conditions.wind === 'calm', 'sound.silent'),
    when(m => can(m, 'rattles') && isWary(m), 'sound.knock'),
    when(m => can(m, 'rattles') && hearsHigher(m.conditions.species) && warmer(m, 18), 'sound.drums'),
  ),
]

const SIZE: readonly Rule[] = [
  firstOf(
    when(m => isFalling(m) && !isDirty(m), 'size.smaller-falling'),
    when(m => isDirty(m) && !is(m, 'crappie-jig') && !(isSlow(m) && isSluggish(m)) && !isFalling(m), 'size.bigger'),
    when(m => seesFar(m) && isWary(m), 'size.smaller'),
  ),
]

/** A leader is worth its knot where it shows from this much less far than the braid that shows least. */
const WORTH_A_KNOT = 0.8

/**
 * How near a fish comes to look, as a share of the distance at which it usually decides: what hangs there is looked at
 * from close by, what rushes past is not. Ours.
 */
const INSPECTED = { slow: 0.3, steady: 0.6, fast: 1 } as const
/** However far it sees, it comes this near to what is slow or steady before it takes it, m. Ours. */
const NEARER_M = { slow: 0.3, steady: 0.7, fast: Infinity } as const

/** One sentence on the line, after the same optics: from how far each shows beside the lure. */
const LINE: readonly Rule[] = [
  m => {
    const shows = (id: LineId) => lineSightM(m.scene, id)
    const params = {
      greenBraidM: shows('green-braid'),
      yellowBraidM: shows('yellow-braid'),
      redBraidM: shows('red-braid'),
      leaderM: shows('leader'),
    }
    const cover = isInWeed(m) || m.conditions.canopy === 'mat'
    if (cover) return { code: 'line.cover', params }
    const braidM = Math.min(params.greenBraidM, params.yellowBraidM, params.redBraidM)
    if (braidM < FELT_M) return plainly('line.hidden')
    const { pace } = typeIn(m)
    const inspectedM = Math.min(NEARER_M[pace], INSPECTED[pace] * m.conditions.fishM)
    const inspected = braidM > inspectedM && params.leaderM < WORTH_A_KNOT * braidM
    return { code: inspected ? 'line.leader' : 'line.braid', params }
  },
]

const isOnBeds = (m: Moment) => m.conditions.phase === 'spawn' && species(m.conditions.species).nests

const isLit = (m: Moment) => m.conditions.lamps && m.grades.night > 0.3

const RETRIEVE: readonly Rule[] = [
  firstOf(
    when(m => isLit(m) && typeIn(m).salt, 'retrieve.shadow-line'),
    when(isFrog, 'retrieve.frog'),
    when(isPlug, 'retrieve.topwater'),
    when(m => is(m, 'swim-jig'), 'retrieve.swim-jig'),
    when(m => is(m, 'jigging-spoon'), 'retrieve.lift'),
    when(m => typeIn(m).bottom && isOnBeds(m), 'retrieve.beds'),
    when(m => typeIn(m).bottom, 'retrieve.fall'),
    when(m => is(m, 'crappie-jig'), 'retrieve.hold'),
    when(tideRuns, 'retrieve.tide'),
    when(m => is(m, 'jerkbait', 'inshore-twitchbait'), 'retrieve.pause'),
    when(m => is(m, 'deep-crankbait'), 'retrieve.knock-along'),
    when(m => isSluggish(m) || isFalling(m), 'retrieve.slower'),
    when(isNight, 'retrieve.night'),
    when(isDirty, 'retrieve.cover-water'),
    when(m => typeIn(m).pace === 'fast' && seesFar(m), 'retrieve.faster'),
    when(m => typeIn(m).pace !== 'fast', 'retrieve.slow-steady'),
  ),
]

/** Cautions, only where they apply, in one line each (field guide section 8). */
const SAFETY: readonly Rule[] = [
  when(m => m.conditions.sky === 'rain', 'safety.storm'),
  whenTemperature(m => colder(m, 15), 'safety.cold'),
  when(m => m.grades.night > 0.3, 'safety.night'),
  when(m => m.conditions.salinity !== 'fresh' && isShallowWading(m) && !isBoatOnly(m), 'safety.wading'),
  when(tideRuns, 'safety.tide'),
  whenTemperature(m => colder(m, species(m.conditions.species).stunnedUnderC ?? -Infinity), 'safety.cold-stun'),
  whenTemperature(m => warmer(m, species(m.conditions.species).weakOverC), 'safety.warm-release'),
  when(m => m.conditions.phase === 'spawn' && species(m.conditions.species).nests, 'safety.nests'),
  when(m => m.grades.sunny > 0.7 && m.grades.night < 0.1, 'safety.glare'),
  when(m => can(m, 'trebles'), 'safety.trebles'),
  when(m => can(m, 'lead'), 'safety.lead'),
  when(m => m.conditions.salinity === 'fresh' && (isOverWeed(m) || m.conditions.canopy === 'mat'), 'safety.drain'),
  when(m => !typeIn(m).surface && oftenKept(m), 'safety.keeping'),
]

const RULES: Record<Exclude<AdvisoryKind, 'lure-window'>, readonly Rule[]> = {
  sound: SOUND,
  size: SIZE,
  line: LINE,
  retrieve: RETRIEVE,
  safety: SAFETY,
}

export interface Advice {
  kind: AdvisoryKind
  sentence: Sentence
}

/** The cautions of a moment alone. */
export const cautionsOf = (moment: Moment): Sentence[] => SAFETY.map(rule => rule(moment)).filter(s => s !== null)

/** What goes with colour, and cautions, each only where it applies. */
export function advisoriesOf(moment: Moment): Advice[] {
  return ADVISORY_KINDS.flatMap((kind): Advice[] => {
    if (kind === 'lure-window') return windowsOf(moment).map(({ says }) => ({ kind, sentence: says }))
    return RULES[kind].flatMap(rule => {
      const sentence = rule(moment)
      return sentence ? [{ kind, sentence }] : []
    })
  })
}
