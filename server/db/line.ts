import pg from 'pg'

/** How long until a broken line is tried again, ms: at first, and at most. */
const AGAIN_MS = { first: 500, most: 15_000 } as const
/** How long the database is waited for when a line is opened, ms. */
const CONNECT_MS = 3000

interface Uses {
  channels: readonly string[]
  /** A line is there, for the first time or again; what throws here breaks it. */
  opened?: (client: pg.Client) => Promise<void> | void
  heard: (payload: string, channel: string) => void
  /** The line was lost, or could not be opened: it is tried again. */
  lost?: () => void
  /** Whether it is still wanted: one that is not is left closed. */
  wanted?: () => boolean
  mostMs?: number
}

export interface DatabaseLine {
  /** Open it where it is not. */
  open: () => void
  close: () => Promise<void>
}

/**
 * A connection of its own to the database on which notifications are heard and locks are held. Broken off, it is opened
 * again, waiting twice as long each time.
 */
export function databaseLine(url: string, uses: Uses): DatabaseLine {
  const { channels, opened, heard, lost: tellLost, wanted = () => true, mostMs = AGAIN_MS.most } = uses
  let client: pg.Client | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  let waitMs: number = AGAIN_MS.first
  let closed = false

  async function open(): Promise<void> {
    const mine = new pg.Client({ connectionString: url, connectionTimeoutMillis: CONNECT_MS, keepAlive: true })
    client = mine
    mine.on('notification', ({ payload = '', channel }) => heard(payload, channel))
    mine.on('error', () => lost(mine))
    mine.on('end', () => lost(mine))
    try {
      await mine.connect()
      for (const channel of channels) await mine.query(`listen ${channel}`)
      await opened?.(mine)
      waitMs = AGAIN_MS.first
    } catch {
      lost(mine)
    }
  }
  function lost(which: pg.Client): void {
    if (client !== which) return
    client = null
    void which.end().catch(() => {})
    if (closed) return
    tellLost?.()
    if (!wanted()) return
    timer = setTimeout(() => {
      timer = undefined
      void open()
    }, waitMs).unref()
    waitMs = Math.min(mostMs, 2 * waitMs)
  }
  return {
    open() {
      if (!client && !timer && !closed) void open()
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
