import type { Finish } from '#core/lure/finish'
import type { Part } from '#core/paintwork/parts'
import type { Srgb } from '#core/spectrum/colour'
import { srgbOfReflectance } from '#core/spectrum/fromSrgb'

/** A finish held against the sun: the colour each part lets through, black where it lets nothing. */
export const heldAgainstSun = (finish: Finish): Partial<Record<Part, Srgb>> =>
  Object.fromEntries(finish.parts.map(p => [p.part, srgbOfReflectance(p.optics.transmit)]))
