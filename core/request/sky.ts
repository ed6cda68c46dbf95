import type { Request } from '#core/request/request'
import type { SkyInput } from '#core/sky/light'
import { type PlaceTime, moonElevationDeg, moonFraction, sunElevationDeg } from '#core/sky/sun'
import { type Canopy, SKIES } from '#core/sky/weather'
import { DAY_MS } from '#core/units'

type Light = Request['light']

/** A moon that nothing is known of: half lit and half way up. */
const USUAL_MOON = { fraction: 0.5, elevationDeg: 40 }

/** When and where, with the day of the year, 1-366. */
export interface Dated {
  at: PlaceTime
  dayOfYear: number
}

/** The time and place a request names; null where it names none. */
export function datedOf(at: Light['at']): Dated | null {
  if (!at) return null
  const timeMs = Date.parse(at.time)
  const yearStart = Date.UTC(new Date(timeMs).getUTCFullYear(), 0, 1)
  return {
    at: { timeMs, latitudeDeg: at.latitude, longitudeDeg: at.longitude },
    dayOfYear: Math.floor((timeMs - yearStart) / DAY_MS) + 1,
  }
}

/** Height of the sun, degrees. Throws where neither it nor a time and place was given, which no valid light lacks. */
function sunOf(light: Light, dated: Dated | null): number {
  if (light.sunElevationDeg !== undefined) return light.sunElevationDeg
  if (!dated) throw new RangeError('the light needs the height of the sun or a time and place')
  return sunElevationDeg(dated.at)
}

/**
 * The sky of a request's light, gaps filled: calm, no lamps, the usual cloud of its sky, the moon by date.
 * @param over what is over the water where it is not said; nothing where that is null
 */
export function skyInputOf(light: Light, over: Canopy | null = null): SkyInput {
  const dated = datedOf(light.at)
  const sky = SKIES[light.sky]
  return {
    sunElevationDeg: sunOf(light, dated),
    cloud: light.cloud ?? sky.cloud,
    rain: sky.rain,
    wind: light.wind ?? 'calm',
    canopy: light.canopy ?? over ?? 'open',
    moonFraction: light.moon ?? (dated ? moonFraction(dated.at.timeMs) : USUAL_MOON.fraction),
    moonElevationDeg: dated ? moonElevationDeg(dated.at) : USUAL_MOON.elevationDeg,
    lamps: light.lamps ?? false,
  }
}
