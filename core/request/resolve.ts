import { type Cover, coverKind, coverOf } from '#core/cover/cover'
import { rounded } from '#core/numeric/rounded'
import { type SpeciesId, species } from '#core/eye/species'
import type { Family } from '#core/paintwork/families'
import { imitable } from '#core/lure/food'
import { type LureId, lureType } from '#core/lure/types'
import type { Pressure, Request, Salinity, Tide } from '#core/request/request'
import { type Phase, type PhaseShares, type Season, inferPhase, setSeason } from '#core/season/phase'
import { type Dated, datedOf, skyInputOf } from '#core/request/sky'
import { type PreyOdds, type PreyShare, preyOdds } from '#core/prey/odds'
import type { BackgroundId } from '#core/sight/backgrounds'
import { type SceneInput, type SunFacing, usualFishM } from '#core/sight/scene'
import type { Canopy, SkyKind, Wind } from '#core/sky/weather'
import type { UnitSystem } from '#core/units'
import type { TintId } from '#core/water/tints'
import type { SchoolId } from '#core/words/schools'
import { type Sentence, plainly } from '#core/words/sentence'

/** Something the angler did not say and the engine took for granted. */
export interface Assumption {
  path: string
  value: unknown
  because: Sentence
}

/** A request with every gap filled, and what was filled. */
export interface Conditions {
  lure: LureId
  species: SpeciesId
  school: SchoolId | 'balanced'
  visibilityM: number
  tint: TintId
  /** null where it was not given: nothing is said then that hangs on it. */
  temperatureC: number | null
  salinity: Salinity
  /** Where the temperature has been going; null where it was not given. */
  trend: Request['water']['trend'] | null
  /** null where it was not given. */
  tide: Tide | null
  pressure: Pressure
  sky: SkyKind
  cloud: number
  sunElevationDeg: number
  wind: Wind
  canopy: Canopy
  lamps: boolean
  /** The phase that holds most, and how far each does. */
  phase: Phase
  phases: PhaseShares
  prey: PreyOdds
  /** The food this lure can be taken for, likeliest first. */
  food: readonly PreyShare[]
  depthM: number
  /** null where it was not given: the water counts as deep. */
  waterM: number | null
  facing: SunFacing
  /** What stands in the water; null where it was not given. */
  cover: Cover | null
  background: BackgroundId
  fishM: number
  fishedThrough: readonly Family[]
  bitesRefused: boolean
  limit: number
  units: UnitSystem
  scene: SceneInput
  assumed: readonly Assumption[]
}

/** Below this height of the sun the moon and lamps have a say in the light, degrees. */
const MOON_COUNTS_DEG = 0
/** Visibility for which the usual running depths are given, m, and how they go with it. */
const USUAL_VISIBILITY_M = 1.5
const CLARITY_POWER = 0.2
/** A lure of the bottom runs at this share of the water's depth. */
const ON_BOTTOM = 0.97
/** A lure whose usual depth is too deep for the water runs at this share of it. */
const OFF_BOTTOM = 0.85
/** A share of the food smaller than this is not worth naming. */
const NAMED_SHARE = 0.05
const USUAL_LIMIT = 10

/**
 * Where a lure runs when nothing is said, m: on the bottom if it belongs there and the bottom is known; otherwise at
 * its usual depth, drawn up in dirty water and let down in clear, where fish hold deeper, within what the lure does
 * and clear of the bottom. Ours.
 */
export function usualDepthM(lure: LureId, waterM: number | null, visibilityM: number): number {
  const { bottom, surface, depthM, runsM } = lureType(lure)
  if (bottom && waterM !== null && waterM <= runsM[1]) return ON_BOTTOM * waterM
  const byClarity = surface ? depthM : depthM * (visibilityM / USUAL_VISIBILITY_M) ** CLARITY_POWER
  const usual = rounded(Math.min(runsM[1], Math.max(runsM[0], byClarity)), 2)
  return waterM === null ? usual : Math.min(usual, OFF_BOTTOM * waterM)
}

const seasonOf = (r: Request, speciesId: SpeciesId, dated: Dated | null): Season =>
  inferPhase({
    species: speciesId,
    temperatureC: r.water.temperatureC,
    trend: r.water.trend,
    dayOfYear: dated?.dayOfYear,
    latitudeDeg: dated?.at.latitudeDeg,
  })

/** Of a phase before the fry are there, what their being seen leaves to it. Ours. */
const BEFORE_FRY = 0.15
/** Fry seen say that at least some have spawned: what was before goes on to after it. */
function withFry(shares: PhaseShares): PhaseShares {
  const { prespawn = 0, spawn = 0, postspawn = 0 } = shares
  const moved = (1 - BEFORE_FRY) * (prespawn + spawn)
  if (!moved) return shares
  return {
    ...shares,
    prespawn: BEFORE_FRY * prespawn,
    spawn: BEFORE_FRY * spawn,
    postspawn: postspawn + moved,
  }
}
const leading = (shares: PhaseShares) =>
  (Object.entries(shares) as [Phase, number][]).reduce((a, b) => (b[1] > a[1] ? b : a))[0]

/** Fill the gaps of a request by the contract's defaults and by inference, saying what was assumed. */
export function resolve(r: Request): Conditions {
  const assumed: Assumption[] = []
  /** What was given, or what is taken in its place and why. */
  const given = <T>(path: string, value: T | undefined, usual: T, because: Sentence): T => {
    if (value !== undefined) return value
    assumed.push({ path, value: usual, because })
    return usual
  }
  const dated = datedOf(r.light.at)
  const sky = skyInputOf(r.light, coverKind(r.water.cover?.kind ?? 'open').canopy)

  const speciesId = r.species ?? 'largemouth-bass'
  const season = r.season ? null : seasonOf(r, speciesId, dated)
  const guarded = season && r.clues?.includes('fry') && species(speciesId).nests
  const phases = guarded ? withFry(season.shares) : (season?.shares ?? { [setSeason(r.season!, speciesId)]: 1 })
  const phase = leading(phases)
  if (season) {
    assumed.push({
      path: 'season',
      value: phase,
      because: { code: 'assumed.season', params: { phase, basis: season.basis } },
    })
  }
  const salinity = r.water.salinity ?? 'fresh'
  const clues = r.clues ?? []
  const prey = preyOdds({ species: speciesId, phases, salinity, listed: r.water.prey, given: r.forage, clues })
  if (!r.forage?.length || clues.length) {
    const named = prey.shares.filter(s => s.share >= NAMED_SHARE)
    const rest = rounded(1 - named.reduce((sum, s) => sum + rounded(s.share, 2), 0), 2)
    assumed.push({
      path: 'forage',
      value: named.map(s => ({ kind: s.kind, share: rounded(s.share, 2) })),
      because: { code: 'assumed.forage', params: { from: prey.from, clues: prey.moved.map(m => m.clue), rest } },
    })
  }
  if (species(speciesId).assumed) {
    assumed.push({
      path: 'species',
      value: speciesId,
      because: { code: 'assumed.eye', params: { species: speciesId } },
    })
  }
  const waterM = given<number | null>('water.depthM', r.water.depthM, null, plainly('assumed.water-depth'))
  const usualM = usualDepthM(r.lure, waterM, r.water.visibilityM)
  const depthM = given('depthM', r.depthM, usualM, { code: 'assumed.depth', params: { lure: r.lure } })
  given('species', r.species, speciesId, { code: 'assumed.species', params: { species: speciesId } })
  given('water.salinity', r.water.salinity, salinity, plainly('assumed.salinity'))
  const pressure = given('water.pressure', r.water.pressure, 'normal', plainly('assumed.pressure'))
  const temperatureC = given<number | null>(
    'water.temperatureC',
    r.water.temperatureC,
    null,
    plainly('assumed.temperature'),
  )
  const tide =
    salinity === 'fresh'
      ? (r.water.tide ?? null)
      : given<Tide | null>('water.tide', r.water.tide, null, plainly('assumed.tide'))
  const wind = given('light.wind', r.light.wind, sky.wind, plainly('assumed.wind'))
  const cover = r.water.cover ? coverOf(r.water.cover, waterM) : null
  const { background: behind, canopy: over } = coverKind(cover?.kind ?? 'open')
  const byCover: Sentence | null =
    cover === null || cover.kind === 'open' ? null : { code: 'assumed.by-cover', params: { cover: cover.kind } }
  const canopy = given('light.canopy', r.light.canopy, sky.canopy, (over && byCover) ?? plainly('assumed.canopy'))
  const facing = given('light.facing', r.light.facing, 'any', plainly('assumed.facing'))
  // What lies behind a bottom lure is only the bottom if we know which; open water is the contract's default.
  const background = given('background', r.background, behind, byCover ?? plainly('assumed.background'))
  const fishM = given('fishM', r.fishM, usualFishM(r.water.visibilityM), plainly('assumed.fish'))

  if (sky.sunElevationDeg < MOON_COUNTS_DEG) {
    const because = plainly(dated ? 'assumed.moon-by-date' : 'assumed.moon')
    given('light.moon', r.light.moon, rounded(sky.moonFraction, 2), because)
    given('light.lamps', r.light.lamps, sky.lamps, plainly('assumed.lamps'))
  }
  return {
    lure: r.lure,
    species: speciesId,
    school: r.school ?? 'balanced',
    visibilityM: r.water.visibilityM,
    tint: r.water.tint,
    temperatureC,
    salinity,
    trend: r.water.trend ?? null,
    tide,
    pressure,
    sky: r.light.sky,
    cloud: sky.cloud,
    sunElevationDeg: sky.sunElevationDeg,
    wind,
    canopy,
    lamps: sky.lamps,
    phase,
    phases,
    prey,
    food: imitable(r.lure, prey.shares),
    depthM,
    waterM,
    facing,
    cover,
    background,
    fishM,
    fishedThrough: r.fishedThrough ?? [],
    bitesRefused: r.bitesRefused ?? false,
    limit: r.limit ?? USUAL_LIMIT,
    units: r.units ?? 'metric',
    assumed,
    scene: {
      lure: r.lure,
      species: speciesId,
      visibilityM: r.water.visibilityM,
      tint: r.water.tint,
      salt: salinity === 'salt',
      sky,
      depthM,
      waterM,
      facing,
      background,
      fishM,
    },
  }
}
