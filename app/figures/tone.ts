import { modeLrgb, modeRgb, parseHex, useMode, wcagContrast, wcagLuminance } from 'culori/fn'
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

const WHITE = '#ffffff'
const BLACK = '#0d1206'
const [white, black] = [WHITE, BLACK].map(hex => parseHex(hex)!) as [object, object]

/** Ink for a label on a computed colour: white or near-black, whichever stands off it further (WCAG contrast). */
export function labelInk(hex: string): string {
  const ground = parseHex(hex)!
  const off = (ink: object) => wcagContrast(ink as typeof ground, ground)
  return off(white) >= off(black) ? WHITE : BLACK
}
