import type { Pressure, Salinity, Tide } from '#core/request/request'
import type { CoverId, Density } from '#core/cover/cover'
import type { Occasion } from '#core/rules/occasion'
import type { CustomId } from '#core/words/customs'
import type { SchoolId } from '#core/words/schools'
import type { SpeciesId } from '#core/eye/species'
import type { Family } from '#core/paintwork/families'
import type { Finish, Traits } from '#core/lure/finish'
import type { Forage } from '#core/prey/forage'
import { type LureId, type LureType, lureType } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import type { Measured } from '#core/sight/measure'
import type { Phase } from '#core/season/phase'
import { shareOf } from '#core/prey/odds'
import type { BackgroundId } from '#core/sight/backgrounds'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import type { Canopy, SkyKind } from '#core/sky/weather'
import { type TintId, tintsWhere } from '#core/water/tints'
import { paint } from '#core/paintwork/paints'

/** Water that is not dark and clear with tannin. */
export const NOT_STAINED = tintsWhere(t => t.tannin !== 'alone')
/** Water without tannin. */
export const NO_TANNIN = tintsWhere(t => t.tannin === 'none')
/** Water with a colour. */
export const COLOURED = tintsWhere(t => t.coloured)

type Range = readonly [number, number]

/**
 * When a custom holds. Every given field must; clarity fades within its band, other ranges over a fifth beyond their
 * edges, so nothing jumps.
 */
export interface When {
  lures?: readonly LureId[]
  groups?: readonly LureType['group'][]
  surface?: boolean
  bottom?: boolean
  species?: readonly SpeciesId[]
  phases?: readonly Phase[]
  visibilityM?: Range
  temperatureC?: Range
  depthM?: Range
  sunDeg?: Range
  /** Grades of grades.ts, each as a range of 0-1. */
  sunny?: Range
  dim?: Range
  night?: Range
  windy?: Range
  tints?: readonly TintId[]
  skies?: readonly SkyKind[]
  canopies?: readonly Canopy[]
  backgrounds?: readonly ('open' | 'bottom' | 'weed' | BackgroundId)[]
  salinities?: readonly Salinity[]
  pressures?: readonly Pressure[]
  tides?: readonly Tide[]
  trends?: readonly NonNullable<Conditions['trend']>[]
  /** What stands in the water, and how dense it is; neither is met where no cover was named. */
  covers?: readonly CoverId[]
  densities?: readonly Density[]
  lamps?: boolean
  refused?: boolean
  fishedThrough?: boolean
  /** Prey of which at least this share must be likely; counts in proportion above it. */
  prey?: Partial<Record<Forage, number>>
  /** Prey that must not be likelier than this; fades out over as much again. */
  notPrey?: Partial<Record<Forage, number>>
}

/** What a custom speaks for. A finish must meet every field given; families may be any of those listed. */
export interface Favours {
  families?: readonly Family[]
  /** The first (most shown) family must be one of these. */
  first?: readonly Family[]
  /** All families shown must be of these. */
  only?: readonly Family[]
  traits?: Partial<Traits>
  mimics?: readonly Forage[]
  parts?: Partial<Record<Part, readonly Family[]>>
  /** Two families worn together. */
  both?: readonly [Family, Family]
}

/**
 * What the custom implies that the optics can check: that its colours show farther, look more like the prey, hide, or
 * flash.
 */
export type Claim = 'shows' | 'natural' | 'hides' | 'flash' | 'none'

export interface Custom {
  id: CustomId
  school: SchoolId
  when: When
  favours: Favours
  /** -1 to 1; negative speaks against. 0.3 a habit, 0.6 a rule, 0.9 what everybody does. */
  strength: number
  claim: Claim
}

/**
 * 1 inside a band, fading from and to 0 just inside its edges: what is said of clear water is never said of stained, by
 * however little.
 */
function inside(x: number, [lo, hi]: Range): number {
  return Math.min(1, Math.max(0, (4 * (x - lo)) / lo)) * Math.min(1, Math.max(0, (6 * (hi - x)) / hi))
}

/** 1 inside a range, fading to 0 over a fifth beyond either edge. */
function within(x: number, [lo, hi]: Range): number {
  const edge = (limit: number) => Math.max(0.02, 0.2 * Math.abs(limit))
  if (x < lo) return Math.max(0, 1 - (lo - x) / edge(lo))
  if (x > hi) return Math.max(0, 1 - (x - hi) / edge(hi))
  return 1
}

/** Whether a custom is said of a lure at all. */
export function saidOf(w: When, lure: LureId): boolean {
  const { group, surface, bottom } = lureType(lure)
  return (
    (!w.lures || w.lures.includes(lure)) &&
    (!w.groups || w.groups.includes(group)) &&
    (w.surface === undefined || w.surface === surface) &&
    (w.bottom === undefined || w.bottom === bottom)
  )
}

/** How far one condition is met in a moment, 0-1. */
type Check = (m: Occasion) => number
type Conditions = Occasion['conditions']

const ofLure =
  (w: When): Check =>
  m =>
    Number(saidOf(w, m.conditions.lure))
const among =
  <K extends keyof Conditions>(key: K) =>
  (want: readonly Conditions[K][]): Check =>
  m =>
    Number(want.includes(m.conditions[key]))
const ranged =
  (key: 'depthM' | 'sunElevationDeg') =>
  (want: Range): Check =>
  m =>
    within(m.conditions[key], want)
const graded =
  (key: keyof Occasion['grades']) =>
  (want: Range): Check =>
  m =>
    within(m.grades[key], want)

/** What each condition asks of a moment, those that are met or not before those that fade. */
const CHECKS: { [K in keyof When]-?: (want: NonNullable<When[K]>) => Check } = {
  lures: lures => ofLure({ lures }),
  groups: groups => ofLure({ groups }),
  surface: surface => ofLure({ surface }),
  bottom: bottom => ofLure({ bottom }),
  species: among('species'),
  tints: among('tint'),
  skies: among('sky'),
  canopies: among('canopy'),
  salinities: among('salinity'),
  pressures: among('pressure'),
  tides: among('tide'),
  trends: want => m => Number(want.some(trend => trend === m.conditions.trend)),
  covers: want => m => Number(want.some(kind => kind === m.conditions.cover?.kind)),
  densities: want => m => Number(want.some(density => density === m.conditions.cover?.density)),
  lamps: want => m => Number(want === m.conditions.lamps),
  refused: want => m => Number(want === m.conditions.bitesRefused),
  fishedThrough: want => m => Number(want === m.conditions.fishedThrough.length > 0),
  backgrounds: want => m => {
    const { background } = m.conditions
    return Number(want.includes(background) || want.includes(BACKGROUNDS[background].kind))
  },
  phases: want => m => {
    let share = 0
    for (const phase of want) share += m.conditions.phases[phase] ?? 0
    return share
  },
  visibilityM: want => m => inside(m.conditions.visibilityM, want),
  temperatureC:
    want =>
    ({ conditions: { temperatureC } }) =>
      temperatureC === null ? 0 : within(temperatureC, want),
  depthM: ranged('depthM'),
  sunDeg: ranged('sunElevationDeg'),
  sunny: graded('sunny'),
  dim: graded('dim'),
  night: graded('night'),
  windy: graded('windy'),
  notPrey: want => m => {
    let k = 1
    for (const kind in want) k *= Math.min(1, Math.max(0, 2 - shareIn(m, kind as Forage) / want[kind as Forage]!))
    return k
  },
  prey: want => m => {
    let most = 0
    for (const kind in want) {
      const share = shareIn(m, kind as Forage)
      if (share >= want[kind as Forage]!) most = Math.max(most, 0.4 + 0.6 * share)
    }
    return most
  },
}
const shareIn = (m: Occasion, kind: Forage) => shareOf(m.conditions.prey.shares, kind)

const checksFor = new WeakMap<When, readonly Check[]>()
/** The checks of a custom's conditions, and of no others; made once. */
function checksOf(w: When): readonly Check[] {
  let checks = checksFor.get(w)
  if (!checks) {
    const asked = (Object.keys(CHECKS) as (keyof When)[]).filter(key => w[key] !== undefined)
    checks = asked.map(key => (CHECKS[key] as (want: unknown) => Check)(w[key]))
    checksFor.set(w, checks)
  }
  return checks
}

/** How far a custom's conditions are met, 0-1. */
export function holds(w: When, moment: Occasion): number {
  let k = 1
  for (const check of checksOf(w)) {
    k *= check(moment)
    if (k === 0) return 0
  }
  return k
}

const known = new WeakMap<Favours, WeakMap<Finish, number>>()

/**
 * How far finishes are what a custom speaks for, 0-1: most if the family leads, less if it only shows. Neither changes
 * with the water, so it is found once for each.
 */
export function fitting(want: Favours): (m: Pick<Measured, 'finish'>) => number {
  let of = known.get(want)
  if (!of) known.set(want, (of = new WeakMap()))
  const fits = of
  return ({ finish }) => {
    let fit = fits.get(finish)
    if (fit === undefined) fits.set(finish, (fit = fitOf(want, finish)))
    return fit
  }
}

function fitOf(want: Favours, { families, traits, mimics, parts }: Finish): number {
  if (want.mimics && !(mimics && want.mimics.includes(mimics))) return 0
  if (want.first && !want.first.includes(families[0]!)) return 0
  if (want.only && !families.every(f => want.only!.includes(f))) return 0
  if (want.both && !want.both.every(f => families.includes(f))) return 0
  for (const [key, value] of Object.entries(want.traits ?? {})) if (traits[key as keyof Traits] !== value) return 0
  for (const [part, wanted] of Object.entries(want.parts ?? {})) {
    const coat = parts.find(p => p.part === part)?.coat
    if (!coat || !wanted.includes(paint(coat.paint).family)) return 0
  }
  if (!want.families) return 1
  const at = families.findIndex(f => want.families!.includes(f))
  return at < 0 ? 0 : [1, 0.6, 0.4][at]!
}
