import { connect, type Socket } from 'node:net'
import { MOST_CHARACTERS } from './sentences'

/** First and longest wait before a lost line is tried again, and the longest silence of one that is open, ms. */
export const LINE_TIMES = { firstMs: 500, mostMs: 20_000, silentMs: 15_000 }

export interface InstrumentLine {
  close: () => void
}
interface Hearing {
  line: (text: string) => void
  state: (state: 'here' | 'away') => void
}

/**
 * Listen to lines of a TCP service, for as long as it takes: one that is lost or falls silent is tried again, waiting
 * twice as long each time. What is too long for a sentence is let go by, so that nothing piles up.
 */
export function listen(host: string, port: number, hearing: Hearing, times = LINE_TIMES): InstrumentLine {
  let socket: Socket | null = null
  let timer: ReturnType<typeof setTimeout> | null = null
  let waitMs = times.firstMs
  let closed = false

  function open(): void {
    let rest = ''
    /** Whether the line now under way is past what a sentence can be. */
    let over = false
    socket = connect({ host, port })
    socket.setEncoding('latin1')
    socket.setTimeout(times.silentMs, () => socket?.destroy())
    socket.on('connect', () => hearing.state('here'))
    socket.on('data', (chunk: string) => {
      waitMs = times.firstMs
      const parts = chunk.split(/\r\n|\n|\r/)
      for (const [i, part] of parts.entries()) {
        if (!over) rest = (rest + part).slice(0, MOST_CHARACTERS + 1)
        over = rest.length > MOST_CHARACTERS
        if (i === parts.length - 1) break
        if (!over && rest) hearing.line(rest)
        rest = ''
        over = false
      }
    })
    socket.on('error', () => {})
    socket.on('close', () => {
      if (closed) return
      hearing.state('away')
      timer = setTimeout(open, waitMs)
      timer.unref()
      waitMs = Math.min(times.mostMs, 2 * waitMs)
    })
  }
  open()
  return {
    close() {
      closed = true
      if (timer) clearTimeout(timer)
      socket?.destroy()
    },
  }
}
