import { coverKind } from '#core/cover/cover'
import { lureType } from '#core/lure/types'
import type { Occasion } from '#core/rules/occasion'

/** Where the fish are, m down; null where nothing tells. */
export function fishDepthM({ conditions: c, grades: g }: Occasion): number | null {
  if (c.waterM === null) return null
  if (c.cover && c.cover.kind !== 'open') return coverKind(c.cover.kind).fishAt * c.waterM
  // In the open high sun and cold send them down, low light and wind bring them up. Ours.
  const sun = 0.4 + 0.4 * g.sunny * (1 - 0.6 * g.windy) - 0.2 * g.dim
  const cold = c.phase === 'winter' ? 0.3 : 0
  return Math.min(0.95, sun + cold) * c.waterM
}

/** How far above the top of cover that would hold it a lure is run, m. */
const TICKS_M = 0.05

/**
 * Where a lure is run here, m: along the bed, or on top, with what belongs there; otherwise as near to the fish as it
 * can be made to run, and just over cover that stands up from the bed.
 */
export function runAtM(o: Occasion): number {
  const { lure, depthM, waterM, cover } = o.conditions
  const { bottom, surface, runsM } = lureType(lure)
  const fishM = fishDepthM(o)
  if (bottom || surface || fishM === null || waterM === null || waterM < runsM[0]) return depthM
  const { onBed, passage } = coverKind(cover?.kind ?? 'open')
  const overM = cover?.topM && passage && !onBed ? cover.topM - TICKS_M : Infinity
  return Math.max(runsM[0], Math.min(runsM[1], fishM, overM))
}
