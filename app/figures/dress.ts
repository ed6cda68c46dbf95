import type { Coat } from '#core/paintwork/coat'
import { coatBase, srgbOfCoat } from '#core/picture/inTheHand'
import type { Finish } from '#core/lure/finish'
import type { Part } from '#core/paintwork/parts'
import { hex } from '#core/spectrum/colour'

/** How one part is to be drawn in the hand. */
export interface Drawn {
  colour: string
  material: Coat['material']
  specks: { colour: string; cover: number; mirror: boolean }[]
}
export type Dress = Partial<Record<Part, Drawn>>

const drawn = new Map<Coat, Drawn>()

/** A coat as drawn. */
export function drawCoat(coat: Coat): Drawn {
  let d = drawn.get(coat)
  if (!d) {
    d = {
      colour: hex(srgbOfCoat(coat)),
      material: coat.material,
      specks: coat.speckles.map(s => ({ colour: hex(coatBase(s.paint)), cover: s.cover, mirror: s.mirror })),
    }
    drawn.set(coat, d)
  }
  return d
}

const dresses = new Map<Finish, Dress>()

/** Every part of a finish as drawn; the same object for the same finish, so that nothing is drawn twice. */
export function dressOf(finish: Finish): Dress {
  let d = dresses.get(finish)
  if (!d) dresses.set(finish, (d = Object.fromEntries(finish.parts.map(p => [p.part, drawCoat(p.coat)]))))
  return d
}
