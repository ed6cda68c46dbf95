import { pieces } from '#shared/pieces'
import { type Fault, check } from '#shared/faults'
import { upToDate } from '#shared/recordVersion'
import type { Imported } from '#shared/schema/everything'
import { type SyncEvent, eventSchema } from '#shared/schema/sync'
import { AT_ONCE } from '#shared/sync'

/** What an older Piscator wrote is held to what its kind is now, brought up to it. */
const asOfNow = (input: unknown): unknown =>
  typeof input === 'object' && input !== null ? upToDate(input as SyncEvent) : input

/** An event as it came, held to its schema. */
export const checkedEvent = (input: unknown) => check(eventSchema, asOfNow(input))

/** Ids are the same in large and small letters (RFC 9562, 4), and kept in small ones. */
export const withSmallIds = (e: SyncEvent): SyncEvent => ({
  ...e,
  id: e.id.toLowerCase(),
  recordId: e.recordId.toLowerCase(),
})

/** What is wrong with what the database objects to. */
export const UNKEPT: Fault = {
  path: 'body',
  code: 'unkept',
  message: 'The database does not take this record as it is.',
}
/** What is wrong where there is no more room. */
export const NO_ROOM: Fault = { path: '', code: 'quota', message: 'This angler has kept all that fits here.' }

/** Some records of a file, held to their schema: those that fit, with their places, and why the others do not. */
export interface CheckedRecords {
  good: { at: number; event: SyncEvent }[]
  faults: Imported['faults']
}

/**
 * Records of a file in pieces, as many in each as a device sends at once, as JSON text with the place of its first:
 * what nobody has looked at yet may hold what the database takes in no other form.
 */
export const recordPieces = ({ records }: { records: readonly unknown[] }) => ({
  pieces: pieces(records, AT_ONCE).map((some, i) => ({
    from: i * AT_ONCE,
    text: JSON.stringify(some),
  })),
})

/** Hold records to what their kinds are now. */
export function checkRecords({ from, text }: { from: number; text: string }): CheckedRecords {
  const checked: CheckedRecords = { good: [], faults: [] }
  const records = JSON.parse(text) as unknown[]
  records.forEach((record, i) => {
    const result = checkedEvent(record)
    if (result.ok) checked.good.push({ at: from + i, event: withSmallIds(result.value) })
    else checked.faults.push({ at: from + i, code: 'record', message: result.faults.map(f => f.message).join(' ') })
  })
  return checked
}

/** Faults that are told of one file. */
export const MOST_TOLD = 100

/** What parts of a file came to, together. */
export const importedOf = (parts: readonly Imported[]): Imported => ({
  kept: parts.reduce((sum, p) => sum + p.kept, 0),
  refused: parts.reduce((sum, p) => sum + p.refused, 0),
  faults: parts.flatMap(p => p.faults).slice(0, MOST_TOLD),
})
