import Joi from 'joi'
import { type ValueOf, flag, group, id, orNull, pattern, required, time } from '#core/request/field'
import { REQUEST } from '#core/request/request'
import { schemaOf, uuidSchema } from '#shared/schema/fields'
import { LEANED } from '#shared/schema/record'

/** `PUT /api/v1/calls/{id}`: what was asked, and which finish was tied on. The ranking is worked out by the server. */
const CALL_INPUT = group(
  {
    asked: required({ ...REQUEST, name: 'What was asked' }),
    tiedOn: required(
      pattern('^[a-z-]+\\.[a-z-]+$', {
        name: 'The lure tied on',
        most: 80,
        otherwise: 'must be a finish from the catalogue.',
      }),
    ),
    keptAt: required(time({ name: 'The time it was kept' })),
    waterId: orNull(id({ name: 'The water' })),
    leaned: LEANED,
    exactPlace: flag({
      name: 'The exact place',
      about: 'keep the place of the question as it was given, not rounded to about a kilometre',
    }),
  },
  { name: 'The call' },
)
export type CallInput = ValueOf<typeof CALL_INPUT>
export const callSchema = schemaOf(CALL_INPUT) as Joi.ObjectSchema<CallInput>

/** `POST /api/v1/recover`: a code that was written down, with or without its dashes. */
export const recoverSchema = Joi.object<{ code: string }>({
  code: Joi.string()
    .pattern(/^[0-9A-Za-z -]{20,40}$/)
    .label('The code')
    .messages({ 'string.pattern.base': 'The code has twenty letters and figures. Type it as it was written down.' })
    .required(),
})
  .label('The request')
  .messages({ 'object.unknown': 'The request holds a field Piscator does not know. Take it out.' })

export const idSchema = uuidSchema("The call's id").required()
