import type Joi from 'joi'
import type { RequestByReadings } from '#core/ranking/byReadings'
import { group, required, word } from '#core/request/field'
import { READINGS, type Reading } from '#core/request/readings'
import { REQUEST, type Request, type Salinity } from '#core/request/request'
import type { UnitSystem } from '#core/units'
import { schemaOf } from '#shared/schema/fields'

/** `POST /api/v1/recommendations`: the contract's request. */
export const requestSchema = schemaOf(REQUEST) as Joi.ObjectSchema<Request>

const { visibilityM: _v, tint: _t, ...otherWater } = REQUEST.fields.water.fields
const water = required(group({ ...otherWater, readings: required(READINGS) }, { name: 'The water, told by readings,' }))

/** The same with readings in the place of visibility and tint. */
export const requestByReadingsSchema = schemaOf(
  group({ ...REQUEST.fields, water }, { name: REQUEST.name }),
) as Joi.ObjectSchema<RequestByReadings>

/** Whether a request tells its water by readings: which of the two schemas it is to be held to. */
export const tellsByReadings = (input: unknown): boolean => {
  const of = (v: unknown) => (typeof v === 'object' && v !== null ? (v as Record<string, unknown>) : {})
  return 'readings' in of(of(input).water)
}

/** What is asked about readings alone. */
export interface ReadingsRequest {
  readings: readonly Reading[]
  salinity?: Salinity
  light?: Request['light']
  units?: UnitSystem
}
const { required: _r, ...light } = REQUEST.fields.light
/** `POST /api/v1/readings`: which water is it? */
export const readingsSchema = schemaOf(
  group(
    {
      readings: required(READINGS),
      salinity: otherWater.salinity,
      light,
      units: word(REQUEST.fields.units.words, { name: 'Units', about: 'units of the sentences in the answer' }),
    },
    { name: 'The request' },
  ),
) as Joi.ObjectSchema<ReadingsRequest>
