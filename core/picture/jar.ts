import { type Srgb, srgbFromLinear } from '#core/spectrum/colour'
import { waterFromReading } from '#core/reading/disc'
import { throughJar } from '#core/water/throughJar'
import { TINTS, type TintId } from '#core/water/tints'

/** Colour of a jar of a tint held before white. */
export function jarColour(tint: TintId): Srgb {
  const { recipe, jar } = TINTS[tint]
  return srgbFromLinear(throughJar(waterFromReading(recipe, false, jar.visibilityM), jar.pathM))
}
