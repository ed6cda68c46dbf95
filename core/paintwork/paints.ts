import { differenceEuclidean, modeOklab, modeRgb, useMode } from 'culori/fn'
import type { Family } from '#core/paintwork/families'
import type { Material } from '#core/paintwork/material'
import { type Shape, reflectance } from '#core/spectrum/shapes'
import { fromHex, hex } from '#core/spectrum/colour'
import { reflectanceFromSrgb, srgbOfReflectance } from '#core/spectrum/fromSrgb'
import type { Spectrum } from '#core/spectrum/grid'

// The small build of the library knows only the colour spaces it is told of.
useMode(modeRgb)
useMode(modeOklab)

/** A pigment, dye or metal: what its light looks like, and what an angler calls it. */
export interface Paint {
  words: string
  family: Family
  vivid?: boolean
  shape: Shape
  /** What it is made of unless a coat says otherwise; matte where absent. */
  material?: Material
  /** Wavelength at which its day-glow dye stops absorbing and starts to emit, nm; none where absent. */
  glowEdgeNm?: number
  /** Translucent, it lets light through almost unchanged instead of in its own colour. */
  colourless?: boolean
  /** Display colour in the hand where its reflectance alone would mislead: see-through plastic would look black. */
  inHand?: readonly [number, number, number]
}

const flat = (level: number): Shape => ({ kind: 'flat', level })
const edge = (low: number, high: number, edgeNm: number, widthNm: number): Shape => ({
  kind: 'edge',
  low,
  high,
  edgeNm,
  widthNm,
})
const band = (floor: number, ...bands: [centreNm: number, widthNm: number, height: number][]): Shape => ({
  kind: 'bands',
  floor,
  bands: bands.map(([centreNm, widthNm, height]) => ({ centreNm, widthNm, height })),
})
const sum = (...of: Shape[]): Shape => ({ kind: 'sum', of })

/**
 * Paints by id. Levels and edges are typical of artists' and plastics pigments (sigmoid edges within 10 nm,
 * levels within 0.05); ours, by eye against published pigment curves, not measured on lures.
 */
export const PAINTS = {
  'white': { words: 'white', family: 'white', shape: edge(0.45, 0.86, 408, 9), glowEdgeNm: 420 },
  'pearl': { words: 'pearl white', family: 'pearl', shape: edge(0.5, 0.78, 410, 14), material: 'pearl' },
  'bone': { words: 'bone', family: 'bone', shape: edge(0.34, 0.76, 478, 34) },
  'cream': { words: 'cream', family: 'tan', shape: edge(0.3, 0.8, 472, 24) },
  'silver': { words: 'silver', family: 'silver', shape: flat(0.96), material: 'metallic' },
  'chrome': { words: 'chrome', family: 'silver', shape: flat(0.96), material: 'metallic' },
  'nickel': { words: 'nickel', family: 'silver', shape: edge(0.55, 0.72, 500, 60), material: 'metallic' },
  'gold': { words: 'gold', family: 'gold', shape: edge(0.36, 0.92, 512, 20), material: 'metallic' },
  'brass': { words: 'brass', family: 'gold', shape: edge(0.34, 0.8, 518, 26), material: 'metallic' },
  'copper': { words: 'copper', family: 'copper', shape: edge(0.28, 0.9, 582, 20), material: 'metallic' },
  'bronze': { words: 'bronze', family: 'copper', shape: edge(0.1, 0.42, 575, 36) },
  'clear': {
    words: 'clear',
    family: 'clear',
    shape: flat(0.07),
    material: 'translucent',
    colourless: true,
    inHand: [206, 212, 212],
  },
  'smoke': { words: 'smoke', family: 'smoke', shape: flat(0.12), material: 'translucent', inHand: [120, 124, 126] },
  'grey': { words: 'grey', family: 'grey', shape: flat(0.3) },
  'slate': { words: 'slate', family: 'grey', shape: band(0.13, [460, 60, 0.05]) },
  'black': { words: 'black', family: 'black', shape: flat(0.03) },
  'brown': { words: 'brown', family: 'brown', shape: edge(0.04, 0.2, 596, 30) },
  'dark-brown': { words: 'dark brown', family: 'brown', shape: edge(0.03, 0.09, 608, 26) },
  'rust': { words: 'rust', family: 'brown', shape: edge(0.04, 0.34, 596, 18) },
  'cinnamon': { words: 'cinnamon', family: 'brown', shape: edge(0.06, 0.3, 580, 26) },
  'tan': { words: 'tan', family: 'tan', shape: edge(0.14, 0.52, 555, 42) },
  'sand': { words: 'sand', family: 'tan', shape: edge(0.2, 0.6, 520, 50) },
  'amber': { words: 'amber', family: 'orange', shape: edge(0.04, 0.5, 568, 16) },
  'orange': { words: 'orange', family: 'orange', vivid: true, shape: edge(0.05, 0.84, 579, 9), glowEdgeNm: 580 },
  'red': { words: 'red', family: 'red', vivid: true, shape: edge(0.03, 0.72, 621, 8), glowEdgeNm: 605 },
  'dark-red': { words: 'dark red', family: 'red', shape: edge(0.03, 0.32, 620, 11) },
  'pink': {
    words: 'pink',
    family: 'pink',
    vivid: true,
    shape: sum(edge(0.26, 0.88, 590, 9), band(0, [430, 36, 0.34])),
    glowEdgeNm: 580,
  },
  'pale-pink': { words: 'pale pink', family: 'pink', shape: sum(edge(0.56, 0.86, 585, 14), band(0, [430, 40, 0.12])) },
  'purple': { words: 'purple', family: 'purple', shape: band(0.03, [430, 34, 0.24], [700, 42, 0.26]) },
  'violet': { words: 'violet', family: 'purple', shape: band(0.03, [425, 36, 0.34], [700, 36, 0.2]) },
  'plum': { words: 'plum', family: 'purple', shape: band(0.025, [420, 30, 0.06], [700, 46, 0.14]) },
  'blue': { words: 'blue', family: 'blue', shape: band(0.035, [450, 36, 0.42]), glowEdgeNm: 440 },
  'dark-blue': { words: 'dark blue', family: 'blue', shape: band(0.028, [445, 34, 0.14]) },
  'sky-blue': { words: 'sky blue', family: 'blue', shape: band(0.16, [470, 48, 0.46]) },
  'chartreuse': {
    words: 'chartreuse',
    family: 'chartreuse',
    vivid: true,
    shape: edge(0.05, 0.86, 502, 9),
    glowEdgeNm: 500,
  },
  'yellow': { words: 'yellow', family: 'yellow', vivid: true, shape: edge(0.05, 0.84, 519, 10), glowEdgeNm: 515 },
  'lemon': { words: 'lemon', family: 'yellow', shape: edge(0.3, 0.84, 505, 14) },
  'green': { words: 'green', family: 'green', shape: band(0.04, [530, 34, 0.34]) },
  'lime': {
    words: 'lime',
    family: 'green',
    vivid: true,
    shape: sum(band(0.05, [545, 36, 0.55]), edge(0, 0.1, 640, 20)),
    glowEdgeNm: 505,
  },
  'dark-green': { words: 'dark green', family: 'green', shape: band(0.03, [530, 32, 0.1]) },
  'grass': { words: 'grass green', family: 'green', shape: band(0.045, [545, 34, 0.2]) },
  'olive': {
    words: 'green pumpkin',
    family: 'olive',
    shape: sum(band(0.035, [568, 34, 0.075]), edge(0, 0.075, 590, 26)),
  },
  'watermelon': {
    words: 'watermelon',
    family: 'olive',
    shape: sum(band(0.045, [556, 34, 0.12]), edge(0, 0.05, 600, 26)),
  },
  'moss': { words: 'moss', family: 'olive', shape: sum(band(0.04, [560, 38, 0.1]), edge(0, 0.03, 600, 26)) },
  'olive-gold': {
    words: 'olive gold',
    family: 'olive',
    shape: sum(band(0.05, [570, 36, 0.16]), edge(0, 0.14, 570, 24)),
  },
  'glow': { words: 'glow white', family: 'white', shape: sum(edge(0.4, 0.6, 420, 12), band(0, [520, 40, 0.2])) },
  'hook-steel': { words: 'steel', family: 'grey', shape: flat(0.25) },
  'lip-clear': {
    words: 'clear plastic',
    family: 'clear',
    shape: flat(0.08),
    material: 'translucent',
    inHand: [206, 212, 212],
  },
} as const satisfies Record<string, Paint>

/** A paint of the catalogue, or one of an angler's own: a colour picked off a photo, as #rrggbb. */
export type OwnPaintId = `#${string}`
export type PaintId = keyof typeof PAINTS | OwnPaintId

const isOwn = (id: string): id is OwnPaintId => /^#[0-9a-f]{6}$/i.test(id)
/** Whether there is such a paint. */
export const isPaint = (id: string): id is PaintId => id in PAINTS || isOwn(id)

const own = new Map<OwnPaintId, Paint>()
const apart = differenceEuclidean('oklab')

/** The paint of a colour: the smoothest reflectance that gives it, called after the nearest of the catalogue. */
function ownPaint(id: OwnPaintId): Paint {
  let made = own.get(id)
  if (!made) {
    const reflect = reflectanceFromSrgb(fromHex(id))
    const nearest = Object.values<Paint>(PAINTS)
      .filter(p => p.material !== 'metallic' && p.material !== 'translucent')
      .map(p => ({ p, off: apart(id, hex(srgbOfReflectance(reflectance(p.shape)))) }))
      .reduce((a, b) => (b.off < a.off ? b : a)).p
    const { words, family, vivid } = nearest
    made = { words: `own ${words}`, family, ...(vivid ? { vivid } : {}), shape: { kind: 'spectrum', of: reflect } }
    own.set(id, made)
  }
  return made
}

const cache = new Map<PaintId, Spectrum>()

/** Reflectance of a paint on the grid (shared; do not write to it). */
export function paintReflectance(id: PaintId): Spectrum {
  let r = cache.get(id)
  if (!r) cache.set(id, (r = reflectance(paint(id).shape)))
  return r
}

export const paint = (id: PaintId): Paint => (isOwn(id) ? ownPaint(id) : PAINTS[id])
