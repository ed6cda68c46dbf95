import pg from 'pg'
import type { Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import { rows } from '#server/db/rows'

/** The channel on which processes tell one another that an angler's records have something new. */
const CHANNEL = 'records'
/** How long until a broken line is tried again, ms: at first, and at most. */
const AGAIN_MS = { first: 500, most: 15_000 } as const
/** How long the database is waited for when a line is opened, ms. */
const CONNECT_MS = 3000

/**
 * Tell every process that an angler has something new, in a transaction once that is over.
 * @param by the session that wrote it, which knows it already
 */
export const tellNews = (db: Database, anglerId: string, by = '', transaction?: Transaction) =>
  rows(db, 'select pg_notify($channel, $news)', { channel: CHANNEL, news: `${anglerId} ${by}` }, transaction)

export interface NewsLine {
  /** Hear of an angler's news, with the session it came from; gives back how to stop. */
  listen: (anglerId: string, heard: (by: string) => void) => () => void
  close: () => Promise<void>
}

/**
 * A line to the database on which news are heard, one for a process, open while anybody listens. Broken off, it is
 * opened again, and everybody is told then: what was missed meanwhile is not known.
 */
export function openNewsLine(url: string): NewsLine {
  const listeners = new Map<string, Set<(by: string) => void>>()
  let client: pg.Client | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  let waitMs: number = AGAIN_MS.first
  let closed = false

  const tell = (anglerId: string, by: string) => {
    for (const heard of listeners.get(anglerId) ?? []) heard(by)
  }
  async function open(missed: boolean): Promise<void> {
    const mine = new pg.Client({ connectionString: url, connectionTimeoutMillis: CONNECT_MS, keepAlive: true })
    client = mine
    mine.on('notification', ({ payload = '' }) => {
      const [anglerId = '', by = ''] = payload.split(' ')
      tell(anglerId, by)
    })
    mine.on('error', () => lost(mine))
    mine.on('end', () => lost(mine))
    try {
      await mine.connect()
      await mine.query(`listen ${CHANNEL}`)
      waitMs = AGAIN_MS.first
      if (missed) for (const anglerId of listeners.keys()) tell(anglerId, '')
    } catch {
      lost(mine)
    }
  }
  function lost(which: pg.Client): void {
    if (client !== which) return
    client = null
    void which.end().catch(() => {})
    if (closed || !listeners.size) return
    timer = setTimeout(() => {
      timer = undefined
      void open(true)
    }, waitMs)
    waitMs = Math.min(AGAIN_MS.most, 2 * waitMs)
  }
  return {
    listen(anglerId, heard) {
      const mine = listeners.get(anglerId) ?? new Set()
      listeners.set(anglerId, mine)
      mine.add(heard)
      if (!client && !timer) void open(false)
      return () => {
        mine.delete(heard)
        if (!mine.size) listeners.delete(anglerId)
      }
    },
    async close() {
      closed = true
      clearTimeout(timer)
      const last = client
      client = null
      await last?.end().catch(() => {})
    },
  }
}
