import Joi from 'joi'
import { UUID } from '#shared/uuid'
import type { Field, GroupField, KindsField, ListField, NumberField, WordField } from '#core/request/field'

/** An RFC 3339 moment: date, time and zone, in a year of four digits that the clock can read. */
const MOMENT = /^(?!0000)\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d{1,9})?)?(Z|[+-]([01]\d|2[0-3]):[0-5]\d)$/
const readsAsMoment = (v: string, helpers: Joi.CustomHelpers) =>
  Number.isFinite(Date.parse(v)) ? v : helpers.error('string.pattern.base')

export const uuidSchema = (name: string) =>
  Joi.string()
    .pattern(UUID)
    .label(name)
    .messages({ 'string.pattern.base': `${name} must be a UUID.` })

export const momentSchema = (name: string) =>
  Joi.string()
    .pattern(MOMENT)
    .custom(readsAsMoment)
    .label(name)
    .messages({ 'string.pattern.base': `${name} must be a date and time with its zone, like 2026-04-12T10:40:00Z.` })

function numberSchema(f: NumberField): Joi.NumberSchema {
  const [lo, hi] = f.range
  // That it is whole comes first: the description takes it from there.
  const plain = f.whole ? Joi.number().strict().integer() : Joi.number().strict()
  return bounded(plain, f)
    .min(lo)
    .max(hi)
    .messages({
      'number.min': `{{#label}} cannot be less than {{#limit}}${f.unit}.`,
      'number.max': `{{#label}} cannot be more than {{#limit}}${f.unit}.`,
    })
}

/** A bound by another field holds only where that field is given. */
function bounded(schema: Joi.NumberSchema, { notOver }: NumberField): Joi.NumberSchema {
  if (!notOver) return schema
  const other = Joi.ref(notOver.field, { adjust: (v: unknown) => (typeof v === 'number' ? v : Infinity) })
  return schema.max(other).rule({ keep: true, message: notOver.otherwise })
}

function groupSchema(f: GroupField): Joi.ObjectSchema {
  const schema = Joi.object(Object.fromEntries(Object.entries(f.fields).map(([key, field]) => [key, schemaOf(field)])))
  // The unknown field's own name is the sender's and is left out.
  const unknown = `${f.name} holds a field Piscator does not know. Take it out or check its spelling.`
  if (!f.oneOf) return schema.messages({ 'object.unknown': unknown })
  return schema
    .or(...f.oneOf.fields)
    .messages({ 'object.unknown': unknown, 'object.missing': `${f.name} ${f.oneOf.otherwise}` })
}

function wordSchema({ words, name, open }: WordField): Joi.Schema {
  const schema = Joi.string().valid(...words)
  return open ? schema.messages({ 'any.only': `${name} is not one Piscator knows.` }) : schema
}

function listSchema(f: ListField): Joi.ArraySchema {
  const schema = Joi.array().items(schemaOf(f.of)).max(f.most)
  return (f.distinctBy || f.of.kind === 'word' ? schema.unique(f.distinctBy) : schema)
    .min(f.least ?? 0)
    .messages({ 'array.min': `{{#label}} need at least ${f.least === 1 ? 'one entry' : `${f.least} entries`}.` })
}

/** One of several groups: which, is told by its kind, and only that one's faults are said. */
function kindsSchema({ kinds, name }: KindsField): Joi.Schema {
  const words = Object.keys(kinds)
  const kind = Joi.string()
    .valid(...words)
    .required()
    .label(`The kind of ${name.toLowerCase()}`)
  const groups = Object.entries(kinds).map(([word, g]) => ({
    is: word,
    then: groupSchema(g).keys({ kind: Joi.string().valid(word).required() }),
  }))
  return Joi.object({ kind })
    .unknown()
    .when('.kind', { switch: groups, otherwise: Joi.object({ kind }).unknown() })
}

function plainSchema(f: Field): Joi.Schema {
  switch (f.kind) {
    case 'number':
      return numberSchema(f)
    case 'word':
      return wordSchema(f)
    case 'pattern':
      return (f.most ? Joi.string().max(f.most) : Joi.string())
        .pattern(new RegExp(f.pattern))
        .messages({ 'string.pattern.base': `${f.name} ${f.otherwise}` })
    case 'text':
      return f.blank ? Joi.string().max(f.most).allow('') : Joi.string().max(f.most)
    case 'id':
      return uuidSchema(f.name)
    case 'kinds':
      return kindsSchema(f)
    case 'flag':
      return Joi.boolean().strict()
    case 'time':
      return momentSchema(f.name)
    case 'list':
      return listSchema(f)
    case 'group':
      return groupSchema(f)
  }
}

/** The schema of a field's record: what is checked, what its faults say, and what the API's description tells of it. */
export function schemaOf(f: Field): Joi.Schema {
  let schema = plainSchema(f).label(f.name)
  if (f.orNull) schema = schema.allow(null)
  if (f.about) schema = schema.description(f.about)
  return f.required ? schema.required() : schema
}
