import { WATER_INDEX, internalReflectance } from '#core/sky/surface'

/** How the sky's own light is spread over it: brighter overhead under cloud, darker overhead when it is clear. */
export const SKY_SHAPES = ['overcast', 'clear'] as const
export type SkyShape = (typeof SKY_SHAPES)[number]

/**
 * Luminance of the sky by the cosine of the angle from overhead, relative; mean over headings. Overcast: CIE overcast
 * sky, (1 + 2 cos Z) / 3. Clear: gradation of the CIE white-blue sky, 1 - exp(-0.55 / cos Z) (CIE S 011/E:2003, type
 * 11), the usual one over lakes in summer; the glow close to the sun goes with its beam.
 */
const LUMINANCE: Record<SkyShape, (cosZenith: number) => number> = {
  overcast: c => (1 + 2 * c) / 3,
  clear: c => 1 - Math.exp(-0.55 / Math.max(1e-6, c)),
}

/** Radiance just under a calm surface at a cosine from vertical, relative; 0 outside the window. */
export function skyShape(kind: SkyShape): (mu: number) => number {
  return mu => {
    const cos2 = 1 - (1 - mu * mu) * WATER_INDEX ** 2
    return cos2 <= 0 ? 0 : LUMINANCE[kind](Math.sqrt(cos2)) * (1 - internalReflectance(mu))
  }
}

/** Steps of the integral over the sky: to a part in ten thousand. */
const STEPS = 400

/** Share of a sky's light that a calm surface lets in: 0.94 overcast, 0.91 clear. */
export function skyTransmittance(kind: SkyShape): number {
  let falls = 0
  let enters = 0
  for (let i = 0; i < STEPS; i++) {
    const c = (i + 0.5) / STEPS
    const light = LUMINANCE[kind](c) * c
    falls += light
    enters += light * (1 - internalReflectance(Math.sqrt(1 - (1 - c * c) / WATER_INDEX ** 2)))
  }
  return enters / falls
}
