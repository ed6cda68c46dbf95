import type pg from 'pg'
import { databaseLine } from '#server/db/line'
import type { Board } from '#shared/instruments'
import { type InstrumentBoard, makeBoard } from './board'

/** Any number, the same for every process: whoever holds it listens to the instruments, for all of them. */
const LOCK = 7_402_612
/** On these the board is told, and it is asked for. */
const [TOLD, ASKED] = ['instruments', 'instruments_asked'] as const
/** How often the board is told where it is new, and asked for; how long an asking lasts, ms. */
const TIMES = { tellMs: 1000, beatMs: 5000, askMs: 5000, lastsMs: 15_000 } as const
/** Most bytes of a notification (PostgreSQL 15, NOTIFY). */
const MOST_BYTES = 7900

/** A board that is read here, wherever it is listened to. */
export interface SharedBoard {
  now: () => Board
  listen: (listener: () => void) => () => void
  /** Whether this process listens to the instruments itself. */
  leads: () => boolean
  close: () => Promise<void>
}

/** A board as a notification; a lowering that is too long for it by every other sample. */
function worded(board: Board): string {
  const text = JSON.stringify(board)
  if (Buffer.byteLength(text) <= MOST_BYTES || !board.cast) return text
  return worded({ ...board, cast: { ...board.cast, samples: board.cast.samples.filter((_, i) => i % 2 === 0) } })
}

/**
 * The instruments of all processes: one of them, elected by a lock of the database, listens and tells the others. When
 * it ends, the next takes its place; while the database is away, each listens for itself.
 * @param begin listens to what is set up, into a board; gives back how to stop
 */
export function shareInstruments(url: string, begin: (board: InstrumentBoard) => () => void): SharedBoard {
  const own = makeBoard()
  const listeners = new Set<() => void>()
  let told: { board: Board; atMs: number } | null = null
  let client: pg.Client | null = null
  let end: (() => void) | null = null
  let unlook: (() => void) | null = null
  let leads = false
  /** Whether the database was found to be away: until it was asked nobody knows who listens. */
  let away = false
  let askedMs = -Infinity
  let fresh = false
  let toldMs = 0
  let askMs = 0

  const isAsked = () => listeners.size > 0 || Date.now() - askedMs < TIMES.lastsMs
  const tellHere = () => listeners.forEach(l => l())
  const say = (channel: string, payload: string) =>
    client?.query('select pg_notify($1, $2)', [channel, payload]).catch(() => {})

  /** Listen to the instruments here, or leave it. */
  function listenHere(here: boolean): void {
    if (here && !end) end = begin(own)
    if (!here && end) {
      end()
      end = null
    }
    // The gauge is asked only while somebody looks.
    if (here && isAsked()) {
      unlook ??= own.listen(() => {
        fresh = true
        tellHere()
      })
    } else if (unlook) {
      unlook()
      unlook = null
    }
  }
  async function round(): Promise<void> {
    if (client && !leads) {
      const { rows } = await client.query<{ mine: boolean }>('select pg_try_advisory_lock($1) as mine', [LOCK])
      leads = rows[0]?.mine ?? false
    }
    listenHere(leads || away)
    if (!leads && client && listeners.size && Date.now() - askMs > TIMES.askMs) {
      askMs = Date.now()
      void say(ASKED, '')
    }
    if (leads && Date.now() - askedMs < TIMES.lastsMs && (fresh || Date.now() - toldMs > TIMES.beatMs)) {
      fresh = false
      toldMs = Date.now()
      void say(TOLD, worded(own.now()))
    }
  }
  const line = databaseLine(url, {
    channels: [TOLD, ASKED],
    mostMs: 3000,
    heard(payload, channel) {
      if (channel === ASKED) askedMs = Date.now()
      else if (!leads) {
        told = { board: JSON.parse(payload) as Board, atMs: Date.now() }
        tellHere()
      }
    },
    async opened(mine) {
      client = mine
      away = false
      await round()
    },
    lost() {
      client = null
      leads = false
      away = true
      void round()
    },
  })
  line.open()
  const timer = setInterval(() => void round().catch(() => {}), TIMES.tellMs).unref()
  return {
    now() {
      if (end || !told) return own.now()
      return { ...told.board, nowMs: told.board.nowMs + Date.now() - told.atMs }
    },
    listen(listener) {
      listeners.add(listener)
      void round().catch(() => {})
      return () => listeners.delete(listener)
    },
    leads: () => leads,
    async close() {
      clearInterval(timer)
      unlook?.()
      end?.()
      await line.close()
    },
  }
}
