import type Joi from 'joi'
import { REQUEST, type Request } from '#core/request/request'
import { schemaOf } from '#shared/schema/fields'

/** `POST /api/v1/recommendations`: the contract's request. */
export const requestSchema = schemaOf(REQUEST) as Joi.ObjectSchema<Request>
