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
export function closeInstruments(): void {
  open?.close()
  open = null
}
