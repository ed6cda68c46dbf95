import { DAY_MIN, HOUR_MIN, MINUTE_MS } from '#core/units'
import type { DayRequest } from '#core/day/request'
import { type SunTimes, sunTimes } from '#core/sky/sun'

const USUAL_STEP_MIN = 30

/** When a date begins on a clock so many minutes ahead of UTC, ms since 1970 UTC; NaN where it is no date. */
export const midnightMs = (date: string, utcOffsetMin: number): number =>
  Date.parse(`${date}T00:00:00Z`) - utcOffsetMin * MINUTE_MS

/** Minutes since midnight of a clock's "06:30". */
export const minutesOf = (clock: string): number => {
  const [hours, minutes] = clock.split(':').map(Number)
  return hours! * HOUR_MIN + minutes!
}

/** What the clock shows so many minutes after midnight, of whatever day: "06:30". */
export function clockOf(minutes: number): string {
  const ofDay = ((Math.round(minutes) % DAY_MIN) + DAY_MIN) % DAY_MIN
  const two = (n: number) => String(n).padStart(2, '0')
  return `${two(Math.floor(ofDay / HOUR_MIN))}:${two(ofDay % HOUR_MIN)}`
}

/** The same for where something ends: midnight is the end of the day, not the beginning of the next. */
export const endClockOf = (minutes: number): string => (minutes === DAY_MIN ? '24:00' : clockOf(minutes))

/** One step of the day: minutes after midnight at which it begins and ends. */
export interface Step {
  atMin: number
  endMin: number
}

/** A day on the clock of its place. */
export interface DayClock {
  /** The moment of so many minutes after midnight, ms since 1970 UTC. */
  msAt: (minutes: number) => number
  /** Minutes after midnight of a moment. */
  minutesAt: (ms: number) => number
  sun: SunTimes
  fromMin: number
  toMin: number
  steps: readonly Step[]
}

/** The hours of a day that are fished, in steps: as asked, or from first light to an hour after the last. */
export function dayClock({ date, place, from, to, stepMin = USUAL_STEP_MIN }: DayRequest): DayClock {
  const midnight = midnightMs(date, place.utcOffsetMin)
  const msAt = (minutes: number) => midnight + minutes * MINUTE_MS
  const minutesAt = (ms: number) => (ms - midnight) / MINUTE_MS
  const at = { latitudeDeg: place.latitude, longitudeDeg: place.longitude }
  const sun = sunTimes({ timeMs: msAt(DAY_MIN / 2), ...at })
  const inSteps = (minutes: number, round: (n: number) => number) => round(minutes / stepMin) * stepMin
  const fromMin = from
    ? minutesOf(from)
    : sun.firstLight === null
      ? 0
      : Math.max(0, inSteps(minutesAt(sun.firstLight), Math.floor))
  const usualTo = sun.lastLight === null ? DAY_MIN : inSteps(minutesAt(sun.lastLight) + HOUR_MIN, Math.ceil)
  let toMin = to ? minutesOf(to) : usualTo
  // Someone who gives an end that is not after the start fishes through midnight.
  if (toMin <= fromMin) toMin += DAY_MIN
  const steps: Step[] = []
  for (let m = fromMin; m < toMin; m += stepMin) steps.push({ atMin: m, endMin: Math.min(toMin, m + stepMin) })
  return { msAt, minutesAt, sun, fromMin, toMin, steps }
}
