import { randomBytes } from 'node:crypto'
import { ENGINE_VERSION } from '#core/ranking/version'
import type { LureRecord } from '#shared/schema/record'
import { SHARE_DAYS, type ShareKind, type ShareOut } from '#shared/schema/share'
import type { Shared } from '#shared/share'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'
import { titleOf } from './freeze'

/** Links of one angler at once: each is some kilobytes. */
export const MOST_SHARES = 200

interface Row {
  id: string
  kind: ShareKind
  title: string
  finishId: string | null
  createdAt: Date
  until: Date | null
  openings: string
}
const COLUMNS = `id, kind, title, created_at as "createdAt", expires_at as until, openings,
  coalesce(body -> 'finish' ->> 'id', body -> 'pack' -> 0 ->> 'finishId', body -> 'finishes' -> 0 ->> 'id',
    body -> 'lures' -> 0 -> 'finishes' -> 0 ->> 'finishId') as "finishId"`
const out = (r: Row): ShareOut => ({
  ...r,
  createdAt: r.createdAt.toISOString(),
  until: r.until?.toISOString() ?? null,
  openings: Number(r.openings),
})

/**
 * Keep what a link shows under a random address of 128 bits.
 * @param days how long it is good; null until it is taken back
 * @returns null where the angler has as many as fit
 */
export async function makeShare(
  db: Database,
  anglerId: string,
  shared: Shared,
  days: number | null = SHARE_DAYS.usual,
): Promise<ShareOut | null> {
  await rows(db, 'delete from shares where angler_id = $anglerId and expires_at < now()', { anglerId })
  const [made] = await rows<Row>(
    db,
    `insert into shares (id, angler_id, kind, title, engine_version, body, expires_at)
     select $id, $anglerId, $kind, $title, $engine, cast($body as jsonb),
       now() + make_interval(days => cast($days as integer))
     where (select count(*) from shares where angler_id = $anglerId) < ${MOST_SHARES}
     returning ${COLUMNS}`,
    {
      id: randomBytes(16).toString('base64url'),
      anglerId,
      kind: shared.kind,
      title: titleOf(shared).slice(0, 120),
      engine: ENGINE_VERSION,
      body: JSON.stringify(shared),
      days,
    },
  )
  return made ? out(made) : null
}

/** An angler's links, the newest first; those that ran out are left out. */
export async function listShares(db: Database, anglerId: string): Promise<ShareOut[]> {
  const found = await rows<Row>(
    db,
    `select ${COLUMNS} from shares where angler_id = $anglerId and (expires_at is null or expires_at > now())
     order by created_at desc, id`,
    { anglerId },
  )
  return found.map(out)
}

/** Take a link back: from then on it shows nothing. */
export const takeBack = (db: Database, anglerId: string, id: string) =>
  rows(db, 'delete from shares where id = $id and angler_id = $anglerId', { anglerId, id })

export interface OpenShare {
  shared: Shared
  title: string
  engine: string
  /** Whose it is, by the name of the account. */
  by: string | null
}

/** What a link shows; null where there is none any more. */
export async function openShare(db: Database, id: string): Promise<OpenShare | null> {
  const [found] = await rows<OpenShare>(
    db,
    `select s.body as shared, s.title, s.engine_version as engine, a.name as by
     from shares s join anglers a on a.id = s.angler_id and a.erase_at is null
     where s.id = $id and (s.expires_at is null or s.expires_at > now())`,
    { id },
  )
  return found ?? null
}

/** The picture of a link as it was drawn, PNG; null where there is none yet. */
export async function drawnPicture(db: Database, id: string): Promise<Buffer | null> {
  const [found] = await rows<{ picture: Buffer | null }>(db, 'select picture from shares where id = $id', { id })
  return found?.picture ?? null
}

/** Keep the picture of a link, PNG in base64; how large it is. */
export async function keepPicture(db: Database, { id, png }: { id: string; png: string }): Promise<{ bytes: number }> {
  const [kept] = await rows<{ bytes: number }>(
    db,
    `update shares set picture = decode($png, 'base64') where id = $id returning length(picture) as bytes`,
    { id, png },
  )
  return kept ?? { bytes: 0 }
}

/** Count an opening, without who. */
export const countOpening = (db: Database, id: string) =>
  rows(db, 'update shares set openings = openings + 1 where id = $id', { id })

/** An angler's lures, as their records have them. */
export async function carriedLures(db: Database, anglerId: string): Promise<LureRecord[]> {
  const found = await rows<{ body: LureRecord }>(
    db,
    `select body from records where angler_id = $anglerId and kind = 'lure' and body is not null order by at, id`,
    { anglerId },
  )
  return found.map(r => r.body)
}
