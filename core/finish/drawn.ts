import type { Coat } from '#core/finish/coat'
import { type PaintId, paintReflectance } from '#core/finish/paints'
import type { Srgb } from '#core/spectrum/colour'
import { srgbOfReflectance } from '#core/spectrum/fromSrgb'

export type { Coat }

const colours = new Map<PaintId, Srgb>()

/** Display colour of a paint in the hand in daylight. */
export function coatBase(id: PaintId): Srgb {
  let c = colours.get(id)
  if (!c) colours.set(id, c = srgbOfReflectance(paintReflectance(id)))
  return c
}

/** Display colour of a coat's base in the hand. Clear plastic is drawn as a pale tint, since its own reflectance would look black. */
export function srgbOfCoat(coat: Coat): Srgb {
  if (coat.material !== 'translucent') return coatBase(coat.paint)
  if (coat.paint === 'clear' || coat.paint === 'lip-clear') return [206, 212, 212]
  if (coat.paint === 'smoke') return [120, 124, 126]
  // Light passes a tinted plastic twice and comes back out: held up, it looks lighter than its dye.
  return coatBase(coat.paint).map(v => v + (255 - v) * 0.18) as unknown as Srgb
}
