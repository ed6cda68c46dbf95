import type { Database } from '../db/connection'
import type { Call } from '../db/models'
import { ENGINE_VERSION, recommend } from '#core/ranking/recommend'
import { finishById } from '#core/finish/finish'
import type { CallInput } from '#shared/schema/call'

/** Most calls listed at once. */
const PAGE = 200

export interface CallOut { id: string, waterId: string | null, asked: CallInput['asked'], tiedOn: { id: string, name: string }, rank: number | null, engineVersion: string, keptAt: string }

function callOut(c: Call): CallOut {
  const rank = c.answer.ranked.find(r => r.finish.id === c.tiedOn)?.rank ?? null
  return {
    id: c.id, waterId: c.waterId, asked: c.asked, tiedOn: { id: c.tiedOn, name: finishById(c.tiedOn)?.name ?? c.tiedOn },
    rank, engineVersion: c.engineVersion, keptAt: c.keptAt.toISOString(),
  }
}

/** Calls of an angler, newest first. */
export async function listCalls({ Call: calls }: Database, anglerId: string): Promise<CallOut[]> {
  const rows = await calls.findAll({ where: { anglerId }, order: [['keptAt', 'DESC'], ['id', 'ASC']], limit: PAGE })
  return rows.map(callOut)
}

export type KeepResult = { kind: 'kept', call: CallOut } | { kind: 'unknown-finish' } | { kind: 'unknown-water' } | { kind: 'taken' }

/**
 * Keep a call under an id the client made. Keeping again under the same id changes nothing, so a client that never heard the answer may
 * simply send it once more. The ranking is worked out here, not taken from the client.
 */
export async function keepCall(db: Database, anglerId: string, id: string, input: CallInput): Promise<KeepResult> {
  const finish = finishById(input.tiedOn)
  if (!finish || finish.lure !== input.asked.lure) return { kind: 'unknown-finish' }
  return db.sequelize.transaction(async (transaction) => {
    if (input.waterId) {
      const water = await db.Water.findByPk(input.waterId, { transaction })
      if (!water || (water.anglerId && water.anglerId !== anglerId)) return { kind: 'unknown-water' as const }
    }
    const answer = recommend({ ...input.asked, limit: 60 })
    await db.Call.bulkCreate([{
      id, anglerId, waterId: input.waterId ?? null, asked: input.asked, answer, engineVersion: ENGINE_VERSION, tiedOn: finish.id, keptAt: new Date(input.keptAt),
    }], { ignoreDuplicates: true, transaction })
    const row = await db.Call.findByPk(id, { transaction })
    return row!.anglerId === anglerId ? { kind: 'kept' as const, call: callOut(row!) } : { kind: 'taken' as const }
  })
}

/** Take a call back; nothing happens where it is not there or not the angler's. */
export async function forgetCall({ Call: calls }: Database, anglerId: string, id: string): Promise<void> {
  await calls.destroy({ where: { id, anglerId } })
}
