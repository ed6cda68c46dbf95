import fc from 'fast-check'

/** A JSON Schema as the API's own description has them. */
export interface Schema {
  type?: string | string[]
  enum?: unknown[]
  const?: unknown
  $ref?: string
  oneOf?: Schema[]
  anyOf?: Schema[]
  allOf?: Schema[]
  if?: Schema
  then?: Schema
  else?: Schema
  properties?: Record<string, Schema>
  required?: string[]
  additionalProperties?: boolean | Schema
  items?: Schema
  minItems?: number
  maxItems?: number
  uniqueItems?: boolean
  minimum?: number
  maximum?: number
  pattern?: string
  minLength?: number
  maxLength?: number
}
export type Schemas = Readonly<Record<string, Schema>>

/** Lists are drawn this long at most: long ones are for the classes of their own. */
const MOST_ENTRIES = 4

const numbers = ({ minimum = -1e4, maximum = 1e4 }: Schema, whole: boolean) =>
  whole
    ? fc.integer({ min: Math.ceil(minimum), max: Math.floor(maximum) })
    : fc.oneof(fc.double({ min: minimum, max: maximum, noNaN: true }), fc.constantFrom(minimum, maximum))

function texts({ pattern, maxLength = 40, minLength = 0 }: Schema): fc.Arbitrary<unknown> {
  if (!pattern) return fc.string({ minLength, maxLength: Math.min(maxLength, 60) })
  if (/\\d\{4\}-\\d\\d-\\d\\dT/.test(pattern))
    return fc
      .date({ min: new Date('1990-01-01'), max: new Date('2060-01-01'), noInvalidDate: true })
      .map(d => d.toISOString())
  return fc.stringMatching(new RegExp(pattern))
}

/** What a schema lets through, drawn; kinds that are told by a switch are drawn from each of its branches. */
export function valuesOf(schema: Schema, schemas: Schemas, depth = 0): fc.Arbitrary<unknown> {
  const inner = (s: Schema) => valuesOf(s, schemas, depth + 1)
  if (schema.$ref) return inner(schemas[schema.$ref.split('/').at(-1)!]!)
  if (schema.const !== undefined) return fc.constant(schema.const)
  if (schema.enum) return fc.constantFrom(...schema.enum)
  const forms = schema.oneOf ?? schema.anyOf
  if (forms)
    return fc.oneof(...forms.map(f => inner({ ...schema, oneOf: undefined, anyOf: undefined, ...f } as Schema)))
  if (schema.allOf) return inner(Object.assign({}, schema, { allOf: undefined }, ...schema.allOf) as Schema)
  if (schema.then) return fc.oneof(inner(schema.then), ...(schema.else ? [inner(schema.else)] : []))
  const [type] = [schema.type].flat()
  switch (type) {
    case 'integer':
    case 'number':
      return numbers(schema, type === 'integer')
    case 'boolean':
      return fc.boolean()
    case 'null':
      return fc.constant(null)
    case 'array':
      return fc.array(inner(schema.items ?? { type: 'string' }), {
        minLength: schema.minItems ?? 0,
        maxLength: Math.min(schema.maxItems ?? MOST_ENTRIES, Math.max(MOST_ENTRIES, schema.minItems ?? 0)),
      })
    case 'object':
      return fc.record(Object.fromEntries(Object.entries(schema.properties ?? {}).map(([k, v]) => [k, inner(v)])), {
        requiredKeys: schema.required ?? [],
      })
    case 'string':
      return texts(schema)
    default:
      return fc.constant(null)
  }
}

const STRANGE = [
  null,
  '',
  'x',
  '\u0000',
  '\ud83d',
  -1,
  0,
  1e308,
  -0.5,
  [],
  {},
  [[]],
  true,
  '2026-02-31',
  'NaN',
] as const
/** Where in a value something may be changed. */
function places(value: unknown, at: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [at]
  return [at, ...Object.entries(value).flatMap(([k, v]) => places(v, [...at, k]))]
}
function changedAt(value: unknown, at: readonly (string | number)[], to: unknown): unknown {
  if (!at.length) return to
  const [first, ...rest] = at
  const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }
  const inner = (copy as Record<string, unknown>)[first!]
  if (to === undefined && !rest.length) Reflect.deleteProperty(copy, first!)
  else (copy as Record<string, unknown>)[first!] = changedAt(inner, rest, to)
  return copy
}
/** A neighbour of a value: something in it left out, or strange. */
export const neighboursOf = (values: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
  fc
    .tuple(values, fc.nat(), fc.constantFrom(...STRANGE, undefined))
    .map(([v, n, to]) => changedAt(v, places(v)[n % places(v).length]!, to))
