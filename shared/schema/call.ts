import Joi from 'joi'
import type { Request } from '#core/request/request'
import { momentSchema, uuidSchema } from '#shared/schema/fields'
import { requestSchema } from '#shared/schema/request'

/**
 * A call kept by an angler: what was asked, and which finish was tied on. The ranking is worked out again by the
 * server.
 */
export interface CallInput {
  asked: Request
  tiedOn: string
  keptAt: string
  waterId?: string | null
  /** How far the list it was taken from leaned on the angler's log, 0-1. */
  leaned?: number
  /** Keep the place of the question as it was given, not rounded to about a kilometre. */
  exactPlace?: boolean
}

/** `PUT /api/v1/calls/{id}`. */
export const callSchema = Joi.object<CallInput>({
  asked: requestSchema.label('What was asked').required(),
  tiedOn: Joi.string()
    .max(80)
    .pattern(/^[a-z-]+\.[a-z-]+$/)
    .label('The lure tied on')
    .messages({ 'string.pattern.base': '{{#label}} must be a finish from the catalogue.' })
    .required(),
  keptAt: momentSchema('The time it was kept').required(),
  waterId: uuidSchema('The water').allow(null),
  leaned: Joi.number().strict().min(0).max(1).label('How far the log leaned it'),
  exactPlace: Joi.boolean().strict().label('The exact place'),
})
  .label('The call')
  .messages({ 'object.unknown': 'The call holds a field Piscator does not know. Take it out or check its spelling.' })

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
