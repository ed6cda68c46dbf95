import type { Coat } from '#core/paintwork/coat'
import { type PaintId, paint, paintReflectance } from '#core/paintwork/paints'
import type { Srgb } from '#core/spectrum/colour'
import { srgbOfReflectance } from '#core/spectrum/fromSrgb'

const colours = new Map<PaintId, Srgb>()

/** Display colour of a paint in the hand in daylight. */
export function coatBase(id: PaintId): Srgb {
  let c = colours.get(id)
  if (!c) colours.set(id, (c = srgbOfReflectance(paintReflectance(id))))
  return c
}

/**
 * Light passes a tinted plastic twice and comes back out: held up, it looks lighter than its dye, by this share of
 * what is left.
 */
const HELD_UP = 0.18

/** Display colour of a coat's base in the hand. */
export function srgbOfCoat(coat: Coat): Srgb {
  if (coat.material !== 'translucent') return coatBase(coat.paint)
  const { inHand } = paint(coat.paint)
  if (inHand) return inHand
  const [r, g, b] = coatBase(coat.paint)
  const held = (v: number) => v + (255 - v) * HELD_UP
  return [held(r), held(g), held(b)]
}
