import { decodeChannel, encodeChannel, fromHex } from '#core/spectrum/colour'

/** Luminous share of a display colour, 0-1, linear. */
export function luminanceOfHex(hex: string): number {
  const [r, g, b] = fromHex(hex)
  return 0.2126 * decodeChannel(r) + 0.7152 * decodeChannel(g) + 0.0722 * decodeChannel(b)
}

/** A colour by its lightness alone, in red that spares night sight: green and blue stay under 34 of 255. */
export function redTone(hex: string, ceiling = 235): string {
  const v = encodeChannel(luminanceOfHex(hex)) / 255
  const two = (n: number) => Math.round(n).toString(16).padStart(2, '0')
  return `#${two(14 + v * (ceiling - 14))}${two(v * 26)}${two(v * 16)}`
}

/** Ink for a label on a computed colour: white or near-black, whichever stands off it further (WCAG contrast). */
export function labelInk(hex: string): string {
  const y = luminanceOfHex(hex)
  return (1.05) / (y + 0.05) >= (y + 0.05) / 0.055 ? '#ffffff' : '#0d1206'
}
