import type { Custom } from '#core/customs/custom'
import { GROUND_CUSTOMS } from '#core/customs/ground'
import { HARD_BAIT_CUSTOMS } from '#core/customs/hardBaits'
import { LIGHT_CUSTOMS } from '#core/customs/light'
import { OTHER_CUSTOMS } from '#core/customs/others'
import { SKIRTED_CUSTOMS } from '#core/customs/skirted'
import { SURFACE_CUSTOMS } from '#core/customs/surface'

/** Every custom of the field, in one list. Source of all: custom, as practitioners tell it; words ours. */
export const CUSTOMS: readonly Custom[] = [
  ...LIGHT_CUSTOMS, ...GROUND_CUSTOMS, ...HARD_BAIT_CUSTOMS, ...SKIRTED_CUSTOMS, ...SURFACE_CUSTOMS, ...OTHER_CUSTOMS,
]
