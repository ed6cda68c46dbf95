import Joi from 'joi'
import type { Request } from '#core/conditions/request'
import { isoTime, requestSchema } from '#shared/schema/request'

/** A call kept by an angler: what was asked, and which finish was tied on. The ranking is worked out again by the server. */
export interface CallInput {
  asked: Request
  tiedOn: string
  keptAt: string
  waterId?: string | null
}

/** `PUT /api/v1/calls/{id}`. */
export const callSchema = Joi.object<CallInput>({
  asked: requestSchema.required(),
  tiedOn: Joi.string().max(80).pattern(/^[a-z-]+\.[a-z-]+$/).required(),
  keptAt: isoTime().required(),
  waterId: Joi.string().guid().allow(null),
})

export const idSchema = Joi.string().guid({ version: ['uuidv4', 'uuidv7'] }).required()
