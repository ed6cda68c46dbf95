import {
  type ArrowFit,
  type Group,
  type GroupTerms,
  type Prior,
  fitArrow,
  linearSum,
  noTerms,
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

interface CompiledCell {
  bites: number
  lnExposure: number
  own: number
  /** Values at the stratum's touched parameters. */
  x: Float64Array
}
interface Compiled {
  touched: Int32Array
  cells: CompiledCell[]
  bites: number
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

/** The parameters a rig's effect is the sum of, with their values. */
export function rowOf(layout: Layout, { lure, finishId }: { lure: string; finishId: string }, z: readonly number[]) {
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
export function tripGroups(strata: readonly Stratum[], layout: Layout, standsOf: StandsOf): Group[] {
  const trips = new Map<number, Stratum[]>()
  for (const s of strata) trips.set(s.trip, [...(trips.get(s.trip) ?? []), s])
  return [...trips.values()].map(of => groupOf(of, layout, standsOf))
}

/** The same with another width of a trip's own luck. */
export const withTripSd = (groups: readonly Group[], sd: number): Group[] =>
  groups.map(g => ({ ...g, ownPrecision: new Float64Array(g.own).fill(sd ** -2) }))

function groupOf(strata: readonly Stratum[], layout: Layout, standsOf: StandsOf): Group {
  const rigs = new Map<string, number>()
  const compiled = strata.map((stratum): Compiled => {
    const rows = stratum.cells.map(c => rowOf(layout, c, covariatesOf(c, standsOf)))
    const touched = [...new Set(rows.flat().map(e => e.at))].sort((a, b) => a - b)
    const place = new Map(touched.map((at, i) => [at, i]))
    const cells = stratum.cells.map((c, i): CompiledCell => {
      const rig = `${c.lure} ${c.finishId}`
      if (!rigs.has(rig)) rigs.set(rig, rigs.size)
      const x = new Float64Array(touched.length)
      for (const { at, value } of rows[i]!) x[place.get(at)!]! += value
      return { bites: c.bites, lnExposure: Math.log(c.exposure), own: rigs.get(rig)!, x }
    })
    return { touched: Int32Array.from(touched), cells, bites: cells.reduce((s, c) => s + c.bites, 0) }
  })
  const own = rigs.size
  return {
    own,
    ownPrecision: new Float64Array(own).fill(PRIORS.trip ** -2),
    terms: (shared, mine, curvature) => termsOf(compiled, layout.size, own, shared, mine, curvature),
  }
}

/** Log-likelihood of a trip's strata, its slopes and curvatures: bites fall on rigs by exposure × effect. */
function termsOf(
  strata: readonly Compiled[],
  p: number,
  r: number,
  shared: Float64Array,
  own: Float64Array,
  curvature: Float64Array,
): GroupTerms {
  const t = noTerms(p, r)
  for (const { touched, cells, bites: n } of strata) {
    const m = touched.length
    const eta = cells.map(c => {
      let s = c.lnExposure + own[c.own]!
      for (let i = 0; i < m; i++) s += c.x[i]! * shared[touched[i]!]!
      return s
    })
    const most = Math.max(...eta)
    const weights = eta.map(e => Math.exp(e - most))
    const total = weights.reduce((s, w) => s + w, 0)
    const pi = weights.map(w => w / total)
    const mean = new Float64Array(m)
    cells.forEach((c, k) => {
      t.ln += c.bites * (eta[k]! - most - Math.log(total))
      const over = c.bites - n * pi[k]!
      t.own[c.own]! += over
      for (let i = 0; i < m; i++) {
        t.shared[touched[i]!]! += over * c.x[i]!
        mean[i]! += pi[k]! * c.x[i]!
      }
    })
    cells.forEach((c, k) => {
      const w = n * pi[k]!
      for (let i = 0; i < m; i++) {
        const xi = c.x[i]! - mean[i]!
        if (xi === 0) continue
        const row = touched[i]! * p
        const wxi = w * xi
        const x = c.x
        for (let j = 0; j < m; j++) curvature[row + touched[j]!]! += wxi * (x[j]! - mean[j]!)
        t.between[touched[i]! * r + c.own]! += w * xi
      }
      t.within[c.own * r + c.own]! += w
      cells.forEach((d, l) => (t.within[c.own * r + d.own]! -= w * pi[l]!))
    })
  }
  return t
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

/** Mean and standard deviation of a linear sum of parameters, over the widths. */
export function sumOf({ fits }: RigFit, row: readonly { at: number; value: number }[]): { mean: number; sd: number } {
  const each = fits.map(({ weight, fit }) => {
    const { mean, variance } = linearSum(
      fit,
      row.map(e => [e.at, e.value] as const),
    )
    return { weight, mean, variance }
  })
  const mean = each.reduce((s, e) => s + e.weight * e.mean, 0)
  const variance = each.reduce((s, e) => s + e.weight * (e.variance + (e.mean - mean) ** 2), 0)
  return { mean, sd: Math.sqrt(Math.max(0, variance)) }
}
