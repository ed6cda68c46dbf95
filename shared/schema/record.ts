import Joi from 'joi'
import { DAY_REQUEST, type DayRequest } from '#core/day/request'
import { MATERIALS } from '#core/paintwork/material'
import { PARTS } from '#core/paintwork/parts'
import { schemaOf, uuidSchema } from '#shared/schema/fields'
import { VOCABULARY } from '#shared/vocabulary'

const line = (name: string, most = 80) => Joi.string().max(most).label(name)
const note = () => line('The note', 500).allow('')
const finishId = (name: string) =>
  line(name)
    .pattern(/^[a-z-]+\.[a-z0-9-]+$/)
    .messages({ 'string.pattern.base': `${name} must be a finish by its id.` })
const record = <T>(name: string, fields: Joi.SchemaMap) =>
  Joi.object<T>(fields)
    .label(name)
    .messages({ 'object.unknown': `${name} holds a field Piscator does not know. Take it out or check its spelling.` })

/** A day's plan that was kept: what was asked, and what it came to then. */
export interface PlanRecord {
  name: string
  waterId: string | null
  asked: DayRequest
  /** What was packed, by finish. */
  pack: string[]
  /** Of 100: what the pack is worth beside everything. */
  share: number
}

/** A coat of one's own: a colour as #rrggbb, and what it is made of. */
export interface OwnCoat {
  colour: string
  material: (typeof MATERIALS)[number]
}

/** A lure in the box: of the catalogue, or with coats of one's own over the catalogue's. */
export interface LureRecord {
  lure: (typeof VOCABULARY.lure)[number]
  finishId: string
  name: string
  coats?: Partial<Record<(typeof PARTS)[number], OwnCoat>>
  count: number
  /** As new, used, or worn. */
  wear: (typeof WEARS)[number]
  keptIn: string
  note: string
  /** No longer carried; kept so that the record stays whole. */
  retired: boolean
}
export const WEARS = ['new', 'used', 'worn'] as const

const coat = record<OwnCoat>('A coat', {
  colour: Joi.string()
    .pattern(/^#[0-9a-f]{6}$/)
    .label('The colour')
    .messages({ 'string.pattern.base': 'The colour must be written as # and six hex digits.' })
    .required(),
  material: Joi.string()
    .valid(...MATERIALS)
    .label('The material')
    .required(),
})

/** What is kept of each kind of record. */
export const RECORDS = {
  plan: record<PlanRecord>('The plan', {
    name: line('The name').required(),
    waterId: uuidSchema('The water').allow(null).required(),
    asked: schemaOf(DAY_REQUEST).required(),
    pack: Joi.array().items(finishId('What is packed')).max(40).label('The pack').required(),
    share: Joi.number().strict().min(0).max(100).label('The share').required(),
  }),
  lure: record<LureRecord>('The lure', {
    lure: Joi.string()
      .valid(...VOCABULARY.lure)
      .label('The lure')
      .required(),
    finishId: finishId('The finish').required(),
    name: line('The name').required(),
    coats: Joi.object(Object.fromEntries(PARTS.map(p => [p, coat]))).label('The coats'),
    count: Joi.number().strict().integer().min(0).max(999).label('The number of them').required(),
    wear: Joi.string()
      .valid(...WEARS)
      .label('The wear')
      .required(),
    keptIn: line('Where it is kept').allow('').required(),
    note: note().required(),
    retired: Joi.boolean().strict().label('Whether it is retired').required(),
  }),
} as const

export type RecordKind = keyof typeof RECORDS
export interface RecordOf {
  plan: PlanRecord
  lure: LureRecord
}
export const RECORD_KINDS = Object.keys(RECORDS) as RecordKind[]
