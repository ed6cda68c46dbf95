import { type DayAnswer, dayAnswer } from '#core/day/answer'
import type { DayRequest } from '#core/day/request'
import { dayOf, scoreStep } from '#core/day/scores'
import type { ReadingsAnswer } from '#core/evidence/answer'
import { readWater } from '#core/evidence/readWater'
import { type KitAnswer, type KitAsk, kitOf } from '#core/kit/kit'
import { type KitScene, scoreScene } from '#core/kit/scenes'
import { useLightTable } from '#core/light-field/table'
import type { Answer } from '#core/ranking/answer'
import { type AnswerByReadings, type RequestByReadings, recommendByReadings } from '#core/ranking/byReadings'
import { recommend } from '#core/ranking/recommend'
import type { Reading } from '#core/request/readings'
import type { Request } from '#core/request/request'
import { askedIn } from '#core/season-learning/prepared'
import { type SeasonAnswer, type SeasonAsk, seasonOf } from '#core/season-learning/season'
import { standsIn } from '#core/season-learning/stands'
import { type TrialSpell, type SpellOfTwo, trialOrder, trialOrderOfTwo } from '#core/trial/order'
import { type Block, type Verdict, trialVerdict } from '#core/trial/verdict'
import type { UnitSystem } from '#core/units'
import { type LuresAnswer, luresHere } from '#core/which-lure/answer'
import type { LuresRequest } from '#core/which-lure/request'

/** Readings of one water, and in which light and salt they were taken. */
export interface ReadWaterAsk {
  readings: readonly Reading[]
  salinity?: Request['water']['salinity']
  units?: UnitSystem
  light?: Request['light']
}
/** A fair test to draw an order for. */
export interface TrialAsk {
  blocks: number
  /** 32 bits: the same seed draws the same order. */
  seed: number
  anglers?: 1 | 2
}

/** What the engine answers. Every entry is deterministic: the same question has the same answer everywhere. */
export interface Engine {
  /**
   * Rank the finishes of a lure.
   * @param request lure, water, light and what else is known; lengths in m, temperatures in °C, angles in degrees
   */
  recommend: (request: Request) => Answer
  /** The same where the water is told by readings: for the likeliest, with how often each is first in those allowed. */
  recommendByReadings: (request: RequestByReadings) => AnswerByReadings
  /**
   * Which water it is.
   * @returns the depth at which a white disc vanishes, m, best and nine times in ten between; odds of the five tints
   */
  readWater: (ask: ReadWaterAsk) => ReadingsAnswer
  /**
   * Plan a day's changes and pack for it; some tenths of a second a lure.
   * @param request date, place, water, hours of weather and rods; clocks are local, costs in score × hours
   */
  planDay: (request: DayRequest) => DayAnswer
  /**
   * The few finishes that cover many scenes best.
   * @param scenes requests with weights, some milliseconds each
   */
  kit: (scenes: readonly KitScene[], ask: KitAsk) => KitAnswer
  /** Which lures here, which not and why; how far each is seen, felt and heard, m. */
  luresHere: (request: LuresRequest) => LuresAnswer
  /** What a log says of finishes, places and the schools' weights; a ranking for each of its half-hours. */
  season: (ask: SeasonAsk) => SeasonAnswer
  /** The order of a fair test, drawn from a seed. */
  trialOrder: (ask: TrialAsk) => (TrialSpell | SpellOfTwo)[]
  /** What the blocks of a fair test say so far: an e-value that may be looked at after each. */
  trialVerdict: (blocks: readonly Block[]) => Verdict
}

/**
 * The engine, with the light table it sees by. A process has one table: an engine made with another takes its place.
 * What works in chunks, to tell how far it is, uses the rooms' own entries (see README.md).
 * @param lightTable bytes of `core/data/light.table`
 */
export function createEngine(lightTable: Uint8Array): Engine {
  useLightTable(lightTable)
  return {
    recommend,
    recommendByReadings,
    readWater: ({ readings, salinity = 'fresh', units = 'metric', light }) =>
      readWater(readings, salinity, units, light),
    planDay(request) {
      const day = dayOf(request)
      const scores = request.lures.map(lane => day.steps.map(step => scoreStep(request, day, step, lane)))
      return dayAnswer(request, day, scores)
    },
    kit: (scenes, ask) =>
      kitOf(
        scenes.map(s => scoreScene(s)),
        ask,
      ),
    luresHere,
    season: ask =>
      seasonOf(
        ask,
        askedIn(ask.trips).map(asked => ({ asked, stands: standsIn(asked) })),
      ),
    trialOrder: ({ blocks, seed, anglers = 1 }) =>
      anglers === 2 ? trialOrderOfTwo(blocks, seed) : trialOrder(blocks, seed),
    trialVerdict,
  }
}
