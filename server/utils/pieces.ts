import type { H3Event } from 'h3'
import { Readable } from 'node:stream'

/** Work that takes longer than this answers in pieces, and a blank goes out this often meanwhile, ms. */
const PIECE_MS = 1000

const tick = () => new Promise<null>(resolve => setTimeout(resolve, PIECE_MS, null))

/** Aborted once whoever asked has hung up. */
export function goneOf(event: H3Event): AbortSignal {
  const context = event.context as { gone?: AbortSignal }
  if (context.gone) return context.gone
  const gone = new AbortController()
  event.node.res.once('close', () => {
    if (!event.node.res.writableFinished) gone.abort()
  })
  return (context.gone = gone.signal)
}

/**
 * The answer of long work as JSON text. Quick, it goes out like any other; long, its head goes out at once and blanks
 * follow until it is there (JSON allows them before a value), so that nothing between takes the connection for dead and
 * whoever waits sees that it works. One that fails after its head has gone out breaks off.
 */
export async function answeredInPieces(event: H3Event, answer: Promise<string>) {
  const early = await Promise.race([answer, tick()])
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  if (early !== null) return early
  async function* pieces() {
    for (;;) {
      const text = await Promise.race([answer, tick()])
      yield text ?? ' '
      if (text !== null) return
    }
  }
  return sendStream(event, Readable.from(pieces()))
}
