import { SKIES } from '#core/sky/conditions'
import type { Request } from '#core/conditions/request'
import type { Side } from '#core/finish/lures'

/** Everything the angler sets on the screen. One flat record: the URL, the undo steps and the drafts are copies of it. */
export interface Scene {
  lure: Request['lure']
  species: NonNullable<Request['species']>
  school: NonNullable<Request['school']>
  visibilityM: number
  tint: Request['water']['tint']
  temperatureC: number | null
  trend: NonNullable<Request['water']['trend']> | null
  salinity: NonNullable<Request['water']['salinity']>
  pressure: NonNullable<Request['water']['pressure']>
  prey: NonNullable<Request['water']['prey']>
  cloud: number
  rain: boolean
  wind: NonNullable<Request['light']['wind']>
  canopy: NonNullable<Request['light']['canopy']>
  lamps: boolean
  /** Moment, ms since 1970 UTC, and place. */
  timeMs: number
  latitude: number
  longitude: number
  /** Minutes from UTC of the place's clock, so that shared scenes show the same hour everywhere. */
  offsetMin: number
  waterId: string | null
  season: NonNullable<Request['season']> | null
  forage: NonNullable<Request['forage']>
  clues: NonNullable<Request['clues']>
  /** null: the lure's usual depth. */
  depthM: number | null
  background: NonNullable<Request['background']>
  fishM: number
  side: Side
  fishedThrough: NonNullable<Request['fishedThrough']>
  bitesRefused: boolean
}

/** The word of the contract for a cloud cover. */
function skyWord(cloud: number, rain: boolean): Request['light']['sky'] {
  if (rain) return 'rain'
  const words = ['clear', 'partly', 'overcast'] as const
  return words.reduce((best, w) => Math.abs(SKIES[w].cloud - cloud) < Math.abs(SKIES[best].cloud - cloud) ? w : best)
}

/** What the engine is asked for a scene. Nothing that is left to it is sent. */
export function requestOf(s: Scene, units: Request['units']): Request {
  return {
    lure: s.lure, species: s.species, school: s.school,
    water: {
      visibilityM: s.visibilityM, tint: s.tint, salinity: s.salinity, pressure: s.pressure,
      ...(s.temperatureC === null ? {} : { temperatureC: s.temperatureC }),
      ...(s.trend ? { trend: s.trend } : {}),
      ...(s.prey.length ? { prey: [...s.prey] } : {}),
    },
    light: {
      sky: skyWord(s.cloud, s.rain), cloud: s.cloud, wind: s.wind, canopy: s.canopy, lamps: s.lamps,
      at: { time: new Date(s.timeMs).toISOString(), latitude: s.latitude, longitude: s.longitude },
    },
    ...(s.season ? { season: s.season } : {}),
    ...(s.forage.length ? { forage: s.forage.map(f => ({ ...f })) } : {}),
    ...(s.clues.length ? { clues: [...s.clues] } : {}),
    ...(s.depthM === null ? {} : { depthM: s.depthM }),
    background: s.background, fishM: s.fishM,
    ...(s.fishedThrough.length ? { fishedThrough: [...s.fishedThrough] } : {}),
    ...(s.bitesRefused ? { bitesRefused: true } : {}),
    limit: 60, units: units ?? 'metric',
  }
}

/** Spring morning on the green farm pond of the demonstration basin: what a first visit opens on. */
export function firstScene(): Scene {
  return {
    lure: 'shallow-crankbait', species: 'largemouth-bass', school: 'balanced',
    visibilityM: 1.5, tint: 'green', temperatureC: 14.5, trend: null, salinity: 'fresh', pressure: 'normal', prey: [],
    cloud: 0.4, rain: false, wind: 'ripple', canopy: 'open', lamps: false,
    timeMs: Date.UTC(2026, 3, 11, 14, 40), latitude: 34.87, longitude: -84.3, offsetMin: -240, waterId: null,
    season: null, forage: [], clues: [], depthM: 1.5, background: 'rock', fishM: 0.3, side: 'level',
    fishedThrough: [], bitesRefused: false,
  }
}
