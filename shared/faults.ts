import type Joi from 'joi'

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

const OPTIONS: Joi.ValidationOptions = {
  abortEarly: false,
  convert: false,
  messages: MESSAGES,
  errors: { wrap: { label: false, string: false, array: false } },
}

/** Joi's details as faults. The path of an unknown field is its group's: its own name is the sender's. */
export function faultsOf(error: Joi.ValidationError): Fault[] {
  return error.details.map(({ type, path, message }) => ({
    path: (type === 'object.unknown' ? path.slice(0, -1) : path).join('.'),
    code: type,
    message,
  }))
}

/** Validate unknown input: the value, or every fault. Never throws, never returns an unchecked value. */
export function check<T>(
  schema: Joi.Schema<T>,
  input: unknown,
): { ok: true; value: T } | { ok: false; faults: Fault[] } {
  const { value, error } = schema.required().validate(input, OPTIONS)
  return error ? { ok: false, faults: faultsOf(error) } : { ok: true, value: value as T }
}
