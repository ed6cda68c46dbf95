import { formatHex, modeLrgb, modeRgb, parseHex, useMode, wcagContrast, wcagLuminance } from 'culori/fn'
import { encodeChannel } from '#core/spectrum/colour'

// The small build of the library knows only the colour spaces it is told of.
useMode(modeRgb)
useMode(modeLrgb)

/** Luminous share of a display colour, 0-1, linear. */
export const luminanceOfHex = (hex: string): number => wcagLuminance(parseHex(hex)!)

/** A colour by its lightness alone, in red that spares night sight: green and blue stay under 34 of 255. */
export function redTone(hex: string, ceiling = 235): string {
  const v = encodeChannel(luminanceOfHex(hex)) / 255
  const two = (n: number) => Math.round(n).toString(16).padStart(2, '0')
  return `#${two(14 + v * (ceiling - 14))}${two(v * 26)}${two(v * 16)}`
}

/** Ceiling of the red that water, and what is seen through it, is drawn in at night. */
export const NIGHT_WATER = 120

/** A colour so far on the way from one to another, 0-1, as a gradient of the screen mixes them. */
export function mixed(a: string, b: string, t: number): string {
  const [p, q] = [parseHex(a)!, parseHex(b)!]
  const at = (u: number, v: number) => u + (v - u) * t
  return formatHex({ mode: 'rgb', r: at(p.r, q.r), g: at(p.g, q.g), b: at(p.b, q.b) })
}

/** Luminance up to which white stands off a ground by 4.5 to 1 (WCAG 1.4.3): 1.05 / 4.5 - 0.05. */
const WHITE_READS = 0.183

/** Strength of a white veil that leaves white words readable on a ground of a luminance. */
export function beamFor(luminance: number): number {
  const [from, to] = [luminance, WHITE_READS].map(l => encodeChannel(l) / 255)
  return Math.max(0, (to! - from!) / (1 - from!))
}

const WHITE = '#ffffff'
const BLACK = '#000000'
const [white, black] = [WHITE, BLACK].map(hex => parseHex(hex)!) as [object, object]

/**
 * Ink for a label on a computed colour: white or black, whichever stands off it further; 4.58 to 1 or more on any
 * ground (WCAG contrast).
 */
export function labelInk(hex: string): string {
  const ground = parseHex(hex)!
  const off = (ink: object) => wcagContrast(ink as typeof ground, ground)
  return off(white) >= off(black) ? WHITE : BLACK
}
