import type { RecordKind } from '#shared/schema/record'
import { upToDate } from '#shared/recordVersion'
import type { SyncEvent } from '#shared/schema/sync'

/** Whether one change stands over another to the same record: the later does, of equals the greater id. */
export const standsOver = (a: SyncEvent, b: SyncEvent): boolean => {
  const [at, bt] = [Date.parse(a.at), Date.parse(b.at)]
  return at === bt ? a.id > b.id : at > bt
}

/** The change that stands for each record, by kind and record. The same whatever order events come in. */
export type PresentRecord = Map<RecordKind, Map<string, SyncEvent>>

/** Take events in; tells whether anything stands differently now. */
export function takeIn(standing: PresentRecord, events: readonly SyncEvent[]): boolean {
  let changed = false
  for (const event of events.map(upToDate)) {
    let records = standing.get(event.kind)
    if (!records) standing.set(event.kind, (records = new Map()))
    const known = records.get(event.recordId)
    // The server may have held the same change to the present: then its word of when stands.
    const same = known?.id === event.id
    if (known && (same ? known.at === event.at : !standsOver(event, known))) continue
    records.set(event.recordId, event)
    changed = true
  }
  return changed
}
