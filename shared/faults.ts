import type Joi from 'joi'

/** One fault of something sent to the server. The code is for programs, the message for anglers; nothing sent is echoed. */
export interface Fault { path: string, code: string, message: string }

/** Names an angler knows for the fields of a request. */
const NAMES: Record<string, string> = {
  'lure': 'The lure', 'species': 'The fish', 'school': 'The school', 'water': 'The water', 'water.visibilityM': 'Visibility', 'water.tint': 'The water\'s tint',
  'water.temperatureC': 'Water temperature', 'water.trend': 'The temperature trend', 'water.salinity': 'Salinity', 'water.pressure': 'Fishing pressure', 'water.prey': 'The prey list',
  'light': 'The light', 'light.sky': 'The sky', 'light.cloud': 'Cloud', 'light.sunElevationDeg': 'The sun\'s height', 'light.at': 'Time and place',
  'light.at.time': 'The time', 'light.at.latitude': 'Latitude', 'light.at.longitude': 'Longitude', 'light.wind': 'The wind', 'light.canopy': 'The canopy',
  'light.moon': 'The moon', 'light.lamps': 'Lamps', 'season': 'The season', 'forage': 'The food list', 'clues': 'The clues', 'depthM': 'Running depth',
  'background': 'The background', 'fishM': 'The fish\'s distance', 'fishedThrough': 'The colours already shown', 'bitesRefused': 'Refused bites', 'limit': 'The number of picks',
  'units': 'Units', 'tiedOn': 'The lure tied on', 'keptAt': 'The time it was kept', 'waterId': 'The water', 'asked': 'What was asked', 'id': 'The call\'s id', '': 'The request',
}

const UNITS: Record<string, string> = {
  'water.visibilityM': ' m', 'water.temperatureC': ' °C', 'light.sunElevationDeg': '°', 'light.at.latitude': '°', 'light.at.longitude': '°', 'depthM': ' m', 'fishM': ' m',
}

type Context = Record<string, unknown> | undefined

/** Sentences by Joi's code: what is wrong and how to mend it. */
function sentence(code: string, name: string, unit: string, context: Context): string {
  const limit = context?.limit
  switch (code) {
    case 'any.required': return `${name} is missing. Add it and ask again.`
    case 'any.only': return `${name} is not one Piscator knows. Choose one of: ${(context?.valids as string[]).join(', ')}.`
    case 'number.base': return `${name} must be a number.`
    case 'number.unsafe': case 'number.infinity': return `${name} must be an ordinary number.`
    case 'number.integer': return `${name} must be a whole number.`
    case 'number.min': return `${name} cannot be less than ${String(limit)}${unit}.`
    case 'number.max': return `${name} cannot be more than ${String(limit)}${unit}.`
    case 'boolean.base': return `${name} must be yes or no (true or false).`
    case 'string.base': case 'string.empty': return `${name} must be given as text.`
    case 'string.isoDate': return `${name} must be a date and time like 2026-04-12T10:40:00Z.`
    case 'string.guid': return `${name} must be a UUID.`
    case 'string.max': return `${name} is too long.`
    case 'string.pattern.base': return `${name} must be a finish from the catalogue.`
    case 'array.base': return `${name} must be a list.`
    case 'array.unique': return `${name} names the same thing twice.`
    case 'array.max': return `${name} has too many entries.`
    case 'object.base': return `${name} must be a group of fields.`
    case 'object.unknown': return `${name} holds a field Piscator does not know. Take it out or check its spelling.`
    case 'object.missing': return `${name} needs the sun's height, or a time and place to work it out from.`
    default: return `${name} is not right.`
  }
}

/** Path without list positions, and without the group a kept call wraps its request in: what the names are keyed by. */
const nameOf = (path: readonly (string | number)[]) => {
  const plain = path.filter(p => typeof p === 'string').join('.').replace(/^asked\.(?=.)/, '')
  return NAMES[plain] ?? NAMES[plain.replace(/\.(kind|share)$/, '')] ?? 'A field'
}

/** A name safe to repeat: fields are ours; an unknown field's name is the sender's and is left out. */
function pathOf(d: Joi.ValidationErrorItem): string {
  const path = d.type === 'object.unknown' ? d.path.slice(0, -1) : d.path
  return path.join('.')
}

/** Joi's details as faults. */
export function faultsOf(error: Joi.ValidationError): Fault[] {
  return error.details.map((d) => {
    const own = d.type === 'object.unknown' ? d.path.slice(0, -1) : d.path
    const key = own.filter(p => typeof p === 'string').join('.').replace(/^asked\./, '')
    return { path: pathOf(d), code: d.type, message: sentence(d.type, nameOf(own), UNITS[key] ?? '', d.context) }
  })
}

/** Validate unknown input: the value, or every fault. Never throws, never returns an unchecked value. */
export function check<T>(schema: Joi.Schema<T>, input: unknown): { ok: true, value: T } | { ok: false, faults: Fault[] } {
  const { value, error } = schema.required().validate(input, { abortEarly: false, convert: false, errors: { wrap: { label: false } } })
  return error ? { ok: false, faults: faultsOf(error) } : { ok: true, value: value as T }
}
