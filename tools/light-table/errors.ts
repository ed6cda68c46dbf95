import { BEAM_COLUMNS, COLUMN, type Column } from '#core/light-field/table'
import { LightProfile } from '#core/light-field/profile'
import { type Phase, backOf } from './phase'
import { type LightAt, type Source, solver } from './solver'

/** What the solver says, by the table's columns. */
export const columnOf: Record<Column, (l: LightAt) => number> = {
  ed: l => l.ed,
  eu: l => l.eu,
  e0: l => l.e0,
  eSide: l => l.eSide.mean,
  lh: l => l.lh.mean,
  lZen: l => l.lZen,
  lNad: l => l.lNad,
  eSideToward: l => l.eSide.toward,
  eSideAcross: l => l.eSide.across,
  eSideAway: l => l.eSide.away,
  lhToward: l => l.lh.toward,
  lhAcross: l => l.lh.across,
  lhAway: l => l.lh.away,
}

export interface Errors {
  mean: number
  worst: number
  where: string
}

/** Errors of the look-up against the solver at points that are not the table's own, by column. */
export function lookUpErrors(
  phases: readonly Phase[],
  omegas: readonly number[],
  sources: readonly Source[],
  taus: readonly number[],
): Record<Column, Errors> {
  const sums = Object.fromEntries(Object.keys(COLUMN).map(c => [c, { mean: 0, worst: 0, where: '' }])) as Record<
    Column,
    Errors
  >
  let count = 0
  const got = new Float64Array(BEAM_COLUMNS)
  for (const phase of phases) {
    for (const omega of omegas) {
      const solve = solver(phase, omega)
      for (const source of sources) {
        const { at } = solve(source)
        const profile = new LightProfile(
          { omega, share: backOf(phase) },
          source.kind === 'beam' ? { beam: { mu: source.mu, weight: 1 } } : { [source.kind]: 1 },
        )
        for (const tau of taus) {
          profile.at(tau, got)
          const want = at(tau)
          count++
          for (const c of Object.keys(COLUMN) as Column[]) {
            const off = Math.abs(got[COLUMN[c]]! / columnOf[c](want) - 1)
            sums[c].mean += off
            if (off > sums[c].worst) {
              const from = source.kind === 'beam' ? `cos ${source.mu}` : source.kind
              Object.assign(sums[c], { worst: off, where: `${JSON.stringify(phase)} ω0 ${omega}, ${from}, τ ${tau}` })
            }
          }
        }
      }
    }
  }
  for (const e of Object.values(sums)) e.mean /= count
  return sums
}
