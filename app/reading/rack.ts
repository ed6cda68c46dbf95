import { LURE_IDS, type LureId } from '#core/lure/types'

/** What hangs on the rack before anyone has taken anything out of the drawer. */
const FIRST_RACK: readonly LureId[] = [
  'shallow-crankbait',
  'deep-crankbait',
  'jerkbait',
  'spinnerbait',
  'casting-jig',
  'stick-worm',
  'walking-frog',
  'walking-topwater',
]

/** All lure types, those of the rack first. */
const inOrder = (rack: readonly LureId[]): LureId[] => [
  ...new Set([...rack.filter(id => LURE_IDS.includes(id)), ...FIRST_RACK, ...LURE_IDS]),
]

/**
 * The lures at hand, where so many fit: those taken out of the drawer, last first, then the usual ones. The one being
 * fished is always among them; others keep their places, so that nothing jumps under a finger.
 */
export function rackOf(rack: readonly LureId[], fished: LureId, fits: number): LureId[] {
  const shown = inOrder(rack).slice(0, fits)
  return shown.includes(fished) ? shown : [...shown.slice(0, -1), fished]
}

/** The rack after a lure was taken out of the drawer: it hangs first, unless it hung there already. */
export const takenOut = (rack: readonly LureId[], lure: LureId, fits: number): LureId[] =>
  inOrder(rack).slice(0, fits).includes(lure) ? [...rack] : [lure, ...rack.filter(id => id !== lure)].slice(0, 12)
