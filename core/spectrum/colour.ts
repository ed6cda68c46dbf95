import { convertLrgbToRgb, convertRgbToLrgb, formatHex, parseHex } from 'culori/fn'
import { CIE_1931_X, CIE_1931_Y, CIE_1931_Z } from '#core/data/cie1931'
import { WAVELENGTHS_NM, type Spectrum, dot, tabulated } from '#core/spectrum/grid'

/** Colour matching functions on the grid, for spectra in energy units. */
export const XBAR = tabulated(CIE_1931_X)
export const YBAR = tabulated(CIE_1931_Y)
export const ZBAR = tabulated(CIE_1931_Z)

/** Photon-based weights: a spectrum of quanta carries energy in proportion to 1/wavelength. */
const perQuantum = (bar: Spectrum) => bar.map((v, i) => (v * 560) / WAVELENGTHS_NM[i]!)
const XQ = perQuantum(XBAR)
const YQ = perQuantum(YBAR)
const ZQ = perQuantum(ZBAR)

export type Xyz = readonly [number, number, number]
/** Display colour, each channel 0-255, encoded (not linear). */
export type Srgb = readonly [number, number, number]

/** CIE XYZ of a spectrum of quanta (arbitrary scale). */
export function xyzOfQuanta(s: Spectrum): Xyz {
  return [dot(s, XQ), dot(s, YQ), dot(s, ZQ)]
}

/** Luminance weight (Y) of a spectrum of quanta. */
export function luminanceOfQuanta(s: Spectrum): number {
  return dot(s, YQ)
}

/** XYZ to linear sRGB (IEC 61966-2-1), D65 white. */
export function linearFromXyz([x, y, z]: Xyz): [number, number, number] {
  return [
    3.2404542 * x - 1.5371385 * y - 0.4985314 * z,
    -0.969266 * x + 1.8760108 * y + 0.041556 * z,
    0.0556434 * x - 0.2040259 * y + 1.0572252 * z,
  ]
}

/** One linear channel (0-1) to its encoded 0-255 value, clipped. */
export function encodeChannel(v: number): number {
  const c = Math.min(1, Math.max(0, v))
  return 255 * convertLrgbToRgb({ r: c, g: c, b: c }).r
}

/** One encoded 0-255 channel to linear 0-1. */
export function decodeChannel(v: number): number {
  const c = v / 255
  return convertRgbToLrgb({ r: c, g: c, b: c }).r
}

/**
 * Linear RGB to a display colour. Colours outside the display's gamut are pulled towards
 * their own grey until they fit, which keeps their hue and lightness order.
 */
export function srgbFromLinear(rgb: readonly [number, number, number]): Srgb {
  const grey = Math.min(1, Math.max(0, 0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2]))
  let keep = 1
  for (const v of rgb) {
    if (v > 1 && v > grey) keep = Math.min(keep, (1 - grey) / (v - grey))
    if (v < 0 && v < grey) keep = Math.min(keep, grey / (grey - v))
  }
  return [
    encodeChannel(grey + keep * (rgb[0] - grey)),
    encodeChannel(grey + keep * (rgb[1] - grey)),
    encodeChannel(grey + keep * (rgb[2] - grey)),
  ]
}

/** Hex text of a display colour. */
export const hex = ([r, g, b]: Srgb): string => formatHex({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 })

/** Read "#rrggbb"; throws a RangeError on anything else. */
export function fromHex(text: string): Srgb {
  const c = parseHex(text)
  if (!c) throw new RangeError('a colour is written as # and six hexadecimal digits')
  return [c.r * 255, c.g * 255, c.b * 255]
}
