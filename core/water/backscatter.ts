/**
 * Share of light that a Henyey-Greenstein particle of asymmetry g throws backwards:
 * B = (1-g)/(2g) ((1+g)/sqrt(1+g²) - 1). 0.0170 at g = 0.924, 0.0086 at g = 0.96.
 */
export function backscatterShare(g: number): number {
  return ((1 - g) / (2 * g)) * ((1 + g) / Math.sqrt(1 + g * g) - 1)
}
