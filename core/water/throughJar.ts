import { XBAR, YBAR, ZBAR, linearFromXyz } from '#core/spectrum/colour'
import { daylightEnergy } from '#core/spectrum/daylight'
import { type Spectrum, dot } from '#core/spectrum/grid'
import type { WaterOptics } from '#core/water/optics'

/** Shares of a jar's light that come from the paper through the water, and from what is suspended in it. */
const PAPER = 0.86
const HAZE = 1 - PAPER
/** Correlated colour temperature of the daylight the display calls white, K. */
const D65_K = 6504
const DAYLIGHT: Spectrum = daylightEnergy(D65_K)
const WHITE = dot(DAYLIGHT, YBAR)

/**
 * Colour of a jar of water held before white paper, linear sRGB beside the paper's own: what absorption leaves of
 * daylight over the path, with the paper's light thrown back by what is suspended added as haze.
 * @param pathM the light's path through the water, m
 */
export function throughJar(w: WaterOptics, pathM: number): [number, number, number] {
  const light = DAYLIGHT.map((e, i) => {
    const loss = w.absorption[i]! + w.back[i]!
    return e * (PAPER * Math.exp(-loss * pathM) + (HAZE * w.back[i]!) / loss)
  })
  const [x, y, z] = [XBAR, YBAR, ZBAR].map(bar => dot(light, bar) / WHITE)
  return linearFromXyz([x!, y!, z!])
}
