import type Joi from 'joi'
import Papa from 'papaparse'
import { v7 as newId } from 'uuid'
import { check } from '#shared/faults'
import { UUID } from '#shared/uuid'

/** What is wrong in a file: its line, from 1, and the column's name where one is to blame. */
export interface FileFault {
  line: number
  column: string
  message: string
}

/** One record of a file before it is looked at: where it stands, the id it bears, and what it says. */
export interface FileCandidate {
  line: number
  id: string
  body: unknown
  faults: FileFault[]
}

export interface FileRead<B> {
  writes: { id: string; body: B }[]
  added: number
  changed: number
  same: number
  faults: FileFault[]
}

/** A read that came to nothing but a fault. */
export const unread = (fault: FileFault): FileRead<never> => ({
  writes: [],
  added: 0,
  changed: 0,
  same: 0,
  faults: [fault],
})

/** A cell that cannot be read; the message says how to write it. */
export class CellError extends Error {}

/** A column of a record's table: what it holds of the record, how that is written, and how it is read back. */
export interface CsvColumn<B> {
  name: string
  /** Where it stands in the record: a field, or a dotted path. */
  key: string
  write: (body: B) => string
  /** Throws CellError where the text is not understood; undefined leaves the field out. */
  read: (text: string) => unknown
}

const plain = <B>(key: keyof B & string, name: string, read: (text: string) => unknown): CsvColumn<B> => ({
  name,
  key,
  write: b => {
    const v = b[key]
    return v === null || v === undefined ? '' : String(v)
  },
  read,
})
/** Columns of the usual kinds. `fallback` stands for an empty cell. */
export const textColumn = <B>(key: keyof B & string, name: string = key, fallback = '') =>
  plain<B>(key, name, t => t || fallback)
export const numberColumn = <B>(key: keyof B & string, name: string = key, fallback?: number | null) =>
  plain<B>(key, name, t => (t === '' ? fallback : Number(t)))
export const listColumn = <B>(key: keyof B & string, name: string = key): CsvColumn<B> => ({
  name,
  key,
  write: b => (b[key] as readonly string[]).join('; '),
  read: t =>
    t
      .split(';')
      .map(s => s.trim())
      .filter(Boolean),
})
export const yesNoColumn = <B>(key: keyof B & string, name: string = key): CsvColumn<B> => ({
  name,
  key,
  write: b => (b[key] ? 'yes' : 'no'),
  read: t => /^(yes|true|1)$/i.test(t),
})
/** A cell that holds JSON; empty for null. */
export const jsonColumn = <B>(key: keyof B & string, name: string = key, fallback: unknown = null): CsvColumn<B> => ({
  name,
  key,
  write: b => (b[key] === null ? '' : JSON.stringify(b[key])),
  read: t => {
    if (t === '') return fallback
    try {
      return JSON.parse(t) as unknown
    } catch {
      throw new CellError('This cell must hold JSON, as in a file you saved.')
    }
  },
})

/** Text that a spreadsheet would take for a formula; a number below nought is none. */
const FORMULA = /^[=+@\t\r]|^-(?!\d+(\.\d+)?$)/
/** A table as CSV (RFC 4180) under a head line; what would be a formula is marked as text by an apostrophe. */
export const csvOf = (fields: readonly string[], data: readonly (readonly unknown[])[]): string =>
  Papa.unparse({ fields: [...fields], data: data.map(row => [...row]) }, { escapeFormulae: FORMULA })
/** A cell as it was before it was marked as text. */
const unmarked = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell)

/** Records as CSV under a head line, ids first. */
export function toTable<B>(columns: readonly CsvColumn<B>[], records: readonly { id: string; body: B }[]): string {
  const rows = records.map(({ id, body }) => [id, ...columns.map(c => c.write(body))])
  return csvOf(['id', ...columns.map(c => c.name)], rows)
}

function put(into: Record<string, unknown>, [head, ...rest]: string[], value: unknown): void {
  if (rest.length) put((into[head!] ??= {}) as Record<string, unknown>, rest, value)
  else into[head!] = value
}

/** Rows of a CSV by the names in its head line, which must name some. */
export function tableRowsOf(text: string, needed: readonly string[]): Partial<Record<string, string>>[] | FileFault {
  const { data, meta } = Papa.parse<Partial<Record<string, string>>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transform: unmarked,
  })
  const missing = needed.find(c => !meta.fields?.includes(c))
  return missing === undefined
    ? data
    : { line: 1, column: missing, message: `The first line must name the columns, "${missing}" among them.` }
}

/** Records of a CSV, one a line after the head. */
export function fromTable<B>(
  columns: readonly CsvColumn<B>[],
  text: string,
  needed: readonly string[],
): FileCandidate[] | FileFault {
  const rows = tableRowsOf(text, needed)
  if (!Array.isArray(rows)) return rows
  return rows.map((row, i) => {
    const line = i + 2
    const faults: FileFault[] = []
    const body: Record<string, unknown> = {}
    for (const { name, key, read } of columns) {
      try {
        const value = read((row[name] ?? '').trim())
        if (value !== undefined) put(body, key.split('.'), value)
      } catch (error) {
        if (!(error instanceof CellError)) throw error
        faults.push({ line, column: name, message: error.message })
      }
    }
    return { line, id: (row.id ?? '').trim(), body, faults }
  })
}

/** A file of one JSON object with a list in it, or of the list alone; null where it is neither. */
export function jsonList(text: string, key: string): unknown[] | null {
  try {
    const parsed = JSON.parse(text) as unknown
    const list = Array.isArray(parsed) ? parsed : (parsed as Record<string, unknown> | null)?.[key]
    return Array.isArray(list) ? list : null
  } catch {
    return null
  }
}
/** An id and the rest of an entry of such a list. */
export function entryOf(one: unknown): { id: string; body: Record<string, unknown> } {
  const { id = '', ...body } = (typeof one === 'object' && one !== null ? one : {}) as Record<string, unknown>
  return { id: String(id), body }
}

export interface RowJudge<B> {
  schema: Joi.Schema<B>
  /** Names of the record's fields as the file's columns call them, where they differ. */
  columnOf?: Record<string, string>
  /** Records without an id that are alike in this are the same. */
  likeness: (body: B) => string
  /** What is wrong beside the schema. */
  also?: (body: B) => { column: string; message: string } | null
}

/**
 * What a file would write: what is known already under its id or its likeness is changed or left, the rest added. A
 * record that is wrong is named, and does not keep the right ones from being taken.
 */
export function takeRecords<B>(
  candidates: readonly FileCandidate[] | FileFault,
  { schema, columnOf = {}, likeness, also = () => null }: RowJudge<B>,
  known: readonly { id: string; body: B }[],
): FileRead<B> {
  const read: FileRead<B> = { writes: [], added: 0, changed: 0, same: 0, faults: [] }
  if (!('length' in candidates)) return unread(candidates)
  const byId = new Map(known.map(l => [l.id, l.body]))
  const byLikeness = new Map(known.map(l => [likeness(l.body), l.id]))
  for (const { line, id, body, faults } of candidates) {
    const fault = (column: string, message: string) => read.faults.push({ line, column, message })
    read.faults.push(...faults)
    if (faults.length) continue
    if (id && !UUID.test(id)) {
      fault('id', 'The id is not one Piscator made. Leave it empty for something new.')
      continue
    }
    const result = check(schema, body)
    if (!result.ok) {
      for (const f of result.faults) {
        const key = f.path.split('.')[0]!
        fault(columnOf[key] ?? key, f.message)
      }
      continue
    }
    const wrong = also(result.value)
    if (wrong) {
      fault(wrong.column, wrong.message)
      continue
    }
    const alike = likeness(result.value)
    const at = id || byLikeness.get(alike)
    const before = at ? byId.get(at) : undefined
    const key = at || newId()
    byLikeness.set(alike, key)
    byId.set(key, result.value)
    if (before && sorted(before) === sorted(result.value)) read.same++
    else {
      if (before) read.changed++
      else read.added++
      read.writes.push({ id: key, body: result.value })
    }
  }
  return read
}
/** Reads of several kinds as one; what is written bears its kind. */
export function joinReads<K extends string>(reads: Record<K, FileRead<unknown>>): FileRead<{ kind: K; body: unknown }> {
  const all = Object.entries(reads) as [K, FileRead<unknown>][]
  const sum = (of: 'added' | 'changed' | 'same') => all.reduce((n, [, r]) => n + r[of], 0)
  return {
    writes: all.flatMap(([kind, r]) => r.writes.map(({ id, body }) => ({ id, body: { kind, body } }))),
    added: sum('added'),
    changed: sum('changed'),
    same: sum('same'),
    faults: all.flatMap(([, r]) => r.faults),
  }
}

/** A record as text that does not hang on the order of its fields. */
const sorted = (v: unknown): string =>
  JSON.stringify(v, (_, x: unknown) =>
    x && typeof x === 'object' && !Array.isArray(x)
      ? Object.fromEntries(Object.entries(x).sort(([a], [b]) => (a < b ? -1 : 1)))
      : x,
  )
