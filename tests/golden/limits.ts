import { openApi } from '#shared/openapi'

type Schema = Readonly<Record<string, unknown>>
const LIMIT = /^(exclusive)?(min|max)|^(pattern|default|multipleOf|additional)/i
/** Lists of words are counted: they are pinned elsewhere. */
const told = (key: string, value: unknown) =>
  key === 'required' ? value : key === 'enum' ? (value as unknown[]).length : LIMIT.test(key) ? value : undefined
function* limitsIn(schema: Schema, path: string): Generator<[string, unknown]> {
  const own = Object.entries(schema).flatMap(([key, value]) => {
    const limit = told(key, value)
    return limit === undefined ? [] : [[key, limit]]
  })
  if (own.length) yield [path, Object.fromEntries(own)]
  for (const [key, part] of Object.entries(schema))
    if (typeof part === 'object' && part !== null)
      yield* limitsIn(part as Schema, key === 'properties' ? path : `${path}/${key}`)
}

/** What is taken and what is answered at most and at least, by the description others read it from. */
export const limitsOf = () =>
  Object.fromEntries(
    Object.entries(openApi('').components.schemas).map(([name, schema]) => [
      name,
      Object.fromEntries(limitsIn(schema as Schema, '')),
    ]),
  )
