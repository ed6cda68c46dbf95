import type { Transaction } from 'sequelize'
import type { Database } from '#server/db/connection'
import { databaseLine } from '#server/db/line'
import { rows } from '#server/db/rows'

/** The channel on which processes tell one another that there is something new: an angler's records, or a job. */
export const NEWS_CHANNEL = 'records'

/**
 * Tell every process that an angler, or a job, has something new, in a transaction once that is over.
 * @param by the session that wrote it, which knows it already
 */
export const tellNews = (db: Database, of: string, by = '', transaction?: Transaction) =>
  rows(db, 'select pg_notify($channel, $news)', { channel: NEWS_CHANNEL, news: `${of} ${by}` }, transaction)

export interface NewsLine {
  /** Hear of news of one angler or job, with the session it came from; gives back how to stop. */
  listen: (of: string, heard: (by: string) => void) => () => void
  close: () => Promise<void>
}

/**
 * A line to the database on which news are heard, one for a process, open while anybody listens. Opened again after it
 * broke off, it tells everybody: what was missed meanwhile is not known.
 */
export function openNewsLine(url: string): NewsLine {
  const listeners = new Map<string, Set<(by: string) => void>>()
  let missed = false
  const tell = (of: string, by: string) => {
    for (const heard of listeners.get(of) ?? []) heard(by)
  }
  const line = databaseLine(url, {
    channels: [NEWS_CHANNEL],
    heard: payload => {
      const [of = '', by = ''] = payload.split(' ')
      tell(of, by)
    },
    opened: () => {
      if (missed) for (const of of listeners.keys()) tell(of, '')
      missed = false
    },
    lost: () => (missed = true),
    wanted: () => listeners.size > 0,
  })
  return {
    listen(of, heard) {
      const mine = listeners.get(of) ?? new Set()
      listeners.set(of, mine)
      mine.add(heard)
      line.open()
      return () => {
        mine.delete(heard)
        if (!mine.size) listeners.delete(of)
      }
    },
    close: () => line.close(),
  }
}
