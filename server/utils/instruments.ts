import type { H3Event } from 'h3'
import { watchGauge } from '#server/instruments/gauge'
import { type SharedBoard, shareInstruments } from '#server/instruments/shared'

let open: SharedBoard | null = null

/** The board of the instruments; what is set up in the environment is listened to from the first look on. */
export function useInstruments(event: H3Event): SharedBoard {
  if (open) return open
  const { nmea, stationUrl, databaseUrl } = useRuntimeConfig(event)
  open = shareInstruments(databaseUrl, board => {
    board.open({ host: nmea.host, port: Number(nmea.port) || 0, simulated: Boolean(nmea.simulated) })
    const gauge = stationUrl ? watchGauge(stationUrl, board) : null
    return () => {
      gauge?.close()
      board.close()
    }
  })
  return open
}

/** What this process has to do with the instruments. */
export const instrumentsPart = (): 'none' | 'listens' | 'is-told' =>
  open ? (open.leads() ? 'listens' : 'is-told') : 'none'

export async function closeInstruments(): Promise<void> {
  const last = open
  open = null
  await last?.close()
}
