import type Joi from 'joi'

/** How long the lists of a schema may be: what is looked at before its entries are. */
interface Bounds {
  most?: number
  entries?: Bounds[]
  fields?: Map<string, Bounds>
  /** Other forms the same value may have. */
  also?: Bounds[]
}

/** What Joi keeps of a schema, as far as it is read here. */
interface Known {
  $_getRule: (name: string) => { args: { limit: number } } | undefined
  $_terms: {
    keys?: { key: string; schema: Known }[] | null
    items?: Known[]
    matches?: { schema?: Known; switch?: { then?: Known }[]; then?: Known; otherwise?: Known }[]
    whens?: { schema?: Known; switch?: { then?: Known }[]; then?: Known; otherwise?: Known }[] | null
  }
}

const made = new WeakMap<object, Bounds>()
function boundsOf(schema: Known): Bounds {
  const known = made.get(schema)
  if (known) return known
  const bounds: Bounds = {}
  made.set(schema, bounds)
  const { keys, items, matches, whens } = schema.$_terms
  const most = items && schema.$_getRule('max')?.args.limit
  if (most !== undefined) bounds.most = most
  if (items?.length) bounds.entries = items.map(boundsOf)
  if (keys?.length) bounds.fields = new Map(keys.map(k => [k.key, boundsOf(k.schema)]))
  const forms = [...(matches ?? []), ...(whens ?? [])].flatMap(m =>
    [m.schema, m.then, m.otherwise, ...(m.switch ?? []).map(s => s.then)].filter(s => s !== undefined),
  )
  if (forms.length) bounds.also = forms.map(boundsOf)
  return bounds
}

/** More fields than any group has: of a group that has more, some are unknown and it is refused. */
const MOST_FIELDS = 100
const withFields = (group: object, most: number) => Object.fromEntries(Object.entries(group).slice(0, most))

function cutGroup(fields: Map<string, Bounds>, group: object): object {
  let out = Object.keys(group).length > MOST_FIELDS ? withFields(group, MOST_FIELDS) : group
  for (const [key, bounds] of fields) {
    if (!Object.hasOwn(out, key)) continue
    const inner = (out as Record<string, unknown>)[key]
    const shorter = cut(bounds, inner)
    if (shorter !== inner) out = { ...out, [key]: shorter }
  }
  return out
}

function cutList({ most, entries = [] }: Bounds, list: unknown[]): unknown[] {
  const shorter = most !== undefined && list.length > most ? list.slice(0, most + 1) : list
  return entries.reduce((out, bounds) => changed(out, v => cut(bounds, v)), shorter)
}

function cut(bounds: Bounds, value: unknown): unknown {
  let out = value
  if (Array.isArray(out)) out = cutList(bounds, out)
  else if (bounds.fields && typeof out === 'object' && out !== null) out = cutGroup(bounds.fields, out)
  for (const b of bounds.also ?? []) out = cut(b, out)
  return out
}

/** The same list where no entry changes. */
function changed(list: unknown[], of: (v: unknown) => unknown): unknown[] {
  let out = list
  list.forEach((v, i) => {
    const next = of(v)
    if (next === v) return
    if (out === list) out = [...list]
    out[i] = next
  })
  return out
}

/**
 * A value whose lists are cut to one entry more than a schema lets them have, and whose groups have no more than a
 * hundred fields: it is refused as before, and a list of a hundred thousand entries costs no more to refuse than one
 * that is one too long. The same value where none is.
 */
export const cutLongLists = (schema: Joi.Schema, value: unknown): unknown =>
  cut(boundsOf(schema as unknown as Known), value)
