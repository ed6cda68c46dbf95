import Joi from 'joi'
import { HEADINGS } from '#core/light-field/lightField'
import { SIDES } from '#core/lure/types'
import { PARTS } from '#core/paintwork/parts'
import type { ReadingsAnswer } from '#core/evidence/answer'
import type { AnswerByReadings } from '#core/ranking/byReadings'
import { COLOUR_MATTERS, OPTICS_VERDICTS, ROLES, type Answer } from '#core/ranking/answer'
import { ADVISORY_KINDS } from '#core/rules/advisories'
import { SCHOOL_IDS } from '#core/words/schools'
import { SENTENCE_CODES } from '#core/words/sentence'
import { VOCABULARY } from '#shared/vocabulary'

const word = (list: readonly string[]) =>
  Joi.string()
    .valid(...list)
    .required()
const text = () => Joi.string().required()
const number = () => Joi.number().required()
const group = (fields: Joi.SchemaMap) => Joi.object(fields).required()
const list = (item: Joi.Schema) => Joi.array().items(item).required()

const bySide = () => group(Object.fromEntries(SIDES.map(s => [s, number().min(0)]))).unit('m')
const params = () => Joi.object().unknown().required().description('what the sentence was worded with, metric')
const code = () => word(SENTENCE_CODES).description('what is said, for programs')
/** A sentence with the code and parameters it was worded from. */
const said = { code: code(), params: params(), text: text() }
const sentence = () => group({ code: code(), params: params() })

const traits = group({
  opacity: word(['translucent', 'opaque']),
  flash: word(['none', 'low', 'high']),
  tone: word(['light', 'mid', 'dark']),
  vivid: Joi.boolean().required(),
  matte: Joi.boolean().required(),
})
const part = Joi.object({ paint: text(), material: text(), words: text() })

export const finishSchema = group({
  id: text(),
  name: text(),
  families: Joi.array()
    .items(Joi.string().valid(...VOCABULARY.family))
    .min(1)
    .max(3)
    .required(),
  traits,
  parts: group(Object.fromEntries(PARTS.map(p => [p, part]))),
}).id('Finish')

const reason = Joi.object({
  school: word(VOCABULARY.school),
  effect: number().description("effects add up to the score's distance from a half"),
  ...said,
  custom: Joi.object({ id: text(), optics: word(OPTICS_VERDICTS) }),
})

const ranked = Joi.object({
  rank: Joi.number().integer().min(1).required(),
  first: Joi.number()
    .min(0)
    .max(1)
    .description('where the water is told by readings: share of the waters they allow in which it comes first'),
  place: Joi.number()
    .integer()
    .min(1)
    .required()
    .description("the rank, shared by finishes whose scores lie within the engine's own noise"),
  finish: finishSchema,
  score: number().min(0).max(1),
  sightingRangeM: bySide().description('first seen, metres, by the side the fish looks from'),
  levelRangeM: group(Object.fromEntries(HEADINGS.map(h => [h, number().min(0)])))
    .unit('m')
    .description('level range to a fish that looks towards the sun, across it and away from it, metres'),
  colourRangeM: bySide().description('colour told, metres'),
  anglerSightM: number()
    .min(0)
    .allow(null)
    .unit('m')
    .description('how far across the water the angler can follow it, metres; null but for surface lures'),
  flash: number().min(0).max(1),
  naturalness: number().min(0).max(1),
  stances: group(Object.fromEntries(SCHOOL_IDS.map(id => [id, number().min(-1).max(1)]))),
  reasons: list(reason),
})

const share = () => number().min(0).max(1)

/** The answer of `POST /api/v1/readings`. */
export const readingsAnswerSchema = Joi.object<ReadingsAnswer>({
  visibilityM: group({ best: number().min(0), low: number().min(0), high: number().min(0) })
    .unit('m')
    .description('white-disc depth, metres: 50th, 5th and 95th percentile'),
  tints: list(Joi.object({ tint: word(VOCABULARY.tint), odds: share() })).length(VOCABULARY.tint.length),
  conflicts: list(Joi.object({ paths: list(Joi.string()).min(1), ...said })).description(
    'readings that no one water explains',
  ),
  thinned: Joi.array()
    .items(Joi.object({ path: text(), ...said }))
    .description('long casts of a light meter of which some samples alone were worked at; absent where there are none'),
  next: group({ kind: text(), target: Joi.string().valid('white', 'black'), why: text() }).description(
    'the reading that would tell most',
  ),
})

/** The answer of `POST /api/v1/recommendations`. Not checked at run time: the tests hold the engine to it. */
export const answerSchema = Joi.object<Answer | AnswerByReadings>({
  version: Joi.string().valid('1').required(),
  sure: Joi.number()
    .min(0)
    .max(1)
    .description('by readings: share of the waters in which the first pick comes first or shares its place'),
  water: readingsAnswerSchema.optional().description('by readings: which water it is'),
  ranked: list(ranked),
  closeCall: Joi.object({ finishIds: list(Joi.string()).min(2), ...said })
    .allow(null)
    .required()
    .description('finishes that share the first place, and what settles between them'),
  rotation: list(
    Joi.object({
      role: word(ROLES),
      finishId: text(),
      finish: finishSchema,
      why: text(),
      when: text(),
      says: group({ why: sentence(), when: sentence() }),
    }),
  ).length(ROLES.length),
  lookAlikes: list(Joi.array().items(Joi.string()).min(2)).description('groups a fish cannot tell apart here'),
  disagreements: list(
    Joi.object({
      between: list(Joi.string().valid(...SCHOOL_IDS)).length(2),
      picks: list(Joi.string()).length(2),
      text: text(),
      optics: text(),
      when: text().description('when to take which side'),
      says: group({ text: sentence(), optics: sentence(), when: sentence() }),
    }),
  ),
  turning: Joi.object(said)
    .allow(null)
    .required()
    .description('where the way the fish looks decides between two of the best'),
  colourMatters: group({ level: word(COLOUR_MATTERS), ...said }),
  assumed: list(
    Joi.object({ path: text(), value: Joi.any().required(), because: text(), code: code(), params: params() }),
  ),
  advisories: list(Joi.object({ kind: word(ADVISORY_KINDS), ...said })),
  boatSide: Joi.object(said)
    .allow(null)
    .required()
    .description('what to look for when the first pick is let down beside the boat'),
  next: Joi.object(said).required().description('what to change after colour'),
  dressUps: list(Joi.object({ finishId: text(), ...said, gain: number().min(0), part: word(PARTS), coat: text() })),
})
