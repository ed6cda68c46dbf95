import Joi from 'joi'
import type { Request } from '#core/conditions/request'
import { LIMITS, type LimitName, VOCABULARY } from '#shared/vocabulary'

const number = (name: LimitName) => Joi.number().strict().min(LIMITS[name][0]).max(LIMITS[name][1])
const word = (list: readonly string[]) => Joi.string().valid(...list)

/** A moment in ISO 8601 that the clock can read, too. */
export const isoTime = () => Joi.string().isoDate().custom((v: string, h) => Number.isFinite(Date.parse(v)) ? v : h.error('string.isoDate'))

/** `POST /api/v1/recommendations`: the contract's request. */
export const requestSchema = Joi.object<Request>({
  lure: word(VOCABULARY.lure).required(),
  species: word(VOCABULARY.species),
  school: word(VOCABULARY.school),
  water: Joi.object({
    visibilityM: number('visibilityM').required(),
    tint: word(VOCABULARY.tint).required(),
    temperatureC: number('temperatureC'),
    trend: word(VOCABULARY.trend),
    salinity: word(VOCABULARY.salinity),
    pressure: word(VOCABULARY.pressure),
    prey: Joi.array().items(word(VOCABULARY.forage)).unique().max(VOCABULARY.forage.length),
  }).required(),
  light: Joi.object({
    sky: word(VOCABULARY.sky).required(),
    cloud: number('share'),
    sunElevationDeg: number('sunElevationDeg'),
    at: Joi.object({
      time: isoTime().required(),
      latitude: number('latitude').required(),
      longitude: number('longitude').required(),
    }),
    wind: word(VOCABULARY.wind),
    canopy: word(VOCABULARY.canopy),
    moon: number('share'),
    lamps: Joi.boolean().strict(),
  }).or('sunElevationDeg', 'at').required(),
  season: word(VOCABULARY.season),
  forage: Joi.array().items(Joi.object({ kind: word(VOCABULARY.forage).required(), share: number('share').required() })).unique('kind').max(VOCABULARY.forage.length),
  clues: Joi.array().items(word(VOCABULARY.clue)).unique().max(VOCABULARY.clue.length),
  depthM: number('depthM'),
  background: word(VOCABULARY.background),
  fishM: number('fishM'),
  fishedThrough: Joi.array().items(word(VOCABULARY.family)).unique().max(VOCABULARY.family.length),
  bitesRefused: Joi.boolean().strict(),
  limit: number('limit').integer(),
  units: word(VOCABULARY.units),
})
