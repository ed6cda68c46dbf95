/** Units an angler reads in. Everything inside the engine is metric. */
export const UNIT_SYSTEMS = ['metric', 'us'] as const
export type UnitSystem = (typeof UNIT_SYSTEMS)[number]

/** Metres in a foot. */
export const FOOT_M = 0.3048
/** Inches in a foot. */
export const FOOT_IN = 12

export const feetOf = (m: number) => m / FOOT_M
export const metresOf = (feet: number) => feet * FOOT_M
export const fahrenheitOf = (c: number) => (c * 9) / 5 + 32
export const celsiusOf = (f: number) => ((f - 32) * 5) / 9

export const MINUTE_MS = 60_000
export const HOUR_MIN = 60
export const DAY_MIN = 1440
export const DAY_MS = DAY_MIN * MINUTE_MS
