import type { Pressure, Salinity, Tide } from '#core/request/request'
import type { CustomId } from '#core/words/customs'
import type { SchoolId } from '#core/words/schools'
import type { SpeciesId } from '#core/eye/species'
import type { Family } from '#core/paintwork/families'
import type { Finish, Traits } from '#core/lure/finish'
import type { Forage } from '#core/prey/forage'
import { type LureId, type LureType, lureType } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import type { Measured } from '#core/sight/measure'
import type { Moment } from '#core/schools/school'
import type { Phase } from '#core/season/phase'
import { shareOf } from '#core/prey/odds'
import type { BackgroundId } from '#core/sight/backgrounds'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import type { Canopy, SkyKind } from '#core/sky/weather'
import type { TintId } from '#core/water/tints'
import { paint } from '#core/paintwork/paints'

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

const oneOf = <T>(list: readonly T[] | undefined, v: T) => !list || list.includes(v)

/** Whether a custom is said of a lure at all. */
export function saidOf(w: When, lure: LureId): boolean {
  const { group, surface, bottom } = lureType(lure)
  return (
    oneOf(w.lures, lure) &&
    oneOf(w.groups, group) &&
    (w.surface === undefined || w.surface === surface) &&
    (w.bottom === undefined || w.bottom === bottom)
  )
}

/** How far a custom's conditions are met, 0-1. */
export function holds(w: When, { conditions: c, grades: f }: Moment): number {
  if (
    !saidOf(w, c.lure) ||
    !oneOf(w.species, c.species) ||
    !oneOf(w.tints, c.tint) ||
    !oneOf(w.skies, c.sky) ||
    !oneOf(w.canopies, c.canopy) ||
    !oneOf(w.salinities, c.salinity) ||
    !oneOf(w.pressures, c.pressure)
  )
    return 0
  if (w.tides && (c.tide === null || !w.tides.includes(c.tide))) return 0
  if (w.lamps !== undefined && w.lamps !== c.lamps) return 0
  if (w.refused !== undefined && w.refused !== c.bitesRefused) return 0
  if (w.fishedThrough !== undefined && w.fishedThrough !== c.fishedThrough.length > 0) return 0
  if (w.backgrounds && !w.backgrounds.includes(c.background) && !w.backgrounds.includes(BACKGROUNDS[c.background].kind))
    return 0
  if (w.temperatureC && c.temperatureC === null) return 0
  let k = 1
  if (w.phases) {
    let share = 0
    for (const phase of w.phases) share += c.phases[phase] ?? 0
    k *= share
  }
  if (w.visibilityM) k *= inside(c.visibilityM, w.visibilityM)
  if (k === 0) return 0
  if (w.temperatureC) k *= within(c.temperatureC!, w.temperatureC)
  if (w.depthM) k *= within(c.depthM, w.depthM)
  if (w.sunDeg) k *= within(c.sunElevationDeg, w.sunDeg)
  for (const g of ['sunny', 'dim', 'night', 'windy'] as const) if (w[g]) k *= within(f[g], w[g])
  for (const [kind, most] of Object.entries(w.notPrey ?? {}) as [Forage, number][]) {
    k *= Math.min(1, Math.max(0, 2 - shareOf(c.prey.shares, kind) / most))
  }
  if (w.prey) {
    let most = 0
    for (const [kind, least] of Object.entries(w.prey) as [Forage, number][]) {
      const share = shareOf(c.prey.shares, kind)
      if (share >= least) most = Math.max(most, 0.4 + 0.6 * share)
    }
    k *= most
  }
  return k
}

const known = new WeakMap<Favours, WeakMap<Finish, number>>()

/**
 * How far a finish is what a custom speaks for, 0-1: most if the family leads, less if it only shows. Neither changes
 * with the water, so it is found once.
 */
export function fits(want: Favours, { finish }: Measured): number {
  let of = known.get(want)
  if (!of) known.set(want, (of = new WeakMap()))
  let fit = of.get(finish)
  if (fit === undefined) of.set(finish, (fit = fitOf(want, finish)))
  return fit
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
