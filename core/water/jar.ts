import { type Srgb, YBAR, linearFromXyz, srgbFromLinear, XBAR, ZBAR } from '#core/spectrum/colour'
import { daylightEnergy } from '#core/spectrum/daylight'
import { BANDS, dot } from '#core/spectrum/grid'
import { waterFromReading } from '#core/water/disc'
import { TINTS, type TintId } from '#core/water/tints'

/** The reading and the light path of the reference jar: enough colour to tell the tints apart, as a tall jar on white paper gives. */
const JAR = { visibilityM: 0.7, pathM: 0.9 }

/**
 * Colour of a jar of a tint held before white: what absorption leaves of daylight over the path, with the paper's light thrown back by
 * what is suspended added as haze.
 */
export function jarColour(tint: TintId): Srgb {
  const w = waterFromReading(TINTS[tint].recipe, false, tint === 'blue-clear' ? 8 * JAR.visibilityM : JAR.visibilityM)
  const d65 = daylightEnergy(6504)
  const path = tint === 'blue-clear' ? 8 * JAR.pathM : JAR.pathM
  const light = d65.map((e, i) => e * (0.86 * Math.exp(-(w.absorption[i]! + w.back[i]!) * path) + 0.14 * w.back[i]! / (w.absorption[i]! + w.back[i]!)))
  let white = 0
  for (let i = 0; i < BANDS; i++) white += d65[i]! * YBAR[i]!
  return srgbFromLinear(linearFromXyz([dot(light, XBAR) / white, dot(light, YBAR) / white, dot(light, ZBAR) / white]))
}
