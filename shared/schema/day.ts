import Joi from 'joi'
import { DAY_REQUEST, type DayRequest } from '#core/day/request'
import type { DayAnswer } from '#core/day/answer'
import { COLOUR_MATTERS } from '#core/ranking/answer'
import { SKIES, WINDS } from '#core/sky/weather'
import { schemaOf } from '#shared/schema/fields'
import { VOCABULARY } from '#shared/vocabulary'

/** The form alone lets the 31st of any month through. */
const inCalendar = (value: DayRequest, helpers: Joi.CustomHelpers) => {
  const ms = Date.parse(`${value.date}T00:00:00Z`)
  const reads = Number.isFinite(ms) && new Date(ms).toISOString().startsWith(value.date)
  if (!reads) return helpers.error('date.calendar')
  const strays = value.lures.some(l => l.finishIds?.some(id => !id.startsWith(`${l.lure}.`)))
  return strays ? helpers.error('finish.stray') : value
}

/** `POST /api/v1/day-plans`. */
export const daySchema = (schemaOf(DAY_REQUEST) as Joi.ObjectSchema<DayRequest>).custom(inCalendar).messages({
  'date.calendar': 'The date is not in the calendar.',
  'finish.stray': 'A lure is given finishes of another lure. Name only its own.',
})

const clock = () => Joi.string().pattern(/^\d\d:\d\d$/)
const word = (words: readonly string[]) => Joi.string().valid(...words)
const list = (fields: Joi.SchemaMap) =>
  Joi.array()
    .items(Joi.object(fields).options({ presence: 'required' }))
    .required()
const lures = word(VOCABULARY.lure)

export const dayAnswerSchema = Joi.object<DayAnswer>({
  sun: Joi.object({
    firstLight: clock().allow(null),
    sunrise: clock().allow(null),
    noon: clock().allow(null),
    sunset: clock().allow(null),
    lastLight: clock().allow(null),
  })
    .required()
    .description('on the clock of the place; null where it does not come on the day'),
  moon: Joi.object({
    rise: clock().allow(null),
    set: clock().allow(null),
    fraction: Joi.number().min(0).max(1).required().description('lit share'),
  }).required(),
  steps: list({
    at: clock(),
    sunElevationDeg: Joi.number(),
    sunBearingDeg: Joi.number(),
    sky: word(Object.keys(SKIES)),
    shadeM: Joi.number().allow(null).description('how far the shadow of the bank reaches out; null without a bank'),
    ashore: Joi.boolean().description('lightning: the step earns nothing'),
    light: Joi.object({
      lux: Joi.number().allow(null).required().description('above the water; null ashore'),
      cloud: Joi.number().required(),
      wind: word(Object.keys(WINDS)).required(),
    }),
    lures: list({
      lure: lures,
      finishId: Joi.string().description('tied on by the plan'),
      score: Joi.number().description('0 ashore'),
      best: Joi.string(),
      matters: word(COLOUR_MATTERS).allow(null),
      tossUp: Joi.boolean().description('another finish that differs in kind scores within 0.03 of the best'),
      scores: Joi.object().unknown().optional().description('by finish, with detail'),
    }),
  }),
  spells: list({
    lure: lures,
    from: clock(),
    to: clock(),
    finishId: Joi.string(),
    why: Joi.string().allow(''),
    gain: Joi.number().description(
      'score × hours beyond what the finish before (for the first: after) would have earned, less the change',
    ),
  }),
  pack: list({
    finishId: Joi.string(),
    lure: lures,
    without: Joi.number().description('what the day loses without it, as a share of its worth with everything'),
  }),
  worth: Joi.object({
    all: Joi.number().required(),
    pack: Joi.number().required(),
    oneEach: Joi.number().required(),
  })
    .required()
    .description('score × hours: with everything, with the pack, with the best one of each lure'),
  cautions: list({ kind: Joi.string(), from: clock(), to: clock(), text: Joi.string() }),
})
