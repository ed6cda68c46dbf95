import type { Everything } from '#shared/schema/everything'
import type { SyncEvent } from '#shared/schema/sync'
import { upToDate } from '#shared/recordVersion'

export function everythingFile(records: readonly SyncEvent[], nowMs: number): string {
  const file: Everything = {
    piscator: 'everything',
    version: 1,
    savedAt: new Date(nowMs).toISOString(),
    records: [...records].sort((a, b) => a.kind.localeCompare(b.kind) || a.recordId.localeCompare(b.recordId)),
  }
  return JSON.stringify(file, null, 1)
}

export interface EverythingRead {
  records: SyncEvent[]
  /** What is wrong with those that were left out, by their place in the file. */
  faults: { at: number; words: string }[]
}

/** Records checked between two looks at the screen. */
const AT_ONCE = 200

/** A file of everything, each record held to what its kind is now; null where it is no such file. */
export async function readEverything(
  text: string,
  onProgress: (done: number, of: number) => void = () => {},
): Promise<EverythingRead | null> {
  let file: Partial<Everything>
  try {
    file = JSON.parse(text) as Partial<Everything>
  } catch {
    return null
  }
  if (typeof file !== 'object' || file?.piscator !== 'everything' || !Array.isArray(file.records)) return null
  // What checks them is large, and wanted by nothing else in the page.
  const [{ eventSchema }, { check }] = await Promise.all([import('#shared/schema/sync'), import('#shared/faults')])
  const read: EverythingRead = { records: [], faults: [] }
  for (const [at, record] of file.records.entries()) {
    if (at % AT_ONCE === 0) {
      onProgress(at, file.records.length)
      await new Promise(resolve => setTimeout(resolve))
    }
    const isRecord = typeof record === 'object' && record !== null
    const result = check(eventSchema, isRecord ? upToDate(record) : record)
    if (result.ok) read.records.push(result.value)
    else read.faults.push({ at, words: result.faults.map(f => f.message).join(' ') })
  }
  return read
}
