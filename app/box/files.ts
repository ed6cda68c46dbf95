import { finishById } from '#core/lure/finish'
import { parseCoat } from '#core/paintwork/coat'
import { PARTS } from '#core/paintwork/parts'
import { type LureRecord, RECORDS } from '#shared/schema/record'
import {
  CellError,
  type CsvColumn,
  type FileRead,
  entryOf,
  fromTable,
  jsonList,
  numberColumn,
  takeRecords,
  textColumn,
  toTable,
  yesNoColumn,
} from '~/files/table'
import type { Kept } from '~/records/store'

/**
 * The box as a file. CSV with a head line, one lure a line; coats as "flank=#3a7d44:matte; belly=…". JSON holds the
 * same records in a list. An id makes a line the same lure when it comes in again; without one, the same finish under
 * the same name in the same place is.
 */
type Coats = NonNullable<LureRecord['coats']>
const coatsText = (coats: LureRecord['coats']) =>
  Object.entries(coats ?? {})
    .map(([part, c]) => `${part}=${c.colour}:${c.material}`)
    .join('; ')

function coatsOf(text: string): Coats | undefined {
  const out: Coats = {}
  for (const piece of text.split(';').map(s => s.trim())) {
    if (!piece) continue
    const [part, colour, material] = piece.split(/[=:]/).map(s => s.trim())
    try {
      if (!PARTS.includes(part as never) || !colour || !material) throw new Error('not a coat')
      parseCoat(`${colour}:${material}`)
    } catch {
      throw new CellError('Write coats like flank=#3a7d44:matte; belly=#ffffff:pearl.')
    }
    out[part as keyof Coats] = { colour: colour.toLowerCase(), material } as Coats[keyof Coats]
  }
  return Object.keys(out).length ? out : undefined
}

const COLUMNS: readonly CsvColumn<LureRecord>[] = [
  textColumn('lure'),
  {
    ...textColumn<LureRecord>('finishId', 'finish'),
    read: text => {
      if (!finishById(text)) throw new CellError('No finish is called so. See the ids in a file you saved.')
      return text
    },
  },
  textColumn('name'),
  numberColumn('count', 'count', 1),
  textColumn('wear', 'wear', 'used'),
  textColumn('keptIn'),
  textColumn('note'),
  yesNoColumn('retired'),
  { name: 'coats', key: 'coats', write: b => coatsText(b.coats), read: coatsOf },
]

export const toCsv = (lures: readonly Kept<'lure'>[]): string => toTable(COLUMNS, lures)
export const toJson = (lures: readonly Kept<'lure'>[]): string =>
  JSON.stringify({ format: 'piscator-box', version: 1, lures: lures.map(({ id, body }) => ({ id, ...body })) }, null, 2)

function candidatesOf(name: string, text: string) {
  if (/\.json$/i.test(name) || /^\s*[{[]/.test(text)) {
    const list = jsonList(text, 'lures')
    if (!list) return { line: 1, column: '', message: 'This is not a box as JSON: it needs a list of lures.' }
    return list.map((one, i) => ({ line: i + 1, ...entryOf(one), faults: [] }))
  }
  const rows = fromTable(COLUMNS, text, ['finish'])
  if (!Array.isArray(rows)) return rows
  // A line may leave to its finish what lure it is and what it is called.
  return rows.map(row => {
    const body = row.body as Partial<LureRecord>
    const finish = finishById(body.finishId ?? '')
    return { ...row, body: { ...body, lure: body.lure || finish?.lure, name: body.name || finish?.name } }
  })
}

/** Read a box out of a file; a lure that is in the box stays one. */
export const readBox = (name: string, text: string, box: readonly Kept<'lure'>[]): FileRead<LureRecord> =>
  takeRecords(
    candidatesOf(name, text),
    {
      schema: RECORDS.lure,
      columnOf: { finishId: 'finish' },
      likeness: b => [b.finishId, b.name, b.keptIn, coatsText(b.coats)].join('|').toLowerCase(),
      also: b =>
        finishById(b.finishId)?.lure === b.lure
          ? null
          : { column: 'finish', message: 'No finish of that lure is called so.' },
    },
    box,
  )
