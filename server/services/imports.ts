import { type Asker, chunk } from '#server/ranking/chunks'
import type { LongWork } from '#server/ranking/longWork'
import type { Imported } from '#shared/schema/everything'

/** A file of everything in pieces, each some of its records as JSON text. */
export interface ImportAsk {
  pieces: { from: number; text: string }[]
}

/** A file of everything, its records as they came; throws a `FaultyError` where it is none. */
export const checkedImport = (input: unknown, asker: Asker): Promise<ImportAsk> =>
  chunk({ kind: 'check-import', asked: input }, asker)

/** The work of a file: its records held to their schema, and kept as `keepChecked` does. */
export const importWork = (ask: ImportAsk): LongWork => ({
  parts: ask.pieces.map(piece => ({ kind: 'check-records', asked: piece })),
  whole: parts => ({ kind: 'imported', asked: parts as Imported[] }),
})
