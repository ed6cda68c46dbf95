import { createHash, randomBytes } from 'node:crypto'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'
import { tellNews } from '#server/records/wake'

/** How long taking everything away can be undone, min. */
export const UNDO_MIN = 10
/** Events erased in one statement: well within what one may take. */
const AT_ONCE = 5000

const hashOf = (undo: string) => createHash('sha256').update(`undo:${undo}`).digest('hex')

/**
 * Take an angler's things away: from now on nobody reads or writes them, and in a while they are erased.
 * @param by the session that takes it away: it hears so by its answer, and its word with it
 * @returns the word to undo it by, told to this device alone
 */
export async function takeAway(db: Database, anglerId: string, by: string): Promise<{ undo: string; until: Date }> {
  const undo = randomBytes(16).toString('base64url')
  const [taken] = await rows<{ until: Date }>(
    db,
    `update anglers set erase_at = now() + interval '${UNDO_MIN} minutes', undo_hash = $hash
     where id = $anglerId returning erase_at as until`,
    { anglerId, hash: hashOf(undo) },
  )
  if (!taken) throw new Error('nobody to take away')
  await tellNews(db, anglerId, by)
  return { undo, until: taken.until }
}

/** Bring back what was taken away, where it still can be: whose it is, or null. */
export async function bringBack(db: Database, undo: string): Promise<string | null> {
  const [back] = await rows<{ id: string }>(
    db,
    'update anglers set erase_at = null, undo_hash = null where undo_hash = $hash and erase_at > now() returning id',
    { hash: hashOf(undo) },
  )
  return back?.id ?? null
}

/** Erase what can no longer be brought back: its events some at a time, then all that hangs on its row. */
export async function eraseDue(db: Database): Promise<number> {
  const due = await rows<{ id: string }>(db, 'select id from anglers where erase_at < now() limit 100')
  for (const { id } of due) {
    for (const table of ['events', 'records'] as const) {
      let gone
      do {
        gone = await rows(
          db,
          `delete from ${table} where ctid = any (array(
             select ctid from ${table} where angler_id = $id limit ${AT_ONCE})) returning 1`,
          { id },
        )
      } while (gone.length)
    }
    // Who joined it had nothing left but a row.
    await rows(db, 'delete from anglers where id in (select from_angler from moves where to_angler = $id)', { id })
    await rows(db, 'delete from challenges where angler_id = $id', { id })
    await rows(db, 'delete from anglers where id = $id and erase_at < now()', { id })
  }
  return due.length
}
