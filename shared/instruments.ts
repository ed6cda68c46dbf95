/** What instruments tell of: where each comes from, in which unit, what can be, and for how long it is news. */
export const QUANTITIES = {
  depthM: { words: 'depth under the boat', source: 'line', from: 'sounder', range: [0.1, 150], staleS: 15 },
  temperatureC: { words: 'water', source: 'line', from: 'thermometer', range: [-2, 40], staleS: 15 },
  windMps: { words: 'wind', source: 'line', from: 'wind vane', range: [0, 45], staleS: 30 },
  latitude: { words: 'latitude', source: 'line', from: 'positioning', range: [-90, 90], staleS: 30 },
  longitude: { words: 'longitude', source: 'line', from: 'positioning', range: [-180, 180], staleS: 30 },
  gaugeTemperatureC: { words: 'water at the gauge', source: 'gauge', from: 'gauge', range: [-2, 40], staleS: 7200 },
  gaugeFnu: { words: 'turbidity at the gauge', source: 'gauge', from: 'gauge', range: [0, 4000], staleS: 7200 },
  gaugeLevelM: { words: 'level at the gauge', source: 'gauge', from: 'gauge', range: [-20, 50], staleS: 7200 },
} as const
export type Quantity = keyof typeof QUANTITIES
export const QUANTITY_NAMES = Object.keys(QUANTITIES) as Quantity[]

/** A figure an instrument told. */
export interface Told {
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
  told: Partial<Record<Quantity, Told>>
  /** The last lowering of the light meter, from the surface down. */
  cast: { samples: LightSample[]; atMs: number } | null
}

export type Standing = 'fresh' | 'stale' | 'absurd'
/** What a figure is worth at a moment: one that cannot be is never taken, one that is old is said to be. */
export function standingOf(quantity: Quantity, { value, atMs }: Told, nowMs: number): Standing {
  const { range, staleS } = QUANTITIES[quantity]
  if (!(value >= range[0] && value <= range[1])) return 'absurd'
  return nowMs - atMs > staleS * 1000 ? 'stale' : 'fresh'
}
