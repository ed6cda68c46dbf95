import type { LureId } from '#core/lure/types'
import {
  DEEP_CRANK,
  JERKBAIT,
  LIPLESS,
  PADDLETAIL,
  POPPER,
  SHALLOW_CRANK,
  SWIMBAIT,
  TWITCHBAIT,
  WALKER,
} from './hardBaits'
import { BLADED_JIG, BUZZBAIT, CASTING_JIG, SPINNERBAIT, SWIM_JIG } from './skirted'
import {
  CRAPPIE_JIG,
  CRAW,
  FROG,
  GRUB,
  INSHORE_SPOON,
  JIGGING_SPOON,
  POPPING_FROG,
  STICK_WORM,
  TUBE,
  WORM,
} from './softs'
import type { Figure } from './types'

/** The figure of every lure type. */
export const FIGURES: Record<LureId, Figure> = {
  'shallow-crankbait': SHALLOW_CRANK,
  'deep-crankbait': DEEP_CRANK,
  'lipless-crankbait': LIPLESS,
  'jerkbait': JERKBAIT,
  'spinnerbait': SPINNERBAIT,
  'bladed-jig': BLADED_JIG,
  'swim-jig': SWIM_JIG,
  'casting-jig': CASTING_JIG,
  'stick-worm': STICK_WORM,
  'craw': CRAW,
  'worm': WORM,
  'tube': TUBE,
  'grub': GRUB,
  'swimbait': SWIMBAIT,
  'walking-frog': FROG,
  'popping-frog': POPPING_FROG,
  'walking-topwater': WALKER,
  'popper': POPPER,
  'buzzbait': BUZZBAIT,
  'jigging-spoon': JIGGING_SPOON,
  'crappie-jig': CRAPPIE_JIG,
  'inshore-paddletail': PADDLETAIL,
  'inshore-twitchbait': TWITCHBAIT,
  'inshore-spoon': INSHORE_SPOON,
}
