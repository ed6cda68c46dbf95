import { sunElevationDeg } from '#core/sky/sun'

/** Minutes in a day. */
export const DAY_MIN = 1440
const MS = 60_000

/** Minute of the place's own day, 0-1439. */
export function minuteOfDay(timeMs: number, offsetMin: number): number {
  return Math.round(((timeMs / MS + offsetMin) % DAY_MIN + DAY_MIN) % DAY_MIN) % DAY_MIN
}

/** The same day at another minute. */
export function atMinute(timeMs: number, offsetMin: number, minute: number): number {
  return timeMs + (minute - minuteOfDay(timeMs, offsetMin)) * MS
}

/** "10:40". */
export function clock(minute: number): string {
  const m = Math.round(minute)
  return `${Math.floor(m / 60)}:${String(m % 60).padStart(2, '0')}`
}

/** Sun's height every ten minutes of the day, degrees. */
export function sunThroughDay(timeMs: number, offsetMin: number, latitudeDeg: number, longitudeDeg: number): { minute: number, deg: number }[] {
  return Array.from({ length: DAY_MIN / 10 + 1 }, (_, i) => {
    const minute = Math.min(DAY_MIN - 1, i * 10)
    return { minute, deg: sunElevationDeg({ timeMs: atMinute(timeMs, offsetMin, minute), latitudeDeg, longitudeDeg }) }
  })
}

/** Edges of civil twilight, degrees (the sun's upper limb at the horizon, and where outlines fade). */
export const HORIZON_DEG = -0.8
export const CIVIL_DEG = -6

/** The sky by the sun's height, in words. */
export function sunWords(deg: number, moonShare: number): string {
  if (deg >= HORIZON_DEG) return `sun ${Math.max(0, Math.round(deg))}° up`
  if (deg >= CIVIL_DEG) return 'civil twilight'
  return `night, moon ${Math.round(moonShare * 100)} % lit`
}
