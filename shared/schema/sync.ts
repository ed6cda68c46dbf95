import Joi from 'joi'
import { momentSchema, uuidSchema } from '#shared/schema/fields'
import { AT_ONCE } from '#shared/sync'
import { RECORDS, type RecordKind, type RecordOf } from '#shared/schema/record'

/** A change of a record on some device. The later of two to the same record stands; of equals the greater id. */
export interface SyncEvent<K extends RecordKind = RecordKind> {
  /** Made on the device, so that sending twice adds once. */
  id: string
  kind: K
  recordId: string
  /** The device's clock when it happened. */
  at: string
  /** The version of the kind's bodies that this one is written in; 1 where it is not said. */
  version?: number
  /** The record as it is from then on; null where it was taken away. */
  body: RecordOf[K] | null
}

/** One event; its body is held to what its kind keeps. */
export const eventSchema = Joi.object<SyncEvent>({
  id: uuidSchema("The event's id").required(),
  kind: Joi.string()
    .valid(...Object.keys(RECORDS))
    .label('The kind')
    .required(),
  recordId: uuidSchema("The record's id").required(),
  at: momentSchema('The time').required(),
  version: Joi.number().strict().integer().min(1).max(1000).label('The version'),
  body: Joi.when('kind', {
    switch: Object.entries(RECORDS).map(([is, then]) => ({ is, then: then.allow(null).required() })),
    otherwise: Joi.any(),
  }),
})
  .label('An event')
  .messages({ 'object.unknown': 'An event holds a field Piscator does not know. Take it out or check its spelling.' })

export interface SyncRequest {
  cursor?: string | null
  /** Who the device was told it is: where it is somebody else by now, nothing is taken. */
  angler?: string | null
  events: unknown[]
}
/** `POST /api/v1/sync`: the events themselves are looked at one by one, so that one slip holds up no other. */
export const syncSchema = Joi.object<SyncRequest>({
  cursor: Joi.string()
    .pattern(/^\d{1,18}$/)
    .allow(null)
    .label('The cursor')
    .messages({ 'string.pattern.base': 'That is no place among the events. Begin anew without it.' }),
  angler: Joi.string()
    .pattern(/^[0-9a-f]{16}$/)
    .allow(null)
    .label('The angler'),
  events: Joi.array().max(AT_ONCE).label('The events').required(),
})
  .label('The request')
  .messages({ 'object.unknown': 'The request holds a field Piscator does not know. Take it out.' })

export interface SyncAnswer {
  /** Ids that are kept now, also those that were before. */
  accepted: string[]
  /** Who the device is: a mark to know itself by, and nobody else. */
  angler: string
  /** The name of the account it is signed in to, if any. */
  name: string | null
  /** What will never be kept as it is, by its place in the request. */
  refused: { index: number; id: string | null; errors: { path: string; code: string; message: string }[] }[]
  /** What other devices did since the cursor, in the order it arrived. */
  events: SyncEvent[]
  /** Where the next request goes on; there is more now where `more` is set. */
  cursor: string
  more: boolean
}

/** What the description tells of the events of a request. */
export const syncRequestSchema = syncSchema.keys({ events: Joi.array().items(eventSchema).max(AT_ONCE).required() })
export const syncAnswerSchema = Joi.object<SyncAnswer>({
  accepted: Joi.array().items(Joi.string()).required().description('kept now, also those that were before'),
  angler: Joi.string().required().description('a mark by which the device knows itself'),
  name: Joi.string().allow(null).required().description('of the account it is signed in to, if any'),
  refused: Joi.array()
    .items(
      Joi.object({
        index: Joi.number().integer().required(),
        id: Joi.string().allow(null).required(),
        errors: Joi.array()
          .items(Joi.object({ path: Joi.string().allow(''), code: Joi.string(), message: Joi.string() }))
          .required(),
      }),
    )
    .required(),
  events: Joi.array().items(eventSchema).required(),
  cursor: Joi.string().required(),
  more: Joi.boolean().required(),
})
