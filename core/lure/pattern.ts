import type { Part } from '#core/paintwork/parts'
import type { Forage } from '#core/prey/forage'

/** Marks drawn and reckoned over a flank. */
export type Mark = 'bars' | 'craw' | 'scale' | 'dot'

/** A colour pattern in the catalogue's shorthand; a lure takes from it the parts it has. */
export interface Pattern {
  name: string
  /** Metal or paint of its blades, said with its name on lures that spin some, and their shape where it spins two. */
  blades?: string
  bladeShape?: 'leaf' | 'round'
  parts: Partial<Record<Part, string>>
  mark?: Mark
  /** The prey it is painted after, where there is one. */
  mimics?: Forage
}
export type PatternSet = Record<string, Pattern>
