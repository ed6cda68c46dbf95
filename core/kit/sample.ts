import { rounded } from '#core/numeric/rounded'
import { usualTemperatureC } from '#core/season/usual'
import { DAY_MS, MINUTE_MS } from '#core/units'
import type { KitScene } from '#core/kit/scenes'
import { type LureId, lureType } from '#core/lure/types'
import type { SpeciesId } from '#core/eye/species'
import type { Forage } from '#core/prey/forage'
import { REQUEST, type Salinity } from '#core/request/request'
import { sunTimes } from '#core/sky/sun'
import type { SkyKind, Wind } from '#core/sky/weather'
import type { TintId } from '#core/water/tints'

/** A water that is fished, as it usually is. */
export interface UsualWater {
  visibilityM: number
  tint: TintId
  salinity: Salinity
  latitude: number
  longitude: number
  prey: readonly Forage[]
}

export interface SampleAsk {
  waters: readonly UsualWater[]
  lures: readonly LureId[]
  species: SpeciesId
  /** Moments drawn; each makes a scene for every lure that suits its water. */
  moments: number
  /** The year they are drawn in. */
  year: number
}

/** How often each sky and wind is fished. Ours; about what temperate coasts and lakes have by day. */
const SKIES: readonly [SkyKind, number][] = [
  ['clear', 0.3],
  ['partly', 0.35],
  ['overcast', 0.25],
  ['rain', 0.1],
]
const WINDS: readonly [Wind, number][] = [
  ['calm', 0.25],
  ['ripple', 0.4],
  ['chop', 0.28],
  ['strong', 0.07],
]
/** A water's clarity strays so far from its usual, standard deviation of its logarithm; ours. */
const CLARITY_STRAYS = 0.35
/** Before sunrise and after sunset people fish so long, ms. */
const TWILIGHT_MS = 45 * MINUTE_MS
const CLARITY = REQUEST.fields.water.fields.visibilityM.range

/** One of a list by its shares. */
function drawn<T>(of: readonly (readonly [T, number])[], even: number): T {
  let left = even * of.reduce((s, [, share]) => s + share, 0)
  for (const [value, share] of of) if ((left -= share) < 0) return value
  return of.at(-1)![0]
}

/**
 * Scenes as they are really fished: waters × the year × the hours of daylight × weather, drawn by a source of chance
 * that is given, so that the same source draws the same.
 * @param even the next of a row of even numbers in [0, 1)
 */
export function sampleScenes(ask: SampleAsk, even: () => number): KitScene[] {
  const yearStart = Date.UTC(ask.year, 0, 1)
  return Array.from({ length: ask.moments }).flatMap(() => {
    const water = ask.waters[Math.floor(even() * ask.waters.length)]!
    const day = Math.floor(even() * 365)
    const at = { latitudeDeg: water.latitude, longitudeDeg: water.longitude }
    const { sunrise, sunset, noon } = sunTimes({ timeMs: yearStart + (day + 0.5) * DAY_MS, ...at })
    const from = (sunrise ?? noon - DAY_MS / 4) - TWILIGHT_MS
    const to = (sunset ?? noon + DAY_MS / 4) + TWILIGHT_MS
    const timeMs = from + even() * (to - from)
    const normal = Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even())
    const visibilityM = Math.min(
      CLARITY[1],
      Math.max(CLARITY[0], water.visibilityM * Math.exp(CLARITY_STRAYS * normal)),
    )
    const sky = drawn(SKIES, even())
    const wind = drawn(WINDS, even())
    const salt = water.salinity !== 'fresh'
    const scene = {
      species: ask.species,
      water: {
        visibilityM,
        tint: water.tint,
        salinity: water.salinity,
        temperatureC: rounded(usualTemperatureC(day, water.latitude), 1),
        ...(water.prey.length ? { prey: water.prey } : {}),
      },
      light: {
        sky,
        wind,
        at: {
          time: new Date(timeMs).toISOString(),
          latitude: water.latitude,
          longitude: water.longitude,
        },
      },
    }
    // An inshore lure is not fished in a pond; where nothing else is owned it is better than no scene at all.
    const suited = ask.lures.filter(l => salt || !lureType(l).salt)
    return (suited.length ? suited : ask.lures).map(lure => ({ lure, ...scene }))
  })
}
