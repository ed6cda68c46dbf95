import { nameOf } from '#server/accounts/account'
import { handOn } from '#server/crew/aboard'
import { NO_ROOM, UNKEPT, checkedEvent, withSmallIds } from '#server/records/checked'
import { tellNews } from '#server/records/wake'
import { continueMoves } from '#server/records/moves'
import { type SyncResult, syncEvents } from '#server/records/exchange'
import { check } from '#shared/faults'
import { type SyncAnswer, type SyncEvent, eventSchema, syncSchema } from '#shared/schema/sync'

/** Most bytes of a sync: 200 events of some 5 kB. */
const MOST_BYTES = 1024 * 1024
/** Events checked between two looks at other requests. */
const CHECKED_AT_ONCE = 20
/** Syncs one device may have under way. */
const MOST_OF_ONE = 6

const underWay = new Map<string, number>()

/**
 * Events in, acknowledged ids and other devices' events out, by cursor: 200 also where single events are refused, each
 * with its faults; 422 where the request itself is wrong or the device has kept all it may; 409 where the device is not
 * who it was told it is, so that nothing is called sent that its owner could not read back.
 */
export default defineEventHandler(async (event): Promise<SyncAnswer> => {
  const device = deviceOf(event)
  const mine = underWay.get(device) ?? 0
  if (mine >= MOST_OF_ONE) {
    setResponseHeader(event, 'retry-after', 1)
    throw faultError(429, [{ path: '', code: 'too-many', message: 'Too many requests. Try again in a moment.' }])
  }
  underWay.set(device, mine + 1)
  try {
    const { cursor = null, angler = null, events } = validated(syncSchema, await jsonBody(event, MOST_BYTES), 'events')
    const { good, refused } = await checkedEvents(events)
    const { anglerId, id: sessionId } = await ensureSession(event)
    const mark = anglerMark(anglerId)
    if (angler && angler !== mark) throw faultError(409, [ANOTHER])
    // What others aboard have tapped is told with the rest.
    await handOn(database(), anglerId)
    const lowered = good.map(g => withSmallIds(g.event))
    const result = await syncEvents(database(), anglerId, lowered, cursor, Date.now())
    void continueMoves(database(), anglerId).catch(logLater)
    if (lowered.length) {
      void tellNews(database(), anglerId, sessionId).catch(logLater)
      void handOn(database(), anglerId).catch(logLater)
    }
    return answerOf(result, { angler: mark, name: await nameOf(database(), anglerId) }, good, refused)
  } finally {
    const left = underWay.get(device)! - 1
    if (left) underWay.set(device, left)
    else underWay.delete(device)
  }
})

interface Good {
  index: number
  event: SyncEvent
}

/** Events held to their schema, a few at a time so that other requests come in between. */
async function checkedEvents(events: readonly unknown[]) {
  const good: Good[] = []
  const refused: SyncAnswer['refused'] = []
  for (const [index, input] of events.entries()) {
    if (index % CHECKED_AT_ONCE === 0) await new Promise(resolve => setImmediate(resolve))
    const result = checkedEvent(input)
    if (result.ok) good.push({ index, event: result.value })
    else refused.push({ index, id: idOf(input), errors: result.faults })
  }
  return { good, refused }
}

const ANOTHER = {
  path: 'angler',
  code: 'another',
  message: 'This device is somebody else by now: its cookie was cleared, or it signed in elsewhere.',
}

function answerOf(
  result: SyncResult,
  who: Pick<SyncAnswer, 'angler' | 'name'>,
  good: readonly Good[],
  refused: SyncAnswer['refused'],
): SyncAnswer {
  if (result.kind === 'quota') {
    throw faultError(422, [NO_ROOM])
  }
  const { kind: _, objected, ...answer } = result
  const isKept = ({ event }: Good) => !objected.has(event.id.toLowerCase())
  const unkept = good.filter(g => !isKept(g))
  return {
    // As they were sent, so that whoever sent them knows them again.
    accepted: good.filter(isKept).map(g => g.event.id),
    ...who,
    refused: [...refused, ...unkept.map(g => ({ index: g.index, id: g.event.id, errors: [UNKEPT] }))],
    ...answer,
  }
}

/** The id of a refused event, where it has one that may be said again. */
function idOf(input: unknown): string | null {
  const { id } = (typeof input === 'object' && input !== null ? input : {}) as { id?: unknown }
  return check(eventSchema.extract('id'), id).ok ? (id as string) : null
}
