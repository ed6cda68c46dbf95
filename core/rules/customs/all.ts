import type { Custom } from '#core/rules/custom'
import { GROUND_CUSTOMS } from '#core/rules/customs/ground'
import { HARD_BAIT_CUSTOMS } from '#core/rules/customs/hardBaits'
import { LIGHT_CUSTOMS } from '#core/rules/customs/light'
import { OTHER_CUSTOMS } from '#core/rules/customs/others'
import { SKIRTED_CUSTOMS } from '#core/rules/customs/skirted'
import { SURFACE_CUSTOMS } from '#core/rules/customs/surface'

/** Every custom of the field, in one list. Source of all: custom, as practitioners tell it; words ours. */
export const CUSTOMS: readonly Custom[] = [
  ...LIGHT_CUSTOMS,
  ...GROUND_CUSTOMS,
  ...HARD_BAIT_CUSTOMS,
  ...SKIRTED_CUSTOMS,
  ...SURFACE_CUSTOMS,
  ...OTHER_CUSTOMS,
]
