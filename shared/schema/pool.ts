import Joi from 'joi'
import { LEAST_ANGLERS, type Pool, type PoolShare } from '#core/season-learning/pool'
import { COVARIATES } from '#core/season-learning/stands'
import { SCHOOL_IDS } from '#core/words/schools'

/** Shares that may be added up in one question. */
export const MOST_POOLED = 5000
/** No log says more than this, in either direction. */
const MOST_SAID = 1e7

const ONE = { 'object.unknown': '{{#label}} holds a field Piscator does not know. Take it out or check its spelling.' }
const figures = (name: string, count: number) =>
  Joi.array()
    .items(Joi.number().strict().min(-MOST_SAID).max(MOST_SAID).label('A figure'))
    .length(count)
    .label(name)
    .required()
    .messages({ 'array.length': '{{#label}} holds {{#limit}} figures.' })

const poolShareSchema = Joi.object<PoolShare>({
  engine: Joi.string().min(1).max(40).label('The engine').required(),
  comparedBites: Joi.number().strict().integer().min(0).max(100_000).label('The bites compared').required(),
  gradient: figures('The pull', COVARIATES),
  information: figures('The information', (COVARIATES * (COVARIATES + 1)) / 2),
})
  .label('A share')
  .messages(ONE)

/** `POST /api/v1/pools`: what so many logs say together, from the shares their anglers gave. */
export const poolSchema = Joi.object<{ shares: PoolShare[] }>({
  shares: Joi.array()
    .items(poolShareSchema)
    .min(LEAST_ANGLERS)
    .max(MOST_POOLED)
    .label('The shares')
    .required()
    .messages({
      'array.min': 'Fewer than {{#limit}} anglers are no pool.',
      'array.max': 'No more than {{#limit}} shares at once.',
    }),
})
  .label('The request')
  .messages(ONE)

const effects = (what: string) => Joi.array().items(Joi.number()).length(COVARIATES).required().description(what)
const OF = `of the engine's slope, then of ${SCHOOL_IDS.join(', ')}`
export const poolAnswerSchema = Joi.object<Pool>({
  anglers: Joi.number().integer().required(),
  comparedBites: Joi.number().integer().required(),
  mean: effects(`means ${OF}`),
  sd: effects(`standard deviations of each angler's prior, ${OF}`),
})
