import type { LureId } from '#core/lure/types'
import { medianOf } from '#core/numeric/median'
import { rank } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import type { Phase } from '#core/season/phase'
import { looksOf } from '#core/sight/likeness'
import { SCHOOL_IDS } from '#core/words/schools'

/** What is kept of a ranking for learning: where each finish stood, and what the moment was. */
export interface Stands {
  lure: LureId
  /** By finish: its sum of effects less the catalogue's median, and each school's stance less its mean. */
  z: Record<string, number[]>
  /** Low light, 0-1. */
  dim: number
  visibilityM: number
  phase: Phase
  /** Finishes the fish could not tell apart, each by the number of its look. */
  look: Record<string, number>
}

/** Covariates of a finish: the engine's sum, and the seven schools. */
export const COVARIATES = 1 + SCHOOL_IDS.length

/** A sum, and a stance, beyond these say no more. */
const [MOST_SUM, MOST_STANCE] = [1.5, 1] as const
const held = (v: number, most: number) => Math.max(-most, Math.min(most, v))

/**
 * Where every finish of a lure stands in a moment, by the engine and by each school: what the log is held against.
 * Figures to four decimals, so that what is kept and what is worked out anew are the same.
 */
export function standsIn(request: Request): Stands {
  const { ranked, moment } = rank({ ...request, school: 'balanced' })
  const middle = medianOf(ranked.map(j => j.total))
  const stances = SCHOOL_IDS.map(id => {
    const of = ranked.map(j => held(j.stances[id].value, MOST_STANCE))
    const mean = of.reduce((s, v) => s + v, 0) / of.length
    return of.map(v => v - mean)
  })
  const short = (v: number) => Math.round(v * 1e4) / 1e4
  const z: Stands['z'] = {}
  ranked.forEach((j, i) => {
    z[j.finish.id] = [short(held(j.total - middle, MOST_SUM)), ...stances.map(of => short(of[i]!))]
  })
  const look: Stands['look'] = {}
  looksOf(ranked).forEach((group, n) => group.forEach(m => (look[m.finish.id] = n)))
  const { conditions, grades } = moment
  return {
    lure: request.lure,
    z,
    dim: short(grades.dim),
    visibilityM: conditions.visibilityM,
    phase: conditions.phase,
    look,
  }
}
