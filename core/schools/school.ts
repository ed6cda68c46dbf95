import type { Conditions } from '#core/request/resolve'
import type { Grades } from '#core/request/grades'
import type { SchoolId } from '#core/words/schools'
import type { Sentence } from '#core/words/sentence'
import type { Measured } from '#core/sight/measure'
import type { Scene } from '#core/sight/scene'

/** One thing a school says for (positive) or against a finish. What is said is only made up when it is wanted. */
export interface Point {
  effect: number
  says: () => Sentence
}

/** Everything a school may look at. */
export interface Moment {
  conditions: Conditions
  grades: Grades
  scene: Scene
  /** Where this catalogue's finishes lie on each measure, so that a point speaks of better or worse than the rest. */
  field: Record<Measure, Spread>
}

/** The measures a school compares finishes on. */
export const MEASURES = {
  reach: (m: Measured) => Math.log(m.sightM),
  colourReach: (m: Measured) => Math.log(m.colourM),
  natural: (m: Measured) => m.natural,
  hidden: (m: Measured) => m.hidden,
  internal: (m: Measured) => Math.log(1 + m.internalJnd),
  flash: (m: Measured) => m.flash,
} as const
export type Measure = keyof typeof MEASURES

/**
 * Median of a measure and how far its best and worst lie from it, never less than a floor: where all finishes
 * are alike, a school has nothing to say.
 */
export interface Spread {
  median: number
  up: number
  down: number
}

const FLOORS: Record<Measure, number> = {
  reach: 0.12,
  colourReach: 0.25,
  natural: 0.08,
  hidden: 0.1,
  internal: 0.5,
  flash: 0.03,
}

export function spreadOf(measured: readonly Measured[], measure: Measure): Spread {
  const value = MEASURES[measure]
  const values = new Float64Array(measured.length)
  for (let i = 0; i < values.length; i++) values[i] = value(measured[i]!)
  values.sort()
  const median = values[values.length >> 1]!
  return {
    median,
    up: Math.max(FLOORS[measure], values[values.length - 1]! - median),
    down: Math.max(FLOORS[measure], median - values[0]!),
  }
}

/** Where a finish stands on a measure among its fellows: 1 the best, 0 the median, -1 the worst. */
export function standing(m: Measured, moment: Moment, measure: Measure): number {
  const s = moment.field[measure]
  const d = MEASURES[measure](m) - s.median
  return Math.max(-1, Math.min(1, d > 0 ? d / s.up : d / s.down))
}

/** A school of thought: what it says of one finish, about -1 to 1 in all. */
export interface School {
  id: SchoolId
  judge: (m: Measured, moment: Moment) => Point[]
}
