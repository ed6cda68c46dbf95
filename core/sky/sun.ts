import { DAY_MS } from '#core/units'
import { getMoonIllumination, getMoonPosition, getMoonTimes, getPosition, getTimes } from 'suncalc'

/** Time as milliseconds since 1970-01-01 UTC; place in degrees, north and east positive. */
export interface PlaceTime {
  timeMs: number
  latitudeDeg: number
  longitudeDeg: number
}

/**
 * Height of the sun above the horizon, degrees, as seen (with refraction).
 * Source: Meeus 1998 ch. 25 through the package suncalc; within 0.1° of the NREL reference.
 */
export function sunElevationDeg({ timeMs, latitudeDeg, longitudeDeg }: PlaceTime): number {
  return getPosition(new Date(timeMs), latitudeDeg, longitudeDeg).altitude
}

/** Height of the moon above the horizon, degrees. */
export function moonElevationDeg({ timeMs, latitudeDeg, longitudeDeg }: PlaceTime): number {
  return getMoonPosition(new Date(timeMs), latitudeDeg, longitudeDeg).altitude
}

/** Lit share of the moon's face, 0-1. */
export function moonFraction(timeMs: number): number {
  return getMoonIllumination(new Date(timeMs)).fraction
}

/** Bearing of the sun, degrees clockwise from north. */
export function sunBearingDeg({ timeMs, latitudeDeg, longitudeDeg }: PlaceTime): number {
  return getPosition(new Date(timeMs), latitudeDeg, longitudeDeg).azimuth
}

/** Moments of a solar day, ms since 1970 UTC; null where the sun does not cross that height on the day. */
export interface SunTimes {
  /** Sun 6° under the horizon (civil twilight): one can see to fish. */
  firstLight: number | null
  /** Its upper edge on the horizon, refraction counted: 0.833° under. */
  sunrise: number | null
  noon: number
  sunset: number | null
  lastLight: number | null
}

/**
 * The sun's moments on the solar day nearest to a time: within 2 minutes of the almanac's between 65° north and south.
 * Source: Meeus 1998 ch. 15 and 25 through the package suncalc.
 */
export function sunTimes({ timeMs, latitudeDeg, longitudeDeg }: PlaceTime): SunTimes {
  const t = getTimes(new Date(timeMs), latitudeDeg, longitudeDeg)
  const ms = (d: Date | null) => (d && Number.isFinite(d.getTime()) ? d.getTime() : null)
  return {
    firstLight: ms(t.dawn),
    sunrise: ms(t.sunrise),
    noon: t.solarNoon.getTime(),
    sunset: ms(t.sunset),
    lastLight: ms(t.dusk),
  }
}

/**
 * When the moon rises and sets in the 24 hours from a moment, ms since 1970 UTC; null where it does not. Within 2
 * minutes between 52° north and south, 2.5 at 60°. The package looks through days of UTC, so two of them are asked.
 */
export function moonTimes({ timeMs, latitudeDeg, longitudeDeg }: PlaceTime): {
  rise: number | null
  set: number | null
} {
  const days = [timeMs, timeMs + DAY_MS].map(ms => getMoonTimes(new Date(ms), latitudeDeg, longitudeDeg))
  const within = (of: 'rise' | 'set') =>
    days.map(d => d[of]?.getTime()).find(ms => ms !== undefined && ms >= timeMs && ms < timeMs + DAY_MS) ?? null
  return { rise: within('rise'), set: within('set') }
}
