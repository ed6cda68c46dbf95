import { isEqual } from 'ohash'
import { Op } from 'sequelize'
import { v7 as newId } from 'uuid'
import type { Answer } from '#core/ranking/answer'
import { finishById } from '#core/lure/finish'
import type { Request } from '#core/request/request'
import { keptQuestion, shownOf } from '#shared/kept'
import type { CallInput } from '#shared/schema/call'
import type { CallRecord } from '#shared/schema/record'
import { UUID } from '#shared/uuid'
import type { Database } from '#server/db/connection'
import { inTime } from '#server/db/inTime'
import { addEvents } from './log'
import type { Amount } from './turn'

/** Calls of one page of the list. */
export const PAGE = 200
/** Every finish of a lure: the place of what was tied on is wanted, however low it was. */
const ALL = 60

export interface CallOut {
  id: string
  waterId: string | null
  asked: Request
  tiedOn: { id: string; name: string }
  /** Its place in the list it was taken from, or by the engine alone where the server ranked it. */
  rank: number | null
  /** How far the list it was taken from leaned on the log, 0-1, where it did. */
  leaned?: number
  engineVersion: string
  keptAt: string
}

const callOut = (id: string, c: CallRecord): CallOut => ({
  id,
  waterId: c.waterId,
  asked: c.asked,
  tiedOn: { id: c.tiedOn, name: c.name },
  rank: c.rank,
  ...(c.leaned === undefined ? {} : { leaned: c.leaned }),
  engineVersion: c.shown.engine,
  keptAt: c.keptAt,
})

/** Where a page of the list ended: the next begins after it. */
export interface Cursor {
  keptAt: Date
  id: string
}

const CURSOR = /^(\d{1,15})\.(.{36})$/
export const cursorText = (c: Cursor) => `${c.keptAt.getTime()}.${c.id}`
/** A cursor as the client gives it back, or null where it is none. */
export function cursorOf(text: string): Cursor | null {
  const [, ms, id] = CURSOR.exec(text) ?? []
  return ms && id && UUID.test(id) ? { keptAt: new Date(Number(ms)), id } : null
}

export interface CallsPage {
  calls: CallOut[]
  next: Cursor | null
}

/** A page of an angler's calls, newest first. A finish that has left the catalogue is still named. */
export async function listCalls(
  { RecordRow }: Database,
  anglerId: string,
  after: Cursor | null = null,
  size = PAGE,
): Promise<CallsPage> {
  const older = after && {
    [Op.or]: [{ at: { [Op.lt]: after.keptAt } }, { at: after.keptAt, id: { [Op.gt]: after.id } }],
  }
  const rows = await RecordRow.findAll({
    where: { anglerId, kind: 'call', body: { [Op.not]: null }, ...older },
    order: [
      ['at', 'DESC'],
      ['id', 'ASC'],
    ],
    limit: size + 1,
    raw: true,
  })
  const page = rows.slice(0, size)
  const last = page.at(-1)
  return {
    calls: page.map(r => callOut(r.id, r.body as CallRecord)),
    next: rows.length > size && last ? { keptAt: last.at, id: last.id } : null,
  }
}

export type KeepResult =
  | { kind: 'kept'; call: CallOut }
  | { kind: 'unknown-finish' }
  | { kind: 'unknown-water' }
  /** The id belongs to another angler, or to a call with other content. */
  | { kind: 'taken' }
  /** The angler has kept all it may. */
  | { kind: 'quota' }

/** Whether a kept call is the one sent: what was asked, tied on, where and when. */
const isSame = (kept: CallRecord, input: CallInput, asked: Request) =>
  kept.tiedOn === input.tiedOn &&
  kept.waterId === (input.waterId ?? null) &&
  Date.parse(kept.keptAt) === Date.parse(input.keptAt) &&
  isEqual(kept.asked, asked)

/** Waters of the basin, and those of the angler's records. */
async function mayUse({ Water, RecordRow }: Database, anglerId: string, waterId: string): Promise<boolean> {
  if ((await Water.count({ where: { id: waterId } })) > 0) return true
  return (await RecordRow.count({ where: { anglerId, kind: 'water', id: waterId } })) > 0
}

/** The call an id stands for, the angler's own where there is one, else another's. */
async function callAt({ RecordRow }: Database, anglerId: string, id: string) {
  const rows = await RecordRow.findAll({ where: { kind: 'call', id }, raw: true })
  return rows.find(r => r.anglerId === anglerId) ?? rows[0] ?? null
}

/**
 * Keep a call under an id the client made. Keeping again under the same id changes nothing, so a client that never
 * heard the answer may simply send it once more. The ranking is worked out here, not taken from the client, and
 * before the database is asked to wait for it.
 */
export async function keepCall(
  db: Database,
  rank: (request: Request) => Promise<string>,
  anglerId: string,
  id: string,
  input: CallInput,
  nowMs: number,
  quota?: Amount,
): Promise<KeepResult> {
  const finish = finishById(input.tiedOn)
  if (!finish || finish.lure !== input.asked.lure) return { kind: 'unknown-finish' }
  if (input.waterId && !(await mayUse(db, anglerId, input.waterId))) return { kind: 'unknown-water' }
  const asked = keptQuestion(input.asked, input.exactPlace ?? false)
  const before = await callAt(db, anglerId, id)
  if (before && before.anglerId !== anglerId) return { kind: 'taken' }
  if (!before?.body) {
    const { ranked } = JSON.parse(await rank({ ...asked, limit: ALL })) as Answer
    const body: CallRecord = {
      asked,
      tiedOn: finish.id,
      name: finish.name,
      keptAt: new Date(input.keptAt).toISOString(),
      waterId: input.waterId ?? null,
      rank: ranked.find(r => r.finish.id === finish.id)?.rank ?? null,
      shown: shownOf(ranked.map(r => r.finish.id)),
      ...(input.leaned === undefined ? {} : { leaned: input.leaned }),
    }
    // Sent twice at one moment it is one change, by its id; kept again after it was taken back it is another.
    const event = before
      ? { id: newId(), at: new Date(Math.max(Date.parse(input.keptAt), before.at.getTime() + 1)).toISOString() }
      : { id, at: body.keptAt }
    const added = inTime(addEvents(db, anglerId, [{ ...event, kind: 'call', recordId: id, body }], nowMs, quota))
    if (!(await added)) return { kind: 'quota' }
  }
  const now = await callAt(db, anglerId, id)
  const kept = now?.anglerId === anglerId ? (now.body as CallRecord | null) : null
  return kept && isSame(kept, input, asked) ? { kind: 'kept', call: callOut(id, kept) } : { kind: 'taken' }
}

/** Take a call back; nothing happens where it is not there or not the angler's. */
export async function forgetCall(db: Database, anglerId: string, id: string, nowMs: number): Promise<void> {
  const kept = await callAt(db, anglerId, id)
  if (kept?.anglerId !== anglerId || !kept.body) return
  const at = new Date(Math.max(nowMs, kept.at.getTime() + 1)).toISOString()
  await inTime(addEvents(db, anglerId, [{ id: newId(), kind: 'call', recordId: id, at, body: null }], nowMs))
}
