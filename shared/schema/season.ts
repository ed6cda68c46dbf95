import Joi from 'joi'
import { LEVELS } from '#core/season-learning/effect'
import type { SeasonAnswer, SeasonAsk } from '#core/season-learning/season'
import type { LoggedTrip, Stint } from '#core/season-learning/log'
import { SCHOOL_IDS } from '#core/words/schools'
import { SENTENCE_CODES } from '#core/words/sentence'
import { momentSchema, uuidSchema } from '#shared/schema/fields'
import { requestSchema } from '#shared/schema/request'
import { VOCABULARY } from '#shared/vocabulary'

/** What one question about a log may hold in all. */
export const SEASON_LIMITS = {
  trips: 500,
  stints: 20_000,
  bites: 50_000,
  finishes: 60,
  anglers: 2,
  rankings: 2000,
} as const
/** A trip is over within two days, minutes. */
const LONGEST_MIN = 2880

const unknown = (name: string) => ({
  'object.unknown': `${name} holds a field Piscator does not know. Take it out or check its spelling.`,
})
const between = (name: string, least: number, most: number) =>
  Joi.number().strict().min(least).max(most).label(name).messages({
    'number.min': '{{#label}} cannot be less than {{#limit}}.',
    'number.max': '{{#label}} cannot be more than {{#limit}}.',
  })
const whole = (name: string, least: number, most: number) =>
  Joi.number().strict().integer().min(least).max(most).label(name).messages({
    'number.min': '{{#label}} cannot be less than {{#limit}}.',
    'number.max': '{{#label}} cannot be more than {{#limit}}.',
  })
const minutes = (name: string) => between(name, 0, LONGEST_MIN)
const id = (name: string) => Joi.string().min(1).max(80).label(name)
const yesNo = (name: string) => Joi.boolean().strict().label(name)

/** A finish is one of its lure's, or one of the angler's own. */
const hangsTogether = (value: Stint, helpers: Joi.CustomHelpers) => {
  if (value.toMin <= value.fromMin) return helpers.error('stint.order')
  return value.finishId.startsWith(`${value.lure}.`) ? value : helpers.error('stint.finish')
}

const stintSchema = Joi.object<Stint>({
  who: whole('Who it was', 0, SEASON_LIMITS.anglers - 1).required(),
  rod: whole('The rod', 0, 11).required(),
  lure: Joi.string()
    .valid(...VOCABULARY.lure)
    .label('The lure')
    .required(),
  finishId: id('The finish').required(),
  spot: id('The spot').allow(null).required(),
  depthM: between('The depth', 0, 60).allow(null).default(null),
  fromMin: minutes('The start').required(),
  toMin: minutes('The end').required(),
  pausedMin: minutes('The pauses').default(0),
  casts: whole('The casts', 0, 10_000).allow(null).default(null),
  bites: Joi.array().items(minutes('A bite')).max(500).label('The bites').required(),
  landed: whole('The fish landed', 0, 500).default(0),
  drawn: yesNo('Whether the order was drawn').default(false),
  block: whole('The block', 1, 1000).allow(null).default(null),
  asked: requestSchema.label('What it was fished in').allow(null).default(null),
})
  .custom(hangsTogether)
  .label('A stint')
  .messages({
    ...unknown('A stint'),
    'stint.order': 'A stint ends before it begins. Put the earlier time first.',
    'stint.finish': 'A stint has a finish of another lure. Name one of its own.',
  })

/** Trips without their stints: those are many, and are held to their schema a trip at a time. */
export const tripSchema = Joi.object<LoggedTrip>({
  id: uuidSchema('The trip').required(),
  water: id('The water').allow(null).required(),
  startedAt: momentSchema('The start').required(),
  endedAt: momentSchema('The end').required(),
  castsCounted: yesNo('Whether casts were counted').required(),
  asItHappened: yesNo('Whether it was noted as it happened').required(),
  asked: requestSchema.label('What the trip was fished in').required(),
  stints: Joi.array().items(stintSchema).max(2000).label('The stints').required(),
})
  .label('A trip')
  .messages(unknown('A trip'))

const level = Joi.string()
  .valid(...LEVELS)
  .label('A level')
const shell = {
  version: Joi.string().valid('1').label('The version').required(),
  levels: Joi.array().items(level).unique().max(LEVELS.length).label('The levels'),
  asOf: momentSchema('The moment it is asked for'),
  units: Joi.string()
    .valid(...VOCABULARY.units)
    .label('Units'),
}

/** More than one question may hold in all. */
const tooMuch = (value: SeasonAsk, helpers: Joi.CustomHelpers) => {
  const stints = value.trips.flatMap(t => t.stints)
  if (stints.length > SEASON_LIMITS.stints) return helpers.error('season.stints')
  if (stints.reduce((n, s) => n + s.bites.length, 0) > SEASON_LIMITS.bites) return helpers.error('season.bites')
  if (new Set(stints.map(s => s.finishId)).size > SEASON_LIMITS.finishes) return helpers.error('season.finishes')
  return value
}
const TOO_MUCH = {
  'season.stints': `More than ${SEASON_LIMITS.stints} stints. Ask about fewer trips.`,
  'season.bites': `More than ${SEASON_LIMITS.bites} bites. Ask about fewer trips.`,
  'season.finishes': `More than ${SEASON_LIMITS.finishes} finishes. Ask about fewer trips.`,
}

/** `POST /api/v1/season`, whole: what the description tells. */
export const seasonSchema = Joi.object<SeasonAsk>({
  ...shell,
  trips: Joi.array().items(tripSchema).max(SEASON_LIMITS.trips).label('The trips').required(),
})
  .custom(tooMuch)
  .label('The request')
  .messages({ ...unknown('The request'), ...TOO_MUCH })

const number = () => Joi.number().required()
const text = () => Joi.string().required()
const said = Joi.object({
  code: Joi.string()
    .valid(...SENTENCE_CODES)
    .required(),
  params: Joi.object().unknown().required(),
  text: text(),
})
const share = () => Joi.number().min(0).max(1).required()
export const seasonAnswerSchema = Joi.object<SeasonAnswer>({
  version: Joi.string().valid('1').required(),
  engine: text(),
  used: Joi.object({
    trips: Joi.number().integer().required(),
    bites: Joi.number().integer().required(),
    comparedBites: Joi.number().integer().required(),
    leftOut: Joi.array()
      .items(Joi.object({ tripId: text(), why: Joi.string().valid('not-as-it-happened').required() }))
      .required(),
  }).required(),
  effects: Joi.array()
    .items(
      Joi.object({
        level: level.required(),
        id: text(),
        within: Joi.string()
          .allow(null, '')
          .required()
          .description('the lure, or the water, among whose like it is held'),
        times: number().description('how much better than its fellows'),
        low: number(),
        high: number().description('eight in ten between'),
        chanceBetter: share(),
        priorTimes: number().description('what the engine would have said before the log'),
        plainTimes: Joi.number().allow(null).required().description('by bites an hour alone'),
        hours: number(),
        bites: Joi.number().integer().required(),
        comparedBites: Joi.number().integer().required(),
        moreBites: Joi.number().integer().allow(null).required().description("to be sure; null: more than a season's"),
        says: said.allow(null).required(),
      }),
    )
    .required(),
  perHour: Joi.object().unknown().required().description('bites an hour by water: best, low, high'),
  hotDays: Joi.object({ sdLn: number() }).required(),
  weights: Joi.object({
    slope: Joi.object({ mean: number(), sd: number() }).required(),
    evidence: number(),
    earned: Joi.boolean().required(),
    leaned: share(),
    schools: Joi.array()
      .items(
        Joi.object({
          id: Joi.string()
            .valid(...SCHOOL_IDS)
            .required(),
          delta: number(),
          sd: number(),
          shift: number(),
          evidenceBites: number(),
          priorBites: number(),
          togetherWith: Joi.array().items(Joi.string()).required(),
        }),
      )
      .required(),
  }).required(),
  says: Joi.array().items(said).required(),
})
