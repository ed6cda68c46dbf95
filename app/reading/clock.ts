import { DAY_MIN, HOUR_MIN } from '#core/units'
import { DateTime } from 'luxon'
import { sunElevationDeg } from '#core/sky/sun'

export { DAY_MIN }

/** A moment on the clock of its place. `zone` is an IANA name, so that daylight saving is the place's own. */
export const localTime = (timeMs: number, zone: string) => DateTime.fromMillis(timeMs, { zone })

/** Minute of the place's own day by its clock, 0-1439. */
export function minuteOfDay(timeMs: number, zone: string): number {
  const t = localTime(timeMs, zone)
  return t.hour * HOUR_MIN + t.minute
}

/** The same day at another minute of its clock; a minute that the clock leaps over becomes the one after the leap. */
export function atMinute(timeMs: number, zone: string, minute: number): number {
  const hour = Math.floor(minute / HOUR_MIN)
  return localTime(timeMs, zone)
    .set({ hour, minute: minute - hour * HOUR_MIN, second: 0, millisecond: 0 })
    .toMillis()
}

/** The same minute of the clock on another day, "2026-04-11"; null where that is no date. */
export function onDate(timeMs: number, zone: string, date: string): number | null {
  const day = DateTime.fromISO(date, { zone })
  return day.isValid ? atMinute(day.toMillis(), zone, minuteOfDay(timeMs, zone)) : null
}

/** The same date and hour by the clock of another place. */
export const sameClockIn = (timeMs: number, from: string, to: string): number =>
  localTime(timeMs, from).setZone(to, { keepLocalTime: true }).toMillis()

/** "10:40". */
export function clock(minute: number): string {
  const m = Math.round(minute)
  return `${Math.floor(m / HOUR_MIN)}:${String(m % HOUR_MIN).padStart(2, '0')}`
}

/** How far apart the points of the sun's path are, minutes. */
const PATH_MIN = 10

/** Sun's height through the day of a moment, degrees. */
export function sunThroughDay(
  timeMs: number,
  zone: string,
  latitudeDeg: number,
  longitudeDeg: number,
): { minute: number; deg: number }[] {
  return Array.from({ length: DAY_MIN / PATH_MIN + 1 }, (_, i) => {
    const minute = Math.min(DAY_MIN - 1, i * PATH_MIN)
    return { minute, deg: sunElevationDeg({ timeMs: atMinute(timeMs, zone, minute), latitudeDeg, longitudeDeg }) }
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
