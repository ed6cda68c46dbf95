import { type SpeciesId, species } from '#core/eye/species'
import type { Family } from '#core/finish/families'
import { type LureId, lureType } from '#core/finish/lures'
import type { Pressure, Request, Salinity, UnitSystem } from '#core/conditions/request'
import { type Phase, PHASE_WORDS, inferPhase } from '#core/season/phase'
import { type PreyOdds, preyOdds } from '#core/season/prey'
import type { SchoolId } from '#core/conditions/schools'
import type { BackgroundId } from '#core/sight/backgrounds'
import { type SceneInput, usualFishM } from '#core/sight/scene'
import { type Canopy, SKIES, type SkyKind, type Wind } from '#core/sky/conditions'
import { moonElevationDeg, moonFraction, sunElevationDeg } from '#core/sky/sun'
import type { TintId } from '#core/water/tints'

/** Something the angler did not say and the engine took for granted. */
export interface Assumed { path: string, value: unknown, because: string }

/** A request with every gap filled, and what was filled. */
export interface Conditions {
  lure: LureId
  species: SpeciesId
  school: SchoolId | 'balanced'
  visibilityM: number
  tint: TintId
  temperatureC: number | null
  salinity: Salinity
  pressure: Pressure
  sky: SkyKind
  cloud: number
  sunElevationDeg: number
  wind: Wind
  canopy: Canopy
  lamps: boolean
  phase: Phase
  prey: PreyOdds
  depthM: number
  background: BackgroundId
  fishM: number
  fishedThrough: readonly Family[]
  bitesRefused: boolean
  limit: number
  units: UnitSystem
  scene: SceneInput
  assumed: readonly Assumed[]
}

/** A moon whose place is not known is taken as half way up. */
const MOON_HEIGHT_DEG = 40
const DAY_MS = 86_400_000

function placeTime(at: { time: string, latitude: number, longitude: number }) {
  const timeMs = Date.parse(at.time)
  const yearStart = Date.UTC(new Date(timeMs).getUTCFullYear(), 0, 1)
  return {
    sun: { timeMs, latitudeDeg: at.latitude, longitudeDeg: at.longitude },
    dayOfYear: Math.floor((timeMs - yearStart) / DAY_MS) + 1,
  }
}

/** Fill the gaps of a request by the contract's defaults and by inference, saying what was assumed. */
export function resolve(r: Request): Conditions {
  const lure = lureType(r.lure)
  const assumed: Assumed[] = []
  const speciesId = r.species ?? 'largemouth-bass'
  const salinity = r.water.salinity ?? 'fresh'
  const when = r.light.at ? placeTime(r.light.at) : null
  const sun = r.light.sunElevationDeg ?? (when ? sunElevationDeg(when.sun) : 0)
  const moon = r.light.moon ?? (when ? moonFraction(when.sun.timeMs) : 0.5)
  const moonHeight = when ? moonElevationDeg(when.sun) : MOON_HEIGHT_DEG
  const sky = SKIES[r.light.sky]
  const cloud = r.light.cloud ?? sky.cloud

  const inferred = r.season
    ? null
    : inferPhase({
        species: speciesId, temperatureC: r.water.temperatureC, trend: r.water.trend,
        dayOfYear: when?.dayOfYear, latitudeDeg: r.light.at?.latitude,
      })
  const phase = r.season ?? inferred!.phase
  if (inferred) assumed.push({ path: 'season', value: phase, because: `${PHASE_WORDS[phase]}: ${inferred.because}` })

  const prey = preyOdds({ species: speciesId, phase, salinity, listed: r.water.prey, given: r.forage, clues: r.clues ?? [] })
  if (!r.forage?.length || r.clues?.length) {
    const value = prey.shares.filter(s => s.share >= 0.05).map(s => ({ kind: s.kind, share: Math.round(s.share * 100) / 100 }))
    assumed.push({ path: 'forage', value, because: `from ${prey.because}` })
  }
  if (species(speciesId).assumed) {
    assumed.push({ path: 'species', value: speciesId, because: `the eye of the ${species(speciesId).words} has not been measured closely: ${species(speciesId).source}` })
  }
  const depthM = r.depthM ?? lure.depthM
  if (r.depthM === undefined) assumed.push({ path: 'depthM', value: depthM, because: `the usual running depth of a ${lure.words}` })
  // What lies behind a bottom lure is only the bottom if we know which; open water is the contract's default.
  const background = r.background ?? 'open'
  const fishM = r.fishM ?? usualFishM(r.water.visibilityM)
  const wind = r.light.wind ?? 'calm'
  const canopy = r.light.canopy ?? 'open'
  const lamps = r.light.lamps ?? false
  return {
    lure: r.lure, species: speciesId, school: r.school ?? 'balanced',
    visibilityM: r.water.visibilityM, tint: r.water.tint, temperatureC: r.water.temperatureC ?? null, salinity, pressure: r.water.pressure ?? 'normal',
    sky: r.light.sky, cloud, sunElevationDeg: sun, wind, canopy, lamps,
    phase, prey, depthM, background, fishM,
    fishedThrough: r.fishedThrough ?? [], bitesRefused: r.bitesRefused ?? false, limit: r.limit ?? 10, units: r.units ?? 'metric', assumed,
    scene: {
      lure: r.lure, species: speciesId, visibilityM: r.water.visibilityM, tint: r.water.tint, salt: salinity === 'salt',
      sky: { sunElevationDeg: sun, cloud, rain: sky.rain, wind, canopy, moonFraction: moon, moonElevationDeg: moonHeight, lamps },
      depthM, background, fishM,
    },
  }
}
