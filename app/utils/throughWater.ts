import type { LureId } from '#core/finish/lures'
import type { Part } from '#core/finish/parts'
import { FIGURES } from '../figures/all'
import type { PartColours } from '../workers/screen'
import { redTone } from './tone'

/** What stands in for a part that a finish does not colour apart. */
export const STANDS_FOR: Partial<Record<Part, readonly Part[]>> = {
  back: ['flank', 'blade', 'belly'], flank: ['belly', 'skirt', 'blade'], belly: ['flank'], chin: ['belly', 'flank'], head: ['flank', 'belly', 'skirt'],
  tail: ['flank', 'trailer'], trailer: ['skirt', 'flank'], skirt: ['belly', 'flank'], blade: ['flank'],
}

/** The part itself, or the first that stands in for it, of whatever is known by part. */
export const partOf = <T>(by: Partial<Record<Part, T>>, part: Part): T | undefined => by[part] ?? STANDS_FOR[part]?.map(p => by[p]).find(Boolean)

/** Parts that a lure's figure is drawn from. */
const drawnParts = new Map<LureId, readonly Part[]>()
function partsOf(lure: LureId): readonly Part[] {
  let out = drawnParts.get(lure)
  if (!out) {
    const parts = FIGURES[lure].layers.flatMap((l): Part[] => l.kind === 'body' ? ['back', 'flank', 'belly'] : l.kind === 'shape' || l.kind === 'strands' ? [l.part] : [])
    drawnParts.set(lure, out = [...new Set(parts)])
  }
  return out
}

/** Name of the custom property that carries a part's colour. */
export const seenColour = (part: Part) => `var(--seen-${part},#00000055)`

/**
 * The style that colours a figure drawn `through` water, for any element around it. Colours that change at every move of a finger reach the
 * drawing this way without it being made again.
 */
export function throughWater(lure: LureId, parts: PartColours, red: boolean): string {
  return partsOf(lure).map((p) => {
    const c = partOf(parts, p)
    return c ? `--seen-${p}:${red ? redTone(c) : c}` : ''
  }).join(';')
}
