/** What instruments tell of: which one does, what can be, and for how long it is news. */
export const QUANTITIES = {
  depthM: { from: 'sounder', range: [0.1, 150], staleS: 15 },
  temperatureC: { from: 'thermometer', range: [-2, 40], staleS: 15 },
  windMps: { from: 'wind vane', range: [0, 45], staleS: 30 },
  latitude: { from: 'positioning', range: [-90, 90], staleS: 30 },
  longitude: { from: 'positioning', range: [-180, 180], staleS: 30 },
  gaugeTemperatureC: { from: 'gauge', range: [-2, 40], staleS: 7200 },
  gaugeFnu: { from: 'gauge', range: [0, 4000], staleS: 7200 },
  gaugeLevelM: { from: 'gauge', range: [-20, 50], staleS: 7200 },
} as const
export type Quantity = keyof typeof QUANTITIES

/** A figure an instrument told. */
export interface InstrumentValue {
  value: number
  /** When it was told, ms since 1970. */
  atMs: number
}

/** A sample of a light meter let down on a cord; colours are relative to one another. */
export interface LightSample {
  depthM: number
  lux: number
  red?: number
  green?: number
  blue?: number
}

/** What there is of a source: nothing is set up, it does not answer, or it does. */
export type SourceState = 'none' | 'away' | 'here'

/** Everything instruments tell just now. */
export interface Board {
  /** Whether they are the made-up ones that ship with Piscator. */
  simulated: boolean
  /** The server's clock, ms since 1970, by which the times below are told. */
  nowMs: number
  line: SourceState
  gauge: SourceState
  told: Partial<Record<Quantity, InstrumentValue>>
  /** The last lowering of the light meter, from the surface down. */
  cast: { samples: LightSample[]; atMs: number } | null
}

export type InstrumentState = 'fresh' | 'stale' | 'absurd'
/** What a figure is worth at a moment: one that cannot be is never taken, one that is old is said to be. */
export function instrumentStateOf(
  quantity: Quantity,
  { value, atMs }: InstrumentValue,
  nowMs: number,
): InstrumentState {
  const { range, staleS } = QUANTITIES[quantity]
  if (!(value >= range[0] && value <= range[1])) return 'absurd'
  return nowMs - atMs > staleS * 1000 ? 'stale' : 'fresh'
}
