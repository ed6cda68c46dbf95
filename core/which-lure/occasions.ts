import { MANNER } from '#core/lure/manner'
import { LURE_IDS, type LureId } from '#core/lure/types'
import { gradesOf } from '#core/request/grades'
import type { Request, Salinity } from '#core/request/request'
import { resolve } from '#core/request/resolve'
import type { Occasion } from '#core/rules/occasion'
import { againstLure } from '#core/rules/windows'
import { skyLight } from '#core/sky/light'
import { runAtM } from '#core/which-lure/fishDepth'
import type { LuresRequest } from '#core/which-lure/request'
import type { Gate } from '#core/words/lures'
import type { Sentence } from '#core/words/sentence'

/** Lures of a water: those of fresh water, or those that are fished on the coast. */
export const luresIn = (salinity: Salinity): LureId[] =>
  LURE_IDS.filter(id => (salinity === 'fresh' ? MANNER[id].coast !== 'only' : MANNER[id].coast !== 'no'))

/** A lure in the conditions at hand. */
export interface Fished {
  request: Request
  occasion: Occasion
}

/** A lure in the conditions at hand, run where it is run. */
export function fishedHere({ lures: _, ...asked }: LuresRequest, lure: LureId): Fished {
  const usual = resolve({ ...asked, lure })
  const grades = gradesOf(usual, skyLight(usual.scene.sky))
  const depthM = runAtM({ conditions: usual, grades })
  const request: Request = { ...asked, lure, depthM }
  return { request, occasion: { conditions: depthM === usual.depthM ? usual : resolve(request), grades } }
}

/** What shuts a lure out here; null where nothing does. */
export function shutOut(occasion: Occasion): { gate: Gate; says: Sentence } | null {
  const { lure, salinity } = occasion.conditions
  if (salinity !== 'fresh' && MANNER[lure].coast === 'no')
    return { gate: 'salinity', says: { code: 'window.fresh-only', params: { lure } } }
  for (const { gate, says } of againstLure(occasion)) if (gate) return { gate, says }
  return null
}
