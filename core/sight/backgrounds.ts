import { type Shape, reflectance } from '#core/spectrum/shapes'
import type { Spectrum } from '#core/spectrum/grid'

export interface Background {
  words: string
  kind: 'open' | 'bottom' | 'weed'
  shape: Shape | null
}

const edge = (low: number, high: number, edgeNm: number, widthNm: number): Shape => ({
  kind: 'edge',
  low,
  high,
  edgeNm,
  widthNm,
})

/**
 * What is behind the lure as the fish sees it. Reflectances are typical wet values (sand 0.2-0.4, mud 0.05, weed
 * 0.04-0.1 with the green peak of leaves at 550 nm; after the spread in Maritorena et al. 1994, Limnol. Oceanogr.
 * 39), rounded.
 */
export const BACKGROUNDS = {
  'open': { words: 'open water', kind: 'open', shape: null },
  'sand': { words: 'pale sand', kind: 'bottom', shape: edge(0.16, 0.36, 500, 70) },
  'gravel': { words: 'gravel', kind: 'bottom', shape: edge(0.08, 0.17, 520, 80) },
  'clay': { words: 'clay', kind: 'bottom', shape: edge(0.07, 0.28, 560, 50) },
  'dark-mud': { words: 'dark mud', kind: 'bottom', shape: edge(0.025, 0.06, 560, 70) },
  'rock': { words: 'rock', kind: 'bottom', shape: edge(0.07, 0.12, 540, 80) },
  'oyster': { words: 'oyster', kind: 'bottom', shape: edge(0.09, 0.2, 540, 70) },
  'pothole': { words: 'sand in a grass flat', kind: 'bottom', shape: edge(0.13, 0.31, 500, 70) },
  'green-weed': {
    words: 'green weed',
    kind: 'weed',
    shape: {
      kind: 'bands',
      floor: 0.03,
      bands: [
        { centreNm: 552, widthNm: 26, height: 0.07 },
        { centreNm: 700, widthNm: 14, height: 0.1 },
      ],
    },
  },
  'brown-weed': {
    words: 'brown weed',
    kind: 'weed',
    shape: {
      kind: 'sum',
      of: [
        edge(0.025, 0.1, 575, 26),
        { kind: 'bands', floor: 0, bands: [{ centreNm: 700, widthNm: 14, height: 0.08 }] },
      ],
    },
  },
  'wood': { words: 'wood', kind: 'weed', shape: edge(0.04, 0.13, 570, 60) },
} as const satisfies Record<string, Background>
export type BackgroundId = keyof typeof BACKGROUNDS

const cache = new Map<BackgroundId, Spectrum>()

/** Reflectance of what is behind, or null for open water. */
export function backgroundReflectance(id: BackgroundId): Spectrum | null {
  const shape: Shape | null = BACKGROUNDS[id].shape
  if (!shape) return null
  let r = cache.get(id)
  if (!r) cache.set(id, (r = reflectance(shape)))
  return r
}
