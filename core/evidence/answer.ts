import type { ReadingKind } from '#core/water/readingKinds'
import type { TintId } from '#core/water/tints'
import type { Said } from '#core/words/sentence'

export interface TintOdds {
  tint: TintId
  odds: number
}

/** Readings that no one water explains, by their paths in the request. */
export interface Conflict extends Said {
  paths: string[]
}

/** The reading that would tell most. */
export interface NextReading {
  kind: ReadingKind
  target?: 'white' | 'black'
  why: string
}

/** Which water it is: the contract's answer to readings. */
export interface ReadingsAnswer {
  /** White-disc depth, m: the 50th, 5th and 95th percentile. */
  visibilityM: { best: number; low: number; high: number }
  /** All five, likeliest first; they sum to 1. */
  tints: TintOdds[]
  conflicts: Conflict[]
  /** Long casts of which some samples alone were worked at; absent where there are none. */
  thinned?: (Said & { path: string })[]
  next: NextReading
}
