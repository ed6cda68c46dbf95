import { finishesOf } from '#core/lure/finish'
import { LURE_IDS, type LureId, type LureType, lureType } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import { type Custom, saidOf } from '#core/rules/custom'
import { CUSTOM_WORDS } from '#core/words/customs'

/** Words that are only true of a lure with the part or power they speak of. */
const SPOKEN: readonly { words: RegExp; has: (t: LureType) => boolean }[] = [
  { words: /\bblades?\b/i, has: t => t.powers.includes('spins') },
  { words: /\b(skirts?|strands)\b/i, has: t => 'skirt' in t.parts },
  { words: /\b(throat|chin)\b/i, has: t => 'chin' in t.parts },
  { words: /\bhead\b/i, has: t => 'head' in t.parts },
  { words: /\btails?\b/i, has: t => 'tail' in t.parts },
  { words: /\bdip(ped)?\b/i, has: t => t.powers.includes('dips') },
  { words: /\brattles?\b/i, has: t => t.powers.includes('rattles') },
  { words: /\btrebles?\b/i, has: t => t.powers.includes('trebles') },
]

/** Words in a sentence or name that this lure makes untrue, for want of the part or power. */
export function untrueOf(text: string, lure: LureId): string[] {
  const type = lureType(lure)
  return SPOKEN.flatMap(({ words, has }) => (has(type) ? [] : (words.exec(text)?.[0] ?? [])))
}

/** Lures a custom may be said of. */
export function luresOf({ when, favours }: Custom): LureId[] {
  const parts = Object.keys(favours.parts ?? {}) as Part[]
  return LURE_IDS.filter(id => saidOf(when, id) && parts.every(p => p in lureType(id).parts))
}

/** What does not fit: a custom that no lure could wear, or words of a part that the lure they are said of lacks. */
export interface Misfit {
  code: 'worn-by-none' | 'untrue-of-lure'
  id: string
  lure?: LureId
  word?: string
}

export function misfitsOf(customs: readonly Custom[]): Misfit[] {
  const out: Misfit[] = []
  for (const custom of customs) {
    const lures = luresOf(custom)
    if (!lures.length) out.push({ code: 'worn-by-none', id: custom.id })
    for (const lure of lures) {
      for (const word of untrueOf(CUSTOM_WORDS[custom.id], lure))
        out.push({ code: 'untrue-of-lure', id: custom.id, lure, word })
    }
  }
  for (const lure of LURE_IDS) {
    for (const { id, name } of finishesOf(lure)) {
      for (const word of untrueOf(name, lure)) out.push({ code: 'untrue-of-lure', id, lure, word })
    }
  }
  return out
}

/** A slip in the rules or the catalogue, found as they are loaded. */
export class MisfitError extends Error {
  constructor(readonly misfits: readonly Misfit[]) {
    super(misfits.map(m => [m.code, m.id, m.lure, m.word].filter(Boolean).join(' ')).join('; '))
  }
}
