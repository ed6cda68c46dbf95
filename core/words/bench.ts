import { PHASE_WORDS, type Phase } from '#core/season/phase'
import { FORAGE, type Forage } from '#core/prey/forage'
import { TINTS, type TintId } from '#core/water/tints'
import { type Speech, cap, lowerFirst, tintWord } from '#core/words/wording'

const of100 = (share: number) => Math.round(100 * share)
const tone = (contrast: number) => (contrast < 0 ? 'darker' : 'brighter')
/** A contrast as an angler may take it in. */
const standing = (contrast: number) => {
  const c = Math.abs(contrast)
  const much = c < 0.05 ? 'hardly' : c < 0.15 ? 'a little' : c < 0.4 ? 'clearly' : 'far'
  return `${much} ${tone(contrast)} than the water behind it`
}

/** What the bench says of its bar and its questions. Names are as in the catalogue, ranges in m. */
export const BENCH_WORDS = {
  'bench.why': (p: { name: string; places: number; sooner: boolean; contrast: number; goneM: number }, s: Speech) =>
    `${p.name} went ${p.places} places ${p.sooner ? 'sooner' : 'later'} than you said, at ${s.length(p.goneM)}: ` +
    `a foot off it is ${standing(p.contrast)}.`,
  'drill.first': (
    p: {
      tint: TintId
      visibilityM: number
      name: string
      goneM: number
      next: string
      nextM: number
      contrast: number
    },
    s: Speech,
  ) =>
    `${p.name} is lost at ${s.length(p.goneM)}, ${lowerFirst(p.next)} at ${s.length(p.nextM)}: ` +
    `in this ${tintWord(p.tint)} water it is ${standing(p.contrast)}.`,
  'drill.same': (p: { names: readonly [string, string]; other: string; apart: number; otherApart: number }) =>
    `${p.names[0]} and ${lowerFirst(p.names[1])} are ${p.apart.toFixed(1)} steps apart to this fish, less than the ` +
    `one it needs; ${lowerFirst(p.other)} is ${p.otherApart.toFixed(1)} away.`,
  'drill.jar': (p: { tint: TintId }) => `${cap(TINTS[p.tint].name)}. ${cap(TINTS[p.tint].sign)}.`,
  'drill.disc': (p: { tint: TintId; whiteM: number; blackM: number }, s: Speech) =>
    `White lost at ${s.length(p.whiteM)}, black at ${s.length(p.blackM)}: ${tintWord(p.tint)} does that.`,
  'drill.tie-on': (p: { name: string; score: number; next: string; nextScore: number; because: string }) =>
    `${p.name} has ${of100(p.score)} of 100, ${lowerFirst(p.next)} ${of100(p.nextScore)}. ${p.because}`,
  'drill.phase': (p: { phase: Phase; temperatureC: number; rising: boolean }, s: Speech) =>
    `${cap(PHASE_WORDS[p.phase])}: ${s.temperature(p.temperatureC)} and ` +
    `${p.rising ? 'rising' : 'falling'}. The same temperature means another thing on the way down.`,
  'drill.food': (p: { kind: Forage; share: number }) =>
    `${cap(FORAGE[p.kind].plural)}, ${of100(p.share)} in 100: ` +
    'what is seen on the day counts more than the calendar.',
} as const
