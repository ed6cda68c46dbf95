import Joi from 'joi'
import type { SyncEvent } from '#shared/schema/sync'

/**
 * One file of everything an angler keeps, readable without Piscator: every record as it stands, with when it was
 * changed last, under ids of its own. It goes out and comes in again; see docs/everything.md.
 */
export interface Everything {
  piscator: 'everything'
  /** Of this format. */
  version: 1
  savedAt: string
  records: SyncEvent[]
}

/** Records that may come in by one request. */
const MOST_RECORDS = 10_000

/** `POST /api/v1/imports`: a file of everything; its records are looked at by the job that takes them in. */
export const everythingSchema = Joi.object<Omit<Everything, 'records'> & { records: unknown[] }>({
  piscator: Joi.string().valid('everything').label('The mark').required(),
  version: Joi.number().valid(1).label('The version').required(),
  savedAt: Joi.string().max(40).label('When it was saved'),
  records: Joi.array()
    .max(MOST_RECORDS)
    .label('The records')
    .required()
    .messages({ 'array.max': 'No more than {{#limit}} records at once. Bring a larger file in on a device.' }),
})
  .label('The file')
  .messages({ 'object.unknown': 'The file holds a field Piscator does not know. Take it out.' })

/** What was taken in of a file. */
export interface Imported {
  /** Records that are kept now, also those that were before. */
  kept: number
  /** Records that are not. */
  refused: number
  /** Why, of the first of them, by their place in the file. */
  faults: { at: number; code: string; message: string }[]
}
export const importedSchema = Joi.object<Imported>({
  kept: Joi.number().integer().required().description('records that are kept now, also those that were before'),
  refused: Joi.number().integer().required().description('records that are not'),
  faults: Joi.array()
    .items(Joi.object({ at: Joi.number().integer(), code: Joi.string(), message: Joi.string() }))
    .required()
    .description('why, of the first of them, by their place in the file'),
})
