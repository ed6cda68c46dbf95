import { type Srgb, srgbFromLinear } from '#core/spectrum/colour'
import { waterFromReading } from '#core/reading/disc'
import { throughJar } from '#core/water/throughJar'
import { TINTS, type TintId } from '#core/water/tints'

/** Colour of a jar of a tint held before white; of the usual clarity of its picture where none is given, m. */
export function jarColour(tint: TintId, visibilityM: number = TINTS[tint].jar.visibilityM): Srgb {
  const { recipe, jar } = TINTS[tint]
  return srgbFromLinear(throughJar(waterFromReading(recipe, false, visibilityM), jar.pathM))
}
