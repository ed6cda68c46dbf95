import type { LureId } from '#core/lure/types'
import type { Custom } from '#core/rules/custom'
import { MisfitError, luresOf, misfitsOf } from '#core/rules/fitness'
import { COAST_CUSTOMS } from '#core/rules/customs/coast'
import { GROUND_CUSTOMS } from '#core/rules/customs/ground'
import { HARD_BAIT_CUSTOMS } from '#core/rules/customs/hardBaits'
import { LIGHT_CUSTOMS } from '#core/rules/customs/light'
import { OTHER_CUSTOMS } from '#core/rules/customs/others'
import { SKIRTED_CUSTOMS } from '#core/rules/customs/skirted'
import { SURFACE_CUSTOMS } from '#core/rules/customs/surface'

const customs: readonly Custom[] = [
  ...LIGHT_CUSTOMS,
  ...GROUND_CUSTOMS,
  ...HARD_BAIT_CUSTOMS,
  ...SKIRTED_CUSTOMS,
  ...SURFACE_CUSTOMS,
  ...OTHER_CUSTOMS,
  ...COAST_CUSTOMS,
]

const misfits = misfitsOf(customs)
if (misfits.length) throw new MisfitError(misfits)

/**
 * Every custom of the field, in one list, each checked against the parts and powers of the lures it may be said of.
 * Source of all: custom, as practitioners tell it; words ours.
 */
export const CUSTOMS = customs

const byLure = new Map<LureId, readonly Custom[]>()

/** The customs that may be said of a lure, in the list's order, whatever the moment. */
export function customsOf(lure: LureId): readonly Custom[] {
  let of = byLure.get(lure)
  if (!of) byLure.set(lure, (of = CUSTOMS.filter(c => luresOf(c).includes(lure))))
  return of
}
