import type { Board, LightSample, Quantity, SourceState } from '#shared/instruments'
import { castKeeper } from './cast'
import { type InstrumentLine, listen } from './line'
import { readSentence } from './sentences'

/** What the environment says of instruments. */
export interface InstrumentSettings {
  /** An NMEA 0183 line over TCP: a gateway, or the simulated one. */
  host: string
  port: number
  simulated: boolean
}

/** Keeps what instruments told last, and tells those who listen when something is new. */
export function makeBoard(now: () => number = Date.now) {
  const told: Board['told'] = {}
  const states: { line: SourceState; gauge: SourceState } = { line: 'none', gauge: 'none' }
  const cast = castKeeper()
  let castAtMs = 0
  let simulated = false
  let line: InstrumentLine | null = null
  const listeners = new Set<() => void>()
  const tell = () => listeners.forEach(l => l())

  function take(values: Partial<Record<Quantity, number>>, atMs = now()): void {
    for (const [k, value] of Object.entries(values)) told[k as Quantity] = { value, atMs }
    tell()
  }
  function lower(sample: LightSample): void {
    cast.add(sample)
    castAtMs = now()
    tell()
  }
  function state(source: 'line' | 'gauge', is: SourceState): void {
    if (states[source] === is) return
    states[source] = is
    tell()
  }
  return {
    hear(text: string): void {
      const sentence = readSentence(text)
      if (!sentence) return
      take(sentence.told)
      if (sentence.light) lower(sentence.light)
    },
    take,
    state,
    /** Listen to the line that is set up; nothing happens where none is, or where it is listened to already. */
    open(settings: InstrumentSettings): void {
      simulated = settings.simulated
      if (line || !settings.host || !settings.port) return
      states.line = 'away'
      line = listen(settings.host, settings.port, { line: this.hear, state: is => state('line', is) })
    },
    close(): void {
      line?.close()
      line = null
      listeners.clear()
    },
    now(): Board {
      const samples = cast.now()
      return {
        simulated,
        nowMs: now(),
        ...states,
        told: { ...told },
        cast: samples && { samples, atMs: castAtMs },
      }
    },
    listen(listener: () => void): () => void {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    get listeners() {
      return listeners.size
    },
  }
}
export type InstrumentBoard = ReturnType<typeof makeBoard>
