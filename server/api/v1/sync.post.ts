import { syncEvents } from '#server/services/sync'
import { check } from '#shared/faults'
import { type SyncAnswer, type SyncEvent, eventSchema, syncSchema } from '#shared/schema/sync'

/** Most bytes of a sync: 200 events of some 5 kB. */
const MOST_BYTES = 1024 * 1024

/**
 * Events in, acknowledged ids and other devices' events out, by cursor: 200 also where single events are refused, each
 * with its faults; 422 where the request itself is wrong or the device has kept all it may.
 */
export default defineEventHandler(async (event): Promise<SyncAnswer> => {
  const { cursor = null, events } = validated(syncSchema, await jsonBody(event, MOST_BYTES))
  const good: SyncEvent[] = []
  const refused: SyncAnswer['refused'] = []
  events.forEach((input, index) => {
    const result = check(eventSchema, input)
    if (result.ok) good.push(result.value)
    else refused.push({ index, id: idOf(input), errors: result.faults })
  })
  const result = await syncEvents(database(), await ensureAngler(event), good, cursor, Date.now())
  if (result.kind === 'quota') {
    throw faultError(422, [{ path: '', code: 'quota', message: 'This angler has kept all that fits here.' }])
  }
  const { kind: _, ...answer } = result
  return { accepted: good.map(e => e.id), refused, ...answer }
})

/** The id of a refused event, where it has one that may be said again. */
function idOf(input: unknown): string | null {
  const { id } = (typeof input === 'object' && input !== null ? input : {}) as { id?: unknown }
  return check(eventSchema.extract('id'), id).ok ? (id as string) : null
}
