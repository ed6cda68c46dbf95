import type { H3Event } from 'h3'
import { type InstrumentBoard, makeBoard } from '#server/instruments/board'
import { watchGauge } from '#server/instruments/gauge'

let open: { board: InstrumentBoard; close: () => void } | null = null

/** The one board of this process; what is set up in the environment is listened to from the first look on. */
export function useInstruments(event: H3Event): InstrumentBoard {
  if (open) return open.board
  const { nmea, stationUrl } = useRuntimeConfig(event)
  const board = makeBoard()
  board.open({ host: nmea.host, port: Number(nmea.port) || 0, simulated: Boolean(nmea.simulated) })
  const gauge = stationUrl ? watchGauge(stationUrl, board) : null
  open = {
    board,
    close() {
      gauge?.close()
      board.close()
    },
  }
  return board
}
/** Streams that are listened to, by whom they are counted for. */
const streams = new Map<string, Set<() => void>>()

/** Streams one device, and one process, may have open at once. */
const MOST = { device: 6, all: 200 } as const

/** Whether one more would be too many. */
export function tooManyStreams(device: string): boolean {
  let all = 0
  for (const of of streams.values()) all += of.size
  return all >= MOST.all || (streams.get(device)?.size ?? 0) >= MOST.device
}

/** Count a stream until it is over; gives back how to say that it is. `close` ends it with the server. */
export function countedStream(device: string, close: () => void): () => void {
  const mine = streams.get(device) ?? new Set()
  streams.set(device, mine)
  mine.add(close)
  return () => {
    mine.delete(close)
    if (!mine.size) streams.delete(device)
  }
}

export function closeInstruments(): void {
  for (const of of streams.values()) for (const close of of) close()
  open?.close()
  open = null
}
