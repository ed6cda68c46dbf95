import type Joi from 'joi'
import { cutLongLists } from '#shared/schema/longLists'
import { brokenText } from '#shared/text'

/**
 * One fault of something sent to the server. The code is for programs, the message for anglers; nothing sent is
 * echoed.
 */
export interface Fault {
  path: string
  code: string
  message: string
}

/**
 * Sentences by Joi's code: what is wrong and how to mend it. Names come from the fields' labels; limits with units
 * are worded where the field is made. What was sent is in none of them.
 */
const MESSAGES: Record<string, string> = {
  'any.required': '{{#label}} is missing. Add it and ask again.',
  'any.only': '{{#label}} is not one Piscator knows. Choose one of: {{#valids}}.',
  'number.base': '{{#label}} must be a number.',
  'number.unsafe': '{{#label}} must be an ordinary number.',
  'number.infinity': '{{#label}} must be an ordinary number.',
  'number.integer': '{{#label}} must be a whole number.',
  'boolean.base': '{{#label}} must be yes or no (true or false).',
  'string.base': '{{#label}} must be given as text.',
  'string.empty': '{{#label}} must be given as text.',
  'string.max': '{{#label}} is too long.',
  'array.base': '{{#label}} must be a list.',
  'array.unique': '{{#label}} names the same thing twice.',
  'array.max': '{{#label}} has too many entries.',
  'array.sparse': '{{#label}} has an empty entry.',
  'object.base': '{{#label}} must be a group of fields.',
}

/** Most faults told at once: whoever mends these asks again. */
const MOST_FAULTS = 20

const BROKEN_TEXT = 'A text holds half a character or one that cannot be kept. Type it anew.'
/** A path goes no further than the fields that Piscator names: what is below is the sender's. */
const NAMED = /^[A-Za-z0-9]{1,24}$/

const OPTIONS: Joi.ValidationOptions = {
  abortEarly: false,
  convert: false,
  messages: MESSAGES,
  errors: { wrap: { label: false, string: false, array: false } },
}

/** Joi's details as faults. The path of an unknown field is its group's: its own name is the sender's. */
export function faultsOf(error: Joi.ValidationError): Fault[] {
  return error.details.slice(0, MOST_FAULTS).map(({ type, path, message }) => ({
    path: (type === 'object.unknown' ? path.slice(0, -1) : path).join('.'),
    code: type,
    message,
  }))
}

const brokenFault = (path: readonly string[]): Fault => {
  const foreign = path.findIndex(p => !NAMED.test(p))
  const named = foreign < 0 ? path : path.slice(0, foreign)
  return { path: named.join('.'), code: 'text.broken', message: BROKEN_TEXT }
}

/**
 * Validate unknown input: the value, or every fault. Never throws, never returns an unchecked value.
 * @param unread a field whose entries the schema leaves unread, to be checked one by one
 */
export function check<T>(
  schema: Joi.Schema<T>,
  input: unknown,
  unread?: string,
): { ok: true; value: T } | { ok: false; faults: Fault[] } {
  const { value, error } = schema.required().validate(cutLongLists(schema, input), OPTIONS)
  if (!error) {
    const broken = brokenText(unread ? { ...(value as object), [unread]: undefined } : value)
    if (broken) return { ok: false, faults: [brokenFault(broken)] }
  }
  return error ? { ok: false, faults: faultsOf(error) } : { ok: true, value: value as T }
}
