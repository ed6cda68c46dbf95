import type { LureId } from '#core/lure/types'
import type { Request } from '#core/request/request'
import type { Group } from '#core/season-learning/arrow'
import { type Cell, type LoggedTrip, type Stratum, askedOf, compares, strataOf } from '#core/season-learning/log'
import { type Layout, type StandsOf, covariatesOf, layoutOf, tripGroups } from '#core/season-learning/rigs'
import type { Stands } from '#core/season-learning/stands'

/** Requests whose rankings a season asks for, each once. */
export function askedIn(trips: readonly LoggedTrip[]): Request[] {
  const all = new Map<string, Request>()
  for (const t of trips.filter(t => t.asItHappened))
    for (const s of t.stints) {
      const asked = askedOf(t, s)
      all.set(JSON.stringify(asked), asked)
    }
  return [...all.values()]
}

/** A log made ready to be fitted. */
export interface Prepared {
  trips: readonly LoggedTrip[]
  strata: readonly Stratum[]
  compared: readonly Stratum[]
  looks: ReadonlyMap<string, string>
  layout: Layout
  groups: Group[]
  standsOf: StandsOf
  /** A cell's covariates, worked out once. */
  zOf: (cell: Cell) => number[]
}

/** Trips as stretches of comparison, with the rankings of their half-hours. */
export function prepared(all: readonly LoggedTrip[], stands: readonly { asked: Request; stands: Stands }[]): Prepared {
  const known = new Map(stands.map(s => [JSON.stringify(s.asked), s.stands]))
  // A stint's conditions are looked up often: by what they say once, then by which they are.
  const found = new WeakMap<Request, Stands>()
  const standsOf: StandsOf = asked => {
    let stands = found.get(asked)
    if (!stands) found.set(asked, (stands = known.get(JSON.stringify(asked))!))
    return stands
  }
  const trips = all.filter(t => t.asItHappened)
  const strata = trips.flatMap((t, i) => strataOf(t, i)).filter(s => s.cells.length)
  const compared = strata.filter(compares)
  const looks = usualLooks(strata, standsOf)
  const layout = layoutOf(compared, id => looks.get(id) ?? null)
  const z = new Map(strata.flatMap(s => s.cells).map(c => [c, covariatesOf(c, standsOf)]))
  const zOf = (cell: Cell) => z.get(cell)!
  return { trips, strata, compared, looks, layout, groups: tripGroups(compared, layout, zOf), standsOf, zOf }
}

/** The looks of each lure in the moment it was fished in longest, by finish. */
function usualLooks(strata: readonly Stratum[], standsOf: StandsOf): Map<string, string> {
  const longest = new Map<LureId, Map<Request, number>>()
  for (const { cells } of strata)
    for (const { lure, fished } of cells)
      for (const { asked, minutes } of fished) {
        const of = longest.get(lure) ?? new Map<Request, number>()
        longest.set(lure, of)
        of.set(asked, (of.get(asked) ?? 0) + minutes)
      }
  const out = new Map<string, string>()
  for (const [lure, of] of longest) {
    const [usual] = [...of].reduce((a, b) => (b[1] > a[1] ? b : a))
    for (const [id, look] of Object.entries(standsOf(usual).look)) out.set(id, `${lure} ${look}`)
  }
  return out
}
