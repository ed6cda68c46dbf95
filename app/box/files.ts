import Papa from 'papaparse'
import { v7 as newId } from 'uuid'
import { finishById } from '#core/lure/finish'
import { parseCoat } from '#core/paintwork/coat'
import { PARTS } from '#core/paintwork/parts'
import { check } from '#shared/faults'
import { type LureRecord, RECORDS } from '#shared/schema/record'
import { UUID } from '#shared/uuid'
import type { Kept } from '~/records/store'

/**
 * The box as a file. CSV (RFC 4180) with a head line, one lure a line; coats as "flank=#3a7d44:matte; belly=…". JSON
 * holds the same records in a list. An id makes a line the same lure when it comes in again; without one, the same
 * finish under the same name in the same place is.
 */
const COLUMNS = ['id', 'lure', 'finish', 'name', 'count', 'wear', 'keptIn', 'note', 'retired', 'coats'] as const
type Row = Record<(typeof COLUMNS)[number], string>

export interface FileFault {
  /** Line of the file, from 1; and the column's name, where one is to blame. */
  line: number
  column: string
  message: string
}
export interface FileRead {
  writes: { id: string; body: LureRecord }[]
  added: number
  changed: number
  same: number
  faults: FileFault[]
}

type Coats = NonNullable<LureRecord['coats']>
const coatsText = (coats: LureRecord['coats']) =>
  Object.entries(coats ?? {})
    .map(([part, c]) => `${part}=${c.colour}:${c.material}`)
    .join('; ')

function coatsOf(text: string): Coats | null {
  const out: Coats = {}
  for (const piece of text.split(';').map(s => s.trim())) {
    if (!piece) continue
    const [part, colour, material] = piece.split(/[=:]/).map(s => s.trim())
    if (!PARTS.includes(part as never) || !colour || !material) return null
    try {
      parseCoat(`${colour}:${material}`)
    } catch {
      return null
    }
    out[part as keyof Coats] = { colour: colour.toLowerCase(), material } as Coats[keyof Coats]
  }
  return out
}

export function toCsv(lures: readonly Kept<'lure'>[]): string {
  const rows = lures.map(({ id, body }): Row => ({
    id,
    lure: body.lure,
    finish: body.finishId,
    name: body.name,
    count: String(body.count),
    wear: body.wear,
    keptIn: body.keptIn,
    note: body.note,
    retired: body.retired ? 'yes' : 'no',
    coats: coatsText(body.coats),
  }))
  return Papa.unparse(rows, { columns: [...COLUMNS] })
}

export const toJson = (lures: readonly Kept<'lure'>[]): string =>
  JSON.stringify({ format: 'piscator-box', version: 1, lures: lures.map(({ id, body }) => ({ id, ...body })) }, null, 2)

/** Names of the record's fields as the file's columns call them. */
const COLUMN_OF: Record<string, string> = { finishId: 'finish' }

interface Candidate {
  line: number
  id: string
  body: unknown
  faults: FileFault[]
}

function fromRow(row: Partial<Row>, line: number): Candidate {
  const faults: FileFault[] = []
  const text = (key: keyof Row) => (row[key] ?? '').trim()
  const coats = coatsOf(text('coats'))
  if (!coats) {
    faults.push({ line, column: 'coats', message: 'Write coats like flank=#3a7d44:matte; belly=#ffffff:pearl.' })
  }
  const finish = finishById(text('finish'))
  if (!finish)
    faults.push({ line, column: 'finish', message: 'No finish is called so. See the ids in a file you saved.' })
  const count = text('count') === '' ? 1 : Number(text('count'))
  const body = {
    lure: text('lure') || finish?.lure,
    finishId: text('finish'),
    name: text('name') || finish?.name || '',
    count,
    wear: text('wear') || 'used',
    keptIn: text('keptIn'),
    note: text('note'),
    retired: /^(yes|true|1)$/i.test(text('retired')),
    ...(coats && Object.keys(coats).length ? { coats } : {}),
  }
  return { line, id: text('id'), body, faults }
}

function candidatesOf(name: string, text: string): Candidate[] | FileFault {
  if (/\.json$/i.test(name) || /^\s*[{[]/.test(text)) {
    try {
      const parsed = JSON.parse(text) as { lures?: unknown } | unknown[]
      const list = Array.isArray(parsed) ? parsed : parsed.lures
      if (!Array.isArray(list)) throw new Error('no list')
      return list.map((one, i) => {
        const { id = '', ...body } = (typeof one === 'object' && one !== null ? one : {}) as { id?: unknown }
        return { line: i + 1, id: String(id), body, faults: [] }
      })
    } catch {
      return { line: 1, column: '', message: 'This is not a box as JSON: it needs a list of lures.' }
    }
  }
  const { data, meta } = Papa.parse<Partial<Row>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
  })
  const missing = ['finish'].filter(c => !meta.fields?.includes(c))
  if (missing.length)
    return { line: 1, column: missing[0]!, message: 'The first line must name the columns, "finish" among them.' }
  return data.map((row, i) => fromRow(row, i + 2))
}

const likenessOf = (b: LureRecord) => [b.finishId, b.name, b.keptIn, coatsText(b.coats)].join('|').toLowerCase()

/** Read a box out of a file. Nothing is written where any line is at fault; a lure that is in the box stays one. */
export function readBox(name: string, text: string, box: readonly Kept<'lure'>[]): FileRead {
  const read: FileRead = { writes: [], added: 0, changed: 0, same: 0, faults: [] }
  const candidates = candidatesOf(name, text)
  if (!Array.isArray(candidates)) return { ...read, faults: [candidates] }
  const byId = new Map(box.map(l => [l.id, l]))
  const byLikeness = new Map(box.map(l => [likenessOf(l.body), l.id]))
  for (const { line, id, body, faults } of candidates) {
    read.faults.push(...faults)
    if (faults.length) continue
    if (id && !UUID.test(id)) {
      read.faults.push({
        line,
        column: 'id',
        message: 'The id is not one Piscator made. Leave it empty for a new lure.',
      })
      continue
    }
    const result = check(RECORDS.lure, body)
    if (!result.ok) {
      for (const f of result.faults) {
        const key = f.path.split('.')[0]!
        read.faults.push({ line, column: COLUMN_OF[key] ?? key, message: f.message })
      }
      continue
    }
    const finish = finishById(result.value.finishId)
    if (finish?.lure !== result.value.lure) {
      read.faults.push({ line, column: 'finish', message: 'No finish of that lure is called so.' })
      continue
    }
    const known = id || byLikeness.get(likenessOf(result.value))
    const before = known ? byId.get(known)?.body : undefined
    const key = known || newId()
    byLikeness.set(likenessOf(result.value), key)
    byId.set(key, { id: key, at: '', body: result.value })
    if (before && JSON.stringify(sorted(before)) === JSON.stringify(sorted(result.value))) read.same++
    else {
      if (before) read.changed++
      else read.added++
      read.writes.push({ id: key, body: result.value })
    }
  }
  return read.faults.length ? { ...read, writes: [], added: 0, changed: 0 } : read
}
const sorted = (body: LureRecord) => Object.fromEntries(Object.entries(body).sort(([a], [b]) => (a < b ? -1 : 1)))
