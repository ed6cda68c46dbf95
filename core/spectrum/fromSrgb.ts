import { solveInPlace } from '#core/numeric/linear'
import { XBAR, YBAR, ZBAR, type Srgb, decodeChannel, encodeChannel, linearFromXyz } from '#core/spectrum/colour'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'
import { daylightEnergy } from '#core/spectrum/daylight'

const D65 = daylightEnergy(6504)
const WHITE_Y = dot(D65, YBAR)

/** Rows: linear sRGB per unit reflectance in each band under D65. */
const TO_RGB: Float64Array[] = [0, 1, 2].map(ch =>
  Float64Array.from({ length: BANDS }, (_, i) => {
    const e = D65[i]! / WHITE_Y
    return linearFromXyz([XBAR[i]! * e, YBAR[i]! * e, ZBAR[i]! * e])[ch]!
  }),
)

/** Linear sRGB of a reflectance under D65, unclipped. */
export function linearSrgbOfReflectance(r: Spectrum): [number, number, number] {
  return [dot(r, TO_RGB[0]!), dot(r, TO_RGB[1]!), dot(r, TO_RGB[2]!)]
}

/** Display colour of a reflectance held in daylight (D65), clipped to the display. */
export function srgbOfReflectance(r: Spectrum): Srgb {
  const [red, green, blue] = linearSrgbOfReflectance(r)
  return [encodeChannel(red), encodeChannel(green), encodeChannel(blue)]
}

/**
 * A smooth, plausible reflectance for a display colour: the least hyperbolic tangent slope squared method
 * (LHTSS) of Burns 2020, Color Res. Appl. 45, "Numerical methods for smoothest reflectance reconstruction".
 * Minimises the squared slope of z where R = (tanh z + 1)/2, subject to R giving the colour under D65;
 * Newton's method on the Lagrangian. Comes back to the same sRGB within 0.5/255 for colours with every
 * channel in 8..248; the extremes are pulled in to that range first, since no real pigment reaches them.
 */
export function reflectanceFromSrgb(colour: Srgb): Spectrum {
  const target = colour.map(v => decodeChannel(Math.min(248, Math.max(8, v))))
  const size = BANDS + 3
  const z = new Float64Array(BANDS)
  const lambda = new Float64Array(3)
  for (let iteration = 0; iteration < 60; iteration++) {
    const jac = new Float64Array(size * size)
    const f = new Float64Array(size)
    for (let i = 0; i < BANDS; i++) {
      const th = Math.tanh(z[i]!)
      const d1 = (1 - th * th) / 2
      const pull = TO_RGB[0]![i]! * lambda[0]! + TO_RGB[1]![i]! * lambda[1]! + TO_RGB[2]![i]! * lambda[2]!
      const left = i > 0 ? z[i]! - z[i - 1]! : 0
      const right = i < BANDS - 1 ? z[i]! - z[i + 1]! : 0
      f[i] = 2 * (left + right) + d1 * pull
      jac[i * size + i] = 2 * ((i > 0 ? 1 : 0) + (i < BANDS - 1 ? 1 : 0)) - 2 * d1 * th * pull
      if (i > 0) jac[i * size + i - 1] = -2
      if (i < BANDS - 1) jac[i * size + i + 1] = -2
      for (let c = 0; c < 3; c++) {
        const w = TO_RGB[c]![i]!
        f[BANDS + c]! += (w * (th + 1)) / 2
        jac[i * size + BANDS + c] = d1 * w
        jac[(BANDS + c) * size + i] = d1 * w
      }
    }
    for (let c = 0; c < 3; c++) f[BANDS + c]! -= target[c]!
    if (f.every(v => Math.abs(v) < 1e-9)) break
    const step = solveInPlace(
      jac,
      f.map(v => -v),
    )
    if (!step) break
    // Long first steps overshoot where tanh saturates; a capped step still converges in under 40 rounds.
    let longest = 0
    for (let i = 0; i < BANDS; i++) longest = Math.max(longest, Math.abs(step[i]!))
    const damp = Math.min(1, 1 / longest)
    for (let i = 0; i < BANDS; i++) z[i]! += damp * step[i]!
    for (let c = 0; c < 3; c++) lambda[c]! += damp * step[BANDS + c]!
  }
  return z.map(v => (Math.tanh(v) + 1) / 2)
}
