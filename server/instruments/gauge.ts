import type { Quantity } from '#shared/instruments'
import { HOUR_MIN, MINUTE_MS } from '#core/units'
import { type Fetch, observed, streamsOf } from '#server/services/station'
import type { InstrumentBoard } from './board'

/** Streams of a gauge station, by the quantity each tells. */
const STREAMS: Partial<Record<Quantity, string>> = {
  gaugeTemperatureC: 'water temperature',
  gaugeFnu: 'turbidity',
  gaugeLevelM: 'water level',
}
/** How often a gauge is asked, how soon again where it did not answer (then twice as long each time), ms. */
export const GAUGE_TIMES = { everyMs: 60_000, firstMs: 2_000, mostMs: 120_000 }
/** Observations of so long past count as told, ms. */
const BACK_MS = 3 * HOUR_MIN * MINUTE_MS

/** What the gauge told last of each quantity. */
async function ask(base: string, board: InstrumentBoard, nowMs: number, fetcher: Fetch): Promise<void> {
  const streams = await streamsOf(base, fetcher)
  for (const [quantity, name] of Object.entries(STREAMS)) {
    const link = streams.get(name)
    const last = link && (await observed(link, nowMs - BACK_MS, nowMs, fetcher)).at(-1)
    if (last) board.take({ [quantity]: last.result }, last.ms)
  }
}

/** Ask a gauge station again and again, as long as somebody looks. */
export function watchGauge(
  base: string,
  board: InstrumentBoard,
  { times = GAUGE_TIMES, now = Date.now, fetcher = fetch as Fetch } = {},
): { close: () => void } {
  let timer: ReturnType<typeof setTimeout>
  let waitMs = times.firstMs
  let closed = false
  async function round(): Promise<void> {
    let nextMs = times.everyMs
    if (board.listeners) {
      try {
        await ask(base, board, now(), fetcher)
        board.state('gauge', 'here')
        waitMs = times.firstMs
      } catch {
        board.state('gauge', 'away')
        nextMs = waitMs
        waitMs = Math.min(times.mostMs, 2 * waitMs)
      }
    } else nextMs = times.firstMs
    if (closed) return
    timer = setTimeout(() => void round(), nextMs)
    timer.unref()
  }
  board.state('gauge', 'away')
  void round()
  return {
    close() {
      closed = true
      clearTimeout(timer)
    },
  }
}
