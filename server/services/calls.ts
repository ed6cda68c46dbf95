import { isEqual } from 'ohash'
import { Op, col, fn, literal } from 'sequelize'
import type { Answer } from '#core/ranking/answer'
import { ENGINE_VERSION } from '#core/ranking/version'
import { finishById } from '#core/lure/finish'
import type { Request } from '#core/request/request'
import type { CallInput } from '#shared/schema/call'
import { UUID } from '#shared/uuid'
import type { Database } from '#server/db/connection'
import type { Call } from '#server/db/models'

/** Calls of one page of the list. */
export const PAGE = 200
/** What one device may keep: so many calls, and so many bytes of what was asked and answered. */
export const QUOTA = { calls: 20_000, bytes: 400_000_000 } as const
/** A place is kept to a hundredth of a degree, about a kilometre: enough for the sun, too little for a secret spot. */
const PLACE_DECIMALS = 2
/** Every finish of a lure: the place of what was tied on is wanted, however low it was. */
const ALL = 60
/** Of the ranking so many places are kept with a call, and that of what was tied on. */
const KEPT_PLACES = 10

/** What a list shows of a call; the answer itself, fifty times as large, stays in the database. */
const LISTED = ['id', 'waterId', 'asked', 'tiedOn', 'rank', 'leaned', 'engineVersion', 'keptAt'] as const

export interface CallOut {
  id: string
  waterId: string | null
  asked: CallInput['asked']
  tiedOn: { id: string; name: string }
  /** By the engine alone: what the log leaned is not in it. */
  rank: number | null
  /** How far the list it was taken from leaned on the log, 0-1, where it did. */
  leaned?: number
  engineVersion: string
  keptAt: string
}

const callOut = (c: Call): CallOut => ({
  id: c.id,
  waterId: c.waterId,
  asked: c.asked,
  tiedOn: { id: c.tiedOn, name: c.finish!.name },
  rank: c.rank,
  ...(c.leaned === null ? {} : { leaned: c.leaned }),
  engineVersion: c.engineVersion,
  keptAt: c.keptAt.toISOString(),
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
  { Call: calls, FinishRow }: Database,
  anglerId: string,
  after: Cursor | null = null,
  size = PAGE,
): Promise<CallsPage> {
  const older = after && {
    [Op.or]: [{ keptAt: { [Op.lt]: after.keptAt } }, { keptAt: after.keptAt, id: { [Op.gt]: after.id } }],
  }
  const rows = await calls.findAll({
    attributes: [...LISTED],
    where: { anglerId, ...older },
    include: { model: FinishRow, as: 'finish', attributes: ['name'], required: true },
    order: [
      ['keptAt', 'DESC'],
      ['id', 'ASC'],
    ],
    limit: size + 1,
    // Plain rows: two hundred models with their watching would cost ten times as much.
    raw: true,
    nest: true,
  })
  const page = rows.slice(0, size)
  const last = page.at(-1)
  return {
    calls: page.map(callOut),
    next: rows.length > size && last ? { keptAt: last.keptAt, id: last.id } : null,
  }
}

export type KeepResult =
  | { kind: 'kept'; call: CallOut }
  | { kind: 'unknown-finish' }
  | { kind: 'unknown-water' }
  /** The id belongs to another angler, or to a call with other content. */
  | { kind: 'taken' }
  /** The device has kept all it may. */
  | { kind: 'quota' }

/** What is kept of a question: without the exact place, unless the angler wants it kept. */
function withoutPlace({ asked, exactPlace }: CallInput): CallInput['asked'] {
  const { at } = asked.light
  if (!at || exactPlace) return asked
  const rough = (deg: number) => Number(deg.toFixed(PLACE_DECIMALS))
  return {
    ...asked,
    light: { ...asked.light, at: { ...at, latitude: rough(at.latitude), longitude: rough(at.longitude) } },
  }
}

async function isFull(
  { Call: calls }: Database,
  anglerId: string,
  quota: { calls: number; bytes: number },
): Promise<boolean> {
  const rows = (await calls.findAll({
    where: { anglerId },
    attributes: [
      [fn('count', literal('*')), 'count'],
      [fn('coalesce', fn('sum', col('bytes')), 0), 'bytes'],
    ],
    raw: true,
  })) as unknown as { count: string; bytes: string }[]
  return Number(rows[0]!.count) >= quota.calls || Number(rows[0]!.bytes) >= quota.bytes
}

/** Whether a kept call is the one sent: what was asked, tied on, where and when. */
const isSame = (c: Call, input: CallInput, asked: CallInput['asked']) =>
  c.tiedOn === input.tiedOn &&
  c.waterId === (input.waterId ?? null) &&
  c.keptAt.getTime() === Date.parse(input.keptAt) &&
  isEqual(c.asked, asked)

/** Waters of the basin, and those the angler's devices have told of. */
async function mayUse({ Water, EventRow }: Database, anglerId: string, waterId: string): Promise<boolean> {
  const water = await Water.findByPk(waterId, { attributes: ['anglerId'] })
  if (water) return water.anglerId === null || water.anglerId === anglerId
  return (await EventRow.count({ where: { anglerId, kind: 'water', recordId: waterId } })) > 0
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
  quota = QUOTA as { calls: number; bytes: number },
): Promise<KeepResult> {
  const finish = finishById(input.tiedOn)
  if (!finish || finish.lure !== input.asked.lure) return { kind: 'unknown-finish' }
  if (input.waterId && !(await mayUse(db, anglerId, input.waterId))) return { kind: 'unknown-water' }
  const find = () =>
    db.Call.findByPk(id, {
      attributes: [...LISTED, 'anglerId'],
      include: { model: db.FinishRow, as: 'finish', attributes: ['name'] },
    })
  const asked = withoutPlace(input)
  if (!(await find())) {
    if (await isFull(db, anglerId, quota)) return { kind: 'quota' }
    const text = await rank({ ...asked, limit: ALL })
    const answer = JSON.parse(text) as Answer
    const place = answer.ranked.find(r => r.finish.id === finish.id)?.rank ?? null
    const kept = { ...answer, ranked: answer.ranked.filter(r => r.rank <= KEPT_PLACES || r.rank === place) }
    const call = {
      id,
      anglerId,
      waterId: input.waterId ?? null,
      asked,
      answer: kept,
      bytes: JSON.stringify(kept).length + JSON.stringify(asked).length,
      rank: place,
      leaned: input.leaned ?? null,
      engineVersion: ENGINE_VERSION,
      tiedOn: finish.id,
      keptAt: new Date(input.keptAt),
    }
    // One statement, all or nothing; where another sending was quicker, its row stands.
    await db.Call.bulkCreate([call], { ignoreDuplicates: true })
  }
  const row = await find()
  return row!.anglerId === anglerId && isSame(row!, input, asked)
    ? { kind: 'kept', call: callOut(row!) }
    : { kind: 'taken' }
}

/** Take a call back; nothing happens where it is not there or not the angler's. */
export async function forgetCall({ Call: calls }: Database, anglerId: string, id: string): Promise<void> {
  await calls.destroy({ where: { id, anglerId } })
}
