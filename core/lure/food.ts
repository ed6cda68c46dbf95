import { type LureId, lureType } from '#core/lure/types'
import type { PreyShare } from '#core/prey/odds'

/**
 * The part of the food that a lure can be taken for, its shares summing to 1; all of it where it can be taken for none.
 */
export function imitable(lure: LureId, shares: readonly PreyShare[]): readonly PreyShare[] {
  const { imitates } = lureType(lure)
  const fit = shares.filter(s => imitates.includes(s.kind))
  const total = fit.reduce((sum, s) => sum + s.share, 0)
  return total > 0 ? fit.map(s => ({ kind: s.kind, share: s.share / total })) : shares
}
