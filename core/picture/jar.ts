import { type Srgb, YBAR, linearFromXyz, srgbFromLinear, XBAR, ZBAR } from '#core/spectrum/colour'
import { daylightEnergy } from '#core/spectrum/daylight'
import { dot } from '#core/spectrum/grid'
import { waterFromReading } from '#core/reading/disc'
import { TINTS, type TintId } from '#core/water/tints'

/** Shares of a jar's light that come from the paper through the water, and from what is suspended in it. */
const PAPER = 0.86
const HAZE = 1 - PAPER
/** Correlated colour temperature of the daylight the display calls white, K. */
const D65_K = 6504

/**
 * Colour of a jar of a tint held before white: what absorption leaves of daylight over the path, with the paper's
 * light thrown back by what is suspended added as haze.
 */
export function jarColour(tint: TintId): Srgb {
  const { recipe, jar } = TINTS[tint]
  const w = waterFromReading(recipe, false, jar.visibilityM)
  const daylight = daylightEnergy(D65_K)
  const light = daylight.map((e, i) => {
    const loss = w.absorption[i]! + w.back[i]!
    return e * (PAPER * Math.exp(-loss * jar.pathM) + (HAZE * w.back[i]!) / loss)
  })
  const white = dot(daylight, YBAR)
  const xyz = [XBAR, YBAR, ZBAR].map(bar => dot(light, bar) / white) as [number, number, number]
  return srgbFromLinear(linearFromXyz(xyz))
}
