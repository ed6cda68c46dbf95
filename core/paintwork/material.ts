/** What a finish's surface does with light, beside its paint. */
export interface MaterialOptics {
  words: string
  /** Share reflected as by a mirror; the rest is diffuse. */
  mirror: number
  /** Share let through. */
  pass: number
  /** Share of the area that can throw the sun back as a flash. */
  glint: number
}

/** Materials as records; shares ours, within 0.1 of what plastics and foils give. */
export const MATERIAL = {
  matte: { words: 'matte', mirror: 0, pass: 0, glint: 0 },
  pearl: { words: 'pearl', mirror: 0.08, pass: 0, glint: 0.12 },
  translucent: { words: 'translucent', mirror: 0, pass: 0.55, glint: 0.02 },
  metallic: { words: 'metallic', mirror: 0.97, pass: 0, glint: 0.85 },
  holographic: { words: 'holographic', mirror: 0.55, pass: 0, glint: 1 },
  fluorescent: { words: 'fluorescent', mirror: 0, pass: 0, glint: 0 },
} as const satisfies Record<string, MaterialOptics>
export type Material = keyof typeof MATERIAL
export const MATERIALS = Object.keys(MATERIAL) as Material[]
