import {
  type ArrowFit,
  type Group,
  type GroupTerms,
  type Prior,
  fitArrow,
  linearSum,
} from '#core/season-learning/arrow'
import type { Cell, Stratum } from '#core/season-learning/log'
import { COVARIATES, type Stands } from '#core/season-learning/stands'
import type { Request } from '#core/request/request'

/** Where a request's ranking stands among those worked out. */
export type StandsOf = (asked: Request) => Stands

/**
 * Priors of the conditional fit, standard deviations of logarithms: the engine's slope, a school, a lure, a trip's own
 * luck with a rig. From 1,260 rankings: the best sum less the median is 0.77, so that the slope 0.35 has the first pick
 * bring 1.3 times the middle one.
 */
export const PRIORS = { slope: { mean: 0.35, sd: 0.35 }, school: 0.25, lure: 0.5, trip: 0.45 } as const
/** How rough finishes may be, each with its share: the log decides. */
export const WIDTHS = [
  { share: 0.4, sd: 0.12 },
  { share: 0.4, sd: 0.3 },
  { share: 0.2, sd: 0.7 },
] as const
/** Finishes with an effect of their own: those with most bites compared. */
const MOST_FINISHES = 60

/** Which parameter is which. The slope is the first, the schools follow. */
export interface Layout {
  size: number
  lures: Map<string, number>
  finishes: Map<string, number>
  /** Looks that two of the finishes and more share, by the finish. */
  looks: Map<string, number>
}

/** A stratum as the fit reads it: n cells, their values at the m parameters any of them touches, cell by cell. */
interface Compiled {
  touched: Int32Array
  x: Float64Array
  /** Bites of each cell, and of all. */
  y: Float64Array
  bites: number
  lnExposure: Float64Array
  /** Each cell's place among the trip's own effects. */
  own: Int32Array
}

/** A cell's covariates by how long it was fished in each moment; none where its finish is in no catalogue. */
export function covariatesOf(cell: Cell, standsOf: StandsOf): number[] {
  const z = new Array<number>(COVARIATES).fill(0)
  const total = cell.fished.reduce((s, f) => s + f.minutes, 0)
  for (const { asked, minutes } of cell.fished) {
    const of = standsOf(asked).z[cell.finishId]
    if (of) for (let i = 0; i < COVARIATES; i++) z[i]! += (minutes / Math.max(1e-9, total)) * of[i]!
  }
  return z
}

/** Which lures, finishes and looks the strata compared speak of. */
export function layoutOf(strata: readonly Stratum[], lookOf: (finishId: string) => string | null): Layout {
  const bites = new Map<string, number>()
  const lures = new Set<string>()
  for (const { cells } of strata)
    for (const c of cells) {
      bites.set(c.finishId, (bites.get(c.finishId) ?? 0) + c.bites)
      lures.add(c.lure)
    }
  const named = [...bites].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).slice(0, MOST_FINISHES)
  const finishes = named.map(([id]) => id).sort()
  let size = COVARIATES
  const layout: Layout = { size: 0, lures: new Map(), finishes: new Map(), looks: new Map() }
  if (lures.size > 1) for (const lure of [...lures].sort()) layout.lures.set(lure, size++)
  for (const id of finishes) layout.finishes.set(id, size++)
  const byLook = new Map<string, string[]>()
  for (const id of finishes) {
    const look = lookOf(id)
    if (look) byLook.set(look, [...(byLook.get(look) ?? []), id])
  }
  for (const of of byLook.values())
    if (of.length > 1) {
      for (const id of of) layout.looks.set(id, size)
      size++
    }
  return { ...layout, size }
}

/** A linear sum of parameters: which, and each one's factor. */
export type LinearSum = readonly { at: number; value: number }[]

/** The parameters a rig's effect is the sum of, with their values. */
export function rowOf(
  layout: Layout,
  { lure, finishId }: { lure: string; finishId: string },
  z: readonly number[],
): LinearSum {
  const row = z.map((value, at) => ({ at, value }))
  for (const at of [layout.lures.get(lure), layout.finishes.get(finishId), layout.looks.get(finishId)])
    if (at !== undefined) row.push({ at, value: 1 })
  return row
}

/** Priors of all parameters, for one width of finishes. Of those that share a look half the variance is the look's. */
export function priorOf(layout: Layout, width: number, slopeSd: number = PRIORS.slope.sd): Prior {
  const mean = new Float64Array(layout.size)
  const precision = new Float64Array(layout.size)
  mean[0] = PRIORS.slope.mean
  precision[0] = slopeSd ** -2
  for (let s = 1; s < COVARIATES; s++) precision[s] = PRIORS.school ** -2
  for (const at of layout.lures.values()) precision[at] = PRIORS.lure ** -2
  for (const [id, at] of layout.finishes) precision[at] = (layout.looks.has(id) ? 2 : 1) * width ** -2
  for (const at of layout.looks.values()) precision[at] = 2 * width ** -2
  return { mean, precision }
}

/** The trips of the strata compared, as groups with an effect of their own for each of their rigs. */
export function tripGroups(strata: readonly Stratum[], layout: Layout, zOf: (cell: Cell) => number[]): Group[] {
  const trips = new Map<number, Stratum[]>()
  for (const s of strata) {
    const of = trips.get(s.trip)
    if (of) of.push(s)
    else trips.set(s.trip, [s])
  }
  return [...trips.values()].map(of => groupOf(of, layout, zOf))
}

/** The same with another width of a trip's own luck. */
export const withTripSd = (groups: readonly Group[], sd: number): Group[] =>
  groups.map(g => ({ ...g, ownPrecision: new Float64Array(g.own).fill(sd ** -2) }))

function groupOf(strata: readonly Stratum[], layout: Layout, zOf: (cell: Cell) => number[]): Group {
  const rigs = new Map<string, number>()
  const compiled = strata.map((stratum): Compiled => {
    const rows = stratum.cells.map(c => rowOf(layout, c, zOf(c)))
    const touched = [...new Set(rows.flat().map(e => e.at))].sort((a, b) => a - b)
    const place = new Map(touched.map((at, i) => [at, i]))
    const [n, m] = [rows.length, touched.length]
    const x = new Float64Array(n * m)
    rows.forEach((row, k) => {
      for (const { at, value } of row) x[k * m + place.get(at)!]! += value
    })
    const own = stratum.cells.map(c => {
      const rig = `${c.lure} ${c.finishId}`
      if (!rigs.has(rig)) rigs.set(rig, rigs.size)
      return rigs.get(rig)!
    })
    const y = Float64Array.from(stratum.cells, c => c.bites)
    const lnExposure = Float64Array.from(stratum.cells, c => Math.log(c.exposure))
    const bites = y.reduce((s, v) => s + v, 0)
    return { touched: Int32Array.from(touched), x, y, bites, lnExposure, own: Int32Array.from(own) }
  })
  const own = rigs.size
  return {
    own,
    ownPrecision: new Float64Array(own).fill(PRIORS.trip ** -2),
    terms: (shared, mine, curvature, into) => termsOf(compiled, layout.size, own, shared, mine, curvature, into),
  }
}

/**
 * Log-likelihood of a trip's strata, its slopes and curvatures (the lower half of what all share): bites fall on rigs
 * by exposure × effect.
 */
function termsOf(
  strata: readonly Compiled[],
  p: number,
  r: number,
  shared: Float64Array,
  own: Float64Array,
  curvature: Float64Array,
  t: GroupTerms,
): number {
  let ln = 0
  for (const { touched, x, y, bites, lnExposure, own: place } of strata) {
    const [n, m] = [y.length, touched.length]
    const eta = new Float64Array(n)
    let most = -Infinity
    for (let k = 0; k < n; k++) {
      let s = lnExposure[k]! + own[place[k]!]!
      for (let i = 0; i < m; i++) s += x[k * m + i]! * shared[touched[i]!]!
      eta[k] = s
      if (s > most) most = s
    }
    const pi = eta.map(e => Math.exp(e - most))
    let total = 0
    for (let k = 0; k < n; k++) total += pi[k]!
    const lnTotal = most + Math.log(total)
    const mean = new Float64Array(m)
    for (let k = 0; k < n; k++) {
      pi[k]! /= total
      ln += y[k]! * (eta[k]! - lnTotal)
      const over = y[k]! - bites * pi[k]!
      t.own[place[k]!]! += over
      for (let i = 0; i < m; i++) {
        t.shared[touched[i]!]! += over * x[k * m + i]!
        mean[i]! += pi[k]! * x[k * m + i]!
      }
    }
    const away = new Float64Array(m)
    for (let k = 0; k < n; k++) {
      const w = bites * pi[k]!
      const mine = place[k]!
      for (let i = 0; i < m; i++) away[i] = x[k * m + i]! - mean[i]!
      for (let i = 0; i < m; i++) {
        const wxi = w * away[i]!
        if (wxi === 0) continue
        const row = touched[i]! * p
        for (let j = 0; j <= i; j++) curvature[row + touched[j]!]! += wxi * away[j]!
        t.between[touched[i]! * r + mine]! += wxi
      }
      t.within[mine * r + mine]! += w
      for (let l = 0; l < n; l++) t.within[mine * r + place[l]!]! -= w * pi[l]!
    }
  }
  return ln
}

/** Fits for each width of finishes, with how far the log speaks for each; the weights sum to 1. */
export interface RigFit {
  layout: Layout
  fits: readonly { weight: number; fit: ArrowFit }[]
}

/** Weights in proportion to a prior share times the evidence. */
export function weighed<T extends { share: number; lnEvidence: number }>(fits: readonly T[]): number[] {
  const most = Math.max(...fits.map(f => f.lnEvidence))
  const raw = fits.map(f => f.share * Math.exp(f.lnEvidence - most))
  const total = raw.reduce((s, v) => s + v, 0)
  return raw.map(v => v / total)
}

/**
 * What rods compared in the same half-hour at the same spot say of finishes, lures and schools: a conditional fit, in
 * which hot days and good spots cancel (McCullagh & Nelder 1989, section 7.6).
 */
export function fitRigs(layout: Layout, groups: readonly Group[]): RigFit {
  let near: ArrowFit | undefined
  const fits = WIDTHS.map(({ share, sd }) => {
    const fit = (near = fitArrow(priorOf(layout, sd), groups, near))
    return { share, fit, lnEvidence: fit.lnEvidence }
  })
  const weights = weighed(fits)
  return { layout, fits: fits.map(({ fit }, i) => ({ fit, weight: weights[i]! })) }
}

/** Mean of a linear sum of parameters, over the widths. */
export const meanOf = ({ fits }: RigFit, row: LinearSum): number =>
  fits.reduce((sum, { weight, fit }) => sum + weight * row.reduce((s, e) => s + e.value * fit.mean[e.at]!, 0), 0)

/** Mean and standard deviation of a linear sum of parameters, over the widths. */
export function sumOf({ fits }: RigFit, row: LinearSum): { mean: number; sd: number } {
  const once = new Map<number, number>()
  for (const { at, value } of row) once.set(at, (once.get(at) ?? 0) + value)
  const each = fits.map(({ weight, fit }) => ({ weight, ...linearSum(fit, once) }))
  const mean = each.reduce((s, e) => s + e.weight * e.mean, 0)
  const variance = each.reduce((s, e) => s + e.weight * (e.variance + (e.mean - mean) ** 2), 0)
  return { mean, sd: Math.sqrt(Math.max(0, variance)) }
}
