import type { DrillTopic } from '#core/words/drills'
import { uniformFrom } from '#core/numeric/uniform'
import type { LureId } from '#core/lure/types'
import { jarColour } from '#core/picture/jar'
import { CLUES, type Clue, preyOdds } from '#core/prey/odds'
import type { Forage } from '#core/prey/forage'
import type { Judged } from '#core/ranking/judge'
import { rank } from '#core/ranking/recommend'
import { readingColumn, vanishingDepthM, waterFromReading } from '#core/reading/disc'
import type { Request } from '#core/request/request'
import { type Phase, SEASONS, inferPhase } from '#core/season/phase'
import { apartJnd } from '#core/sight/measure'
import type { Srgb } from '#core/spectrum/colour'
import { TINTS, type TintId } from '#core/water/tints'
import { type Sentence, say } from '#core/words/sentence'
import type { UnitSystem } from '#core/units'

/** What can be chosen: a finish, a pair of finishes by letters, a jar, a tint, a phase or a food. */
export type DrillOption =
  | { kind: 'finish'; finishId: string }
  | { kind: 'pair'; places: readonly [number, number] }
  | { kind: 'tint'; tint: TintId }
  | { kind: 'phase'; phase: Phase }
  | { kind: 'food'; food: Forage }

/** What is asked about, to be put in words and drawn by whoever asks. */
export type DrillFacts =
  | { kind: 'scene'; request: Request; finishIds: string[] }
  | { kind: 'jar'; colour: Srgb; visibilityM: number }
  | { kind: 'discs'; whiteM: number; blackM: number }
  | { kind: 'season'; temperatureC: number; rising: boolean }
  | { kind: 'clues'; species: Request['species']; phase: Phase; clues: Clue[] }

/** One question with its answer by the engine, and how plain that answer is. */
export interface Drill {
  topic: DrillTopic
  seed: number
  facts: DrillFacts
  options: DrillOption[]
  /** Place of the right one among the options. */
  right: number
  /** How far the right one is from the next, in the topic's own measure; 1 is the least that is asked. */
  margin: number
  because: Sentence
}

/** How plain an answer must be to be asked, by level: 0 for who begins, 1 for who is seldom wrong. */
const MARGINS = {
  /** Range of the first to go beside the next. */
  first: [0.75, 0.92],
  /** Just-noticeable steps within the pair, and from it to the third. */
  within: 0.75,
  // More than two: what is within one step of a third look could otherwise be called the same by way of it.
  beyond: [3, 2.1],
  /** Score over the next. */
  score: [0.14, 0.05],
  /** sRGB distance between two jars. */
  jar: [70, 34],
  /** Depth of black beside white, as a factor between two tints. */
  disc: [1.5, 1.2],
  /** Degrees by which a temperature is clear of the next phase. */
  degrees: 2,
  /** Share of a food beside the next. */
  food: [3, 1.6],
} as const
const between = ([easy, hard]: readonly [number, number], level: number) => easy + (hard - easy) * level

/** Tries at drawing a question that is no toss-up before its margins are the plainest. */
const TRIES = 60

type Draw = () => number
const TINT_IDS = Object.keys(TINTS) as TintId[]
const oneOf = <T>(draw: Draw, list: readonly T[]): T => list[Math.floor(draw() * list.length)]!
function some<T>(draw: Draw, list: readonly T[], n: number): T[] {
  const left = [...list]
  return Array.from({ length: Math.min(n, left.length) }, () => left.splice(Math.floor(draw() * left.length), 1)[0]!)
}
const toTwentieth = (v: number) => Math.round(v * 20) / 20

/** Lures whose finishes are looked at level, one body each: what is asked about them can be shown. */
const DRILL_LURES: readonly LureId[] = ['jerkbait', 'shallow-crankbait', 'lipless-crankbait', 'swimbait', 'spinnerbait']
const SKIES = ['clear', 'partly', 'overcast'] as const

function sceneOf(draw: Draw, tint: TintId, range: readonly [number, number], fishM?: number): Request {
  const [low, high] = range
  return {
    lure: oneOf(draw, DRILL_LURES),
    species: oneOf(draw, ['largemouth-bass', 'smallmouth-bass', 'crappie'] as const),
    water: {
      visibilityM: toTwentieth(low * (high / low) ** draw()),
      tint,
      temperatureC: Math.round(10 + 14 * draw()),
    },
    light: { sky: oneOf(draw, SKIES), sunElevationDeg: Math.round(25 + 35 * draw()) },
    background: 'open',
    ...(fishM === undefined ? {} : { fishM }),
  } as Request
}

/** Threes drawn from one ranking before another scene is. */
const THREES = 25
function threeOf<T>(draw: Draw, ranked: readonly T[], plain: (three: T[]) => boolean): T[] | null {
  for (let i = 0; i < THREES; i++) {
    const three = some(draw, ranked, 3)
    if (plain(three)) return three
  }
  return null
}

type Made = Omit<Drill, 'topic' | 'seed'> | null
const CLARITY: Partial<Record<TintId, readonly [number, number]>> = { 'blue-clear': [2.5, 6], 'brown': [0.25, 0.8] }

/** Which of three goes first, looked at level? */
function first(tint: TintId) {
  return (draw: Draw, level: number): Made => {
    const request = sceneOf(draw, tint, CLARITY[tint] ?? [0.4, 1.6])
    const { ranked } = rank(request)
    const limit = between(MARGINS.first, level)
    const range = (m: Judged) => m.sight.level.sightM
    const byRange = (three: Judged[]) => [...three].sort((a, b) => range(a) - range(b))
    const three = threeOf(draw, ranked, all => {
      const [soon, next] = byRange(all)
      return range(soon!) > 0.05 && range(soon!) / range(next!) <= limit
    })
    if (!three) return null
    const [soon, next] = byRange(three)
    const [goneM, nextM] = [range(soon!), range(next!)]
    return {
      facts: { kind: 'scene', request, finishIds: three.map(m => m.finish.id) },
      options: three.map(m => ({ kind: 'finish', finishId: m.finish.id })),
      right: three.indexOf(soon!),
      margin: limit / (goneM / nextM),
      because: {
        code: 'drill.first',
        params: {
          tint,
          visibilityM: request.water.visibilityM!,
          name: soon!.finish.name,
          goneM,
          next: next!.finish.name,
          nextM,
          contrast: soon!.sight.level.contrastBite,
        },
      },
    }
  }
}

const PAIRS = [
  [0, 1],
  [0, 2],
  [1, 2],
] as const

/** Which two of three would this fish call the same? */
function same(fishM: number) {
  return (draw: Draw, level: number): Made => {
    const tint = oneOf(draw, TINT_IDS)
    const request = sceneOf(draw, tint, [0.5, 3], fishM)
    const { ranked } = rank(request)
    const one = oneOf(draw, ranked)
    const twin = ranked.find(m => m !== one && apartJnd(one, m) < MARGINS.within)
    const beyond = between(MARGINS.beyond, level)
    const third =
      twin && some(draw, ranked, ranked.length).find(m => apartJnd(one, m) > beyond && apartJnd(twin, m) > beyond)
    if (!twin || !third) return null
    const three = some(draw, [one, twin, third], 3)
    const right = PAIRS.findIndex(([a, b]) => three[a] !== third && three[b] !== third)
    const [a, b] = PAIRS[right]!
    const otherApart = Math.min(apartJnd(one, third), apartJnd(twin, third))
    return {
      facts: { kind: 'scene', request, finishIds: three.map(m => m.finish.id) },
      options: PAIRS.map(places => ({ kind: 'pair', places })),
      right,
      margin: otherApart / beyond,
      because: {
        code: 'drill.same',
        params: {
          names: [three[a]!.finish.name, three[b]!.finish.name],
          other: third.finish.name,
          apart: apartJnd(one, twin),
          otherApart,
        },
      },
    }
  }
}

const apartRgb = (a: Srgb, b: Srgb) => Math.hypot(...a.map((v, i) => v - b[i]!))

/** Which water is in this jar? */
function jar(draw: Draw, level: number): Made {
  const tints = some(draw, TINT_IDS, 3)
  const tint = tints[0]!
  const visibilityM = toTwentieth(0.3 * (1.5 / 0.3) ** draw())
  const colours = tints.map(t => jarColour(t, visibilityM))
  const nearest = Math.min(...colours.slice(1).map(c => apartRgb(colours[0]!, c)))
  const limit = between(MARGINS.jar, level)
  // What is in the pictured jars of the picker must be as far from it: they are what it is compared with.
  const shown = Math.min(...tints.slice(1).map(t => apartRgb(colours[0]!, jarColour(t))))
  if (Math.min(nearest, shown) < limit) return null
  const options = some(draw, tints, 3)
  return {
    facts: { kind: 'jar', colour: colours[0]!, visibilityM },
    options: options.map(t => ({ kind: 'tint', tint: t })),
    right: options.indexOf(tint),
    margin: nearest / limit,
    because: { code: 'drill.jar', params: { tint } },
  }
}

const BLACK = 0.03
/** Depth at which black is lost beside white, in a tint where white is lost at a depth. */
const blackBeside = (tint: TintId, whiteM: number) =>
  vanishingDepthM(readingColumn(waterFromReading(TINTS[tint].recipe, false, whiteM)), BLACK) / whiteM

/** Which water loses white and black where these were lost? */
function disc(draw: Draw, level: number): Made {
  const whiteM = toTwentieth(0.4 * (2 / 0.4) ** draw())
  const limit = between(MARGINS.disc, level)
  const ratios = TINT_IDS.map(tint => ({ tint, ratio: blackBeside(tint, whiteM) }))
  const factorOf = ([it, ...others]: typeof ratios) =>
    Math.min(...others.map(o => Math.exp(Math.abs(Math.log(o.ratio / it!.ratio)))))
  const three = threeOf(draw, ratios, all => factorOf(all) >= limit)
  if (!three) return null
  const factor = factorOf(three)
  const [{ tint, ratio }] = three as [(typeof three)[0]]
  const others = three.slice(1).map(o => o.tint)
  const options = some(draw, [tint, ...others], 3)
  return {
    facts: { kind: 'discs', whiteM, blackM: ratio * whiteM },
    options: options.map(t => ({ kind: 'tint', tint: t })),
    right: options.indexOf(tint),
    margin: factor / limit,
    because: { code: 'drill.disc', params: { tint, whiteM, blackM: ratio * whiteM } },
  }
}

/** Three rods are rigged: what do you tie on? */
function tieOn(range: readonly [number, number]) {
  return (draw: Draw, level: number, units: UnitSystem): Made => {
    const request = sceneOf(draw, oneOf(draw, TINT_IDS), range)
    const { ranked } = rank(request)
    const limit = between(MARGINS.score, level)
    const byScore = (three: Judged[]) => [...three].sort((a, b) => b.score - a.score)
    const three = threeOf(draw, ranked, all => {
      const [best, next] = byScore(all)
      return best!.score >= 0.5 && best!.score - next!.score >= limit
    })
    if (!three) return null
    const [best, next] = byScore(three)
    const strongest = [...best!.because].sort((a, b) => b.effect - a.effect)[0]!
    return {
      facts: { kind: 'scene', request, finishIds: three.map(m => m.finish.id) },
      options: three.map(m => ({ kind: 'finish', finishId: m.finish.id })),
      right: three.indexOf(best!),
      margin: (best!.score - next!.score) / limit,
      because: {
        code: 'drill.tie-on',
        params: {
          name: best!.finish.name,
          score: best!.score,
          next: next!.finish.name,
          nextScore: next!.score,
          because: say(strongest.says(), units),
        },
      },
    }
  }
}

const LATITUDE = 35
/** Which phase is it, by temperature and the way it goes? */
function phase(draw: Draw): Made {
  const rising = draw() < 0.5
  const temperatureC = Math.round(5 + 22 * draw())
  const at = (t: number) =>
    inferPhase({
      species: 'largemouth-bass',
      temperatureC: t,
      dayOfYear: rising ? 110 : 300,
      latitudeDeg: LATITUDE,
    }).phase
  const it = at(temperatureC)
  if ([-MARGINS.degrees, MARGINS.degrees].some(d => at(temperatureC + d) !== it)) return null
  const others = some(
    draw,
    SEASONS.filter(p => p !== it),
    2,
  )
  const options = some(draw, [it, ...others], 3)
  return {
    facts: { kind: 'season', temperatureC, rising },
    options: options.map(p => ({ kind: 'phase', phase: p })),
    right: options.indexOf(it),
    margin: 1,
    because: { code: 'drill.phase', params: { phase: it, temperatureC, rising } },
  }
}

/** What are they eating, by phase and clues? */
function food(draw: Draw, level: number): Made {
  const species = oneOf(draw, ['largemouth-bass', 'smallmouth-bass'] as const)
  const season = oneOf(draw, SEASONS)
  const clues = some(
    draw,
    ['red-throats', 'sunfish-popping', 'bait-flicker', 'birds', 'fry', 'frogs'] as const,
    1 + Math.floor(2 * draw()),
  )
  const { shares } = preyOdds({ species, phases: { [season]: 1 }, salinity: 'fresh', clues })
  const [top, next] = shares
  const limit = between(MARGINS.food, level)
  const others = some(draw, shares.slice(1, 6), 2)
  if (!next || others.length < 2 || top!.share / next.share < limit) return null
  const options = some(draw, [top!, ...others], 3)
  return {
    facts: { kind: 'clues', species, phase: season, clues: [...clues] },
    options: options.map(o => ({ kind: 'food', food: o.kind })),
    right: options.indexOf(top!),
    margin: top!.share / next.share / limit,
    because: { code: 'drill.food', params: { kind: top!.kind, share: top!.share } },
  }
}

const MAKERS: Record<DrillTopic, (draw: Draw, level: number, units: UnitSystem) => Made> = {
  'first.tea': first('tea'),
  'first.brown': first('brown'),
  'first.green': first('green'),
  'first.blue-clear': first('blue-clear'),
  'same.near': same(0.3),
  'same.far': same(0.9),
  'water.jar': jar,
  'water.disc': disc,
  'tie-on.clear': tieOn([2, 5]),
  'tie-on.dirty': tieOn([0.2, 0.6]),
  'phase': phase,
  'food': food,
}

/**
 * A question of a topic, drawn from a seed and graded by the engine; toss-ups are thrown back and drawn again. The same
 * seed, topic and level give the same question.
 * @param level how fine the margins may be, 0 (plain) to 1 (fine)
 * @throws RangeError where no question came in all the tries, which no seed was found to do
 */
export function drillOf(topic: DrillTopic, seed: number, level: number, units: UnitSystem): Drill {
  const draw = uniformFrom(seed)
  for (let i = 0; i < TRIES; i++) {
    const made = MAKERS[topic](draw, Math.min(1, Math.max(0, level)), units)
    if (made) return { topic, seed, ...made }
  }
  throw new RangeError(`no question of ${topic} from seed ${seed}`)
}

/** Words of the clues a question gives. */
export const clueWords = (clues: readonly Clue[]): string[] => clues.map(c => CLUES[c].words)
