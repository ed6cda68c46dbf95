import { type Finish, buildFinish, finishById } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { type Coat, parseCoat } from '#core/paintwork/coat'
import type { Material } from '#core/paintwork/material'
import type { Part } from '#core/paintwork/parts'

/** A lure in a box: a finish of the catalogue, with coats of one's own over it where there are any. */
export interface OwnLure {
  id: string
  lure: LureId
  finishId: string
  name: string
  coats?: Partial<Record<Part, { colour: string; material: Material }>> | undefined
}

const made = new Map<string, Finish>()
const byId = new Map<string, Finish>()

/** A finish by its id: of the catalogue, or one of an angler's own that was made before; null else. */
export const knownFinish = (id: string): Finish | null => finishById(id) ?? byId.get(id) ?? null

/** A short mark of a text (FNV-1a, 32 bits). */
function markOf(text: string): string {
  let h = 0x811c9dc5
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193)
  return (h >>> 0).toString(36)
}

/** What is in the id of every finish a lure of the box has had in its own coats, whatever these were. */
const ownMark = (id: string) => `.own-${id}-`
/** Whether a finish is one that a lure of the box wears in its own coats, or wore before it was painted over. */
export const wornBy = (finishId: string, id: string): boolean => finishId.includes(ownMark(id))

/** Whether it wears any coat of its own. */
export const hasOwnCoats = ({ coats }: Pick<OwnLure, 'coats'>): boolean => !!coats && Object.keys(coats).length > 0

/** The finish of a lure in the box, or null where the catalogue no longer has it. The same for the same lure. */
export function ownFinish(own: OwnLure): Finish | null {
  const { id, lure, finishId, name, coats } = own
  const base = finishById(finishId)
  if (!base || base.lure !== lure) return null
  if (!coats || !hasOwnCoats(own)) return base
  const key = JSON.stringify([id, finishId, name, coats])
  let finish = made.get(key)
  if (!finish) {
    const worn = Object.fromEntries(base.parts.map(p => [p.part, p.coat])) as Partial<Record<Part, Coat>>
    for (const [part, coat] of Object.entries(coats))
      worn[part as Part] = parseCoat(`${coat.colour.toLowerCase()}:${coat.material}`)
    // What is drawn of it is kept by its id, so that other coats make another.
    finish = buildFinish(lure, `${lure}${ownMark(id)}${markOf(key)}`, name, worn, base.mark, base.mimics)
    made.set(key, finish)
    byId.set(finish.id, finish)
  }
  return finish
}

/** The finishes of lures in the box, those left out that the catalogue no longer has. */
export const ownFinishes = (lures: readonly OwnLure[]): Finish[] => lures.map(ownFinish).filter(f => f !== null)
