import type { SpeciesId } from '#core/eye/species'
import type { Family } from '#core/finish/families'
import type { Forage } from '#core/finish/forage'
import type { LureId } from '#core/finish/lures'
import type { Clue } from '#core/season/prey'
import type { Phase } from '#core/season/phase'
import type { SchoolId } from '#core/conditions/schools'
import type { BackgroundId } from '#core/sight/backgrounds'
import type { Canopy, SkyKind, Wind } from '#core/sky/conditions'
import type { TintId } from '#core/water/tints'

export const SALINITIES = ['fresh', 'brackish', 'salt'] as const
export type Salinity = typeof SALINITIES[number]
export const PRESSURES = ['low', 'normal', 'high'] as const
export type Pressure = typeof PRESSURES[number]
export const TRENDS = ['rising', 'steady', 'falling'] as const
export type Trend = typeof TRENDS[number]
export const UNIT_SYSTEMS = ['metric', 'us'] as const
export type UnitSystem = typeof UNIT_SYSTEMS[number]

/** What an angler tells Piscator: the contract's request, after validation. Units in the names. */
export interface Request {
  lure: LureId
  species?: SpeciesId
  school?: SchoolId | 'balanced'
  water: {
    visibilityM: number
    tint: TintId
    temperatureC?: number
    /** Which way the temperature has gone over the last days. */
    trend?: Trend
    salinity?: Salinity
    pressure?: Pressure
    /** Prey known to live in this water; others are left out of the odds. */
    prey?: readonly Forage[]
  }
  light: {
    sky: SkyKind
    /** Cloud cover, 0-1, where it is known better than the sky's word. */
    cloud?: number
    sunElevationDeg?: number
    at?: { time: string, latitude: number, longitude: number }
    wind?: Wind
    canopy?: Canopy
    moon?: number
    lamps?: boolean
  }
  season?: Phase
  forage?: readonly { kind: Forage, share: number }[]
  clues?: readonly Clue[]
  depthM?: number
  background?: BackgroundId
  /** How far off the fish is when it decides, m. */
  fishM?: number
  fishedThrough?: readonly Family[]
  bitesRefused?: boolean
  limit?: number
  units?: UnitSystem
}
