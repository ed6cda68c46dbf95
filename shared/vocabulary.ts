import { SCHOOL_IDS } from '#core/conditions/schools'
import { PRESSURES, SALINITIES, TRENDS, UNIT_SYSTEMS } from '#core/conditions/request'
import { SPECIES } from '#core/eye/species'
import { FAMILIES } from '#core/finish/families'
import { FORAGE_KINDS } from '#core/finish/forage'
import { LURE_IDS } from '#core/finish/lures'
import { PHASES } from '#core/season/phase'
import { CLUES } from '#core/season/prey'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import { CANOPIES, SKIES, WINDS } from '#core/sky/conditions'
import { TINTS } from '#core/water/tints'

const keys = <T extends object>(o: T) => Object.keys(o) as (keyof T & string)[]

/** The contract's words, read off the records that give them meaning. */
export const VOCABULARY = {
  lure: LURE_IDS,
  species: keys(SPECIES),
  school: ['balanced', ...SCHOOL_IDS] as const,
  tint: keys(TINTS),
  salinity: SALINITIES,
  pressure: PRESSURES,
  trend: TRENDS,
  sky: keys(SKIES),
  wind: keys(WINDS),
  canopy: keys(CANOPIES),
  season: PHASES,
  forage: FORAGE_KINDS,
  clue: keys(CLUES),
  background: keys(BACKGROUNDS),
  family: FAMILIES,
  units: UNIT_SYSTEMS,
} as const

/** Ranges of the contract's numbers, both ends allowed. */
export const LIMITS = {
  visibilityM: [0.05, 30],
  temperatureC: [-1, 40],
  sunElevationDeg: [-90, 90],
  latitude: [-90, 90],
  longitude: [-180, 180],
  share: [0, 1],
  depthM: [0, 60],
  fishM: [0.1, 30],
  limit: [1, 60],
} as const satisfies Record<string, readonly [number, number]>
export type LimitName = keyof typeof LIMITS
