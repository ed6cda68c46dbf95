import { coatWords } from '#core/paintwork/coat'
import type { Finish } from '#core/lure/finish'
import type { FinishOut } from '#core/ranking/answer'

/** A finish as the contract shows it. */
export function finishOut(f: Finish): FinishOut {
  return {
    id: f.id,
    name: f.name,
    families: f.families,
    traits: f.traits,
    parts: Object.fromEntries(
      f.parts.map(p => [p.part, { paint: p.coat.paint, material: p.coat.material, words: coatWords(p.coat) }]),
    ),
  }
}
