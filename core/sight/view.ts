import { type Adaptation, type Eye, adaptation } from '#core/eye/eye'
import { HEADINGS, type Heading, type LightColumn, type LightField } from '#core/light-field/lightField'
import { COLUMN } from '#core/light-field/table'
import type { Side } from '#core/lure/types'
import { BACKGROUNDS, type BackgroundId, backgroundReflectance } from '#core/sight/backgrounds'
import { type Backdrop, behindAt, contrastWeights, fadeOver, lightnessWeights } from '#core/sight/contrast'
import { luminanceOfQuanta } from '#core/spectrum/colour'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'

/** Points at which contrast is worked out along the line of sight; ranges are interpolated between them. */
export const RANGE_STEPS = 24
/** The nearest distance looked at, m. */
export const NEAREST_M = 0.02
/** Nearer than this a fish feels a lure before it sees it, m. */
export const FELT_M = 0.05
/** Distance at which a fish decides to bite or turn away, m. */
export const BITE_M = 0.3
/** Rows after the range steps: the biting distance, and where the fish is. */
export const BITE_ROW = RANGE_STEPS
export const FISH_ROW = RANGE_STEPS + 1
/** The strongest contrast any part can have (a white flank in black water), for the far end of the scale. */
const STRONGEST = 80
/** Weed or wood stands about this far behind the lure; the bottom this far below one that is fished on it, m. */
const WEED_GAP_M = 0.4
const BOTTOM_GAP_M = 0.15

/** The ways a fish may look at a lure: level towards the sun, across it or away from it, from below, from above. */
export const WAYS = [...HEADINGS, 'below', 'above'] as const
export type Way = (typeof WAYS)[number]
export const sideOf = (way: Way): Side => (way === 'below' || way === 'above' ? way : 'level')
/** The face of a lure that a fish sees is turned the other way from where it looks. */
export const OPPOSITE = { toward: 'away', across: 'across', away: 'toward' } as const satisfies Record<Heading, Heading>

/**
 * One way of looking, ready for many finishes: what is behind, how fast differences are lost, and the weights with
 * which a difference in radiance at the lure becomes contrast in each receptor at each distance. Background, spectrum
 * and adaptation belong to where the fish is.
 */
export interface View extends Backdrop {
  way: Way
  side: Side
  /** No fish is farther off than this that way: the surface, or the bottom; Infinity where nothing ends it. */
  capM: number
  /** Distances, m: the range steps, rising, then the biting distance and the fish's. */
  rangesM: Float64Array
  /** Makes a row of `weights` ready, if it is not yet, and says what the eye is adapted to there. */
  adaptedAt: (row: number) => Adaptation
  /**
   * [row][receptor][band]: receptors are the cones, then lightness as cones and rods share it; the last is left empty
   * at rows where the twin cones alone carry it.
   */
  weights: Float64Array
  receptors: number
  /** Loss of contrast averaged over the colours of the background, per metre. */
  meanLoss: number
}

/** What a view is made of, beside the way it looks. */
export interface ViewInput {
  column: LightColumn
  field: LightField
  /** Diffuse decay of the downward light at the lure, per metre. */
  decay: Spectrum
  background: BackgroundId
  /** A lure on the surface: from level only sky and weed stand behind it. */
  surface: boolean
  /** Depth of the water, m; null where it is not known, and counts as deep. */
  waterM: number | null
  eye: Eye
  fishM: number
}

/** How fast contrast falls off per metre, by the side looked from, out of beam attenuation c and decay K. */
const LOSS: Record<Side, (c: number, k: number) => number> = {
  level: c => c,
  below: (c, k) => c - k,
  above: (c, k) => c + k,
}

/** How far behind the lure something stands, m. */
function gapM(side: Side, kind: 'open' | 'bottom' | 'weed'): number {
  if (side === 'above') return BOTTOM_GAP_M
  return kind === 'weed' ? WEED_GAP_M : 3 * WEED_GAP_M
}

/** Radiance of the water at the lure that way. */
function waterOf(way: Way, field: LightField): Spectrum {
  if (way === 'below') return field.lZen
  return way === 'above' ? field.lNad : field.lh[way]
}

/** What is behind the lure (light-model section 4). */
function behindLure(way: Way, water: Spectrum, { field, column, background, surface, waterM }: ViewInput): Spectrum {
  const near = water.slice()
  const side = sideOf(way)
  const r = backgroundReflectance(background)
  const { kind } = BACKGROUNDS[background]
  // From below a lure is seen against the surface, whatever stands around; a surface lure has only sky behind it.
  if (!r || side === 'below' || (surface && side === 'level' && kind === 'bottom')) return near
  // A bottom whose depth is known is in the field already.
  if (side === 'above' && kind === 'bottom' && waterM !== null) return near
  const gap = gapM(side, kind)
  const light = side === 'above' ? field.ed : field.eSide[OPPOSITE[way as Heading]]
  for (let i = 0; i < BANDS; i++) {
    near[i] = water[i]! + ((r[i]! * light[i]!) / Math.PI - water[i]!) * Math.exp(-column.water.beam[i]! * gap)
  }
  return near
}

/** The water that way where the fish is: level it is the lure's own; from below and above it is another depth's. */
function waterFrom(way: Way, water: Spectrum, { column, field: { depthM } }: ViewInput): View['waterAt'] {
  if (way === 'below') return (rangeM, out) => column.spectrum(depthM + rangeM, COLUMN.lZen, out)
  if (way === 'above') return (rangeM, out) => column.spectrum(Math.max(0, depthM - rangeM), COLUMN.lNad, out)
  return (_, out) => out.set(water)
}

function capOf(way: Way, { field: { depthM }, waterM, surface }: ViewInput): number {
  // Over a lure on the surface there is no water to look down from.
  if (way === 'above') return surface ? 0 : depthM
  return way === 'below' && waterM !== null ? Math.max(0, waterM - depthM) : Infinity
}

/** Work out the weights of a row, and what the eye is adapted to there; `fade` and `behind` are written over. */
function makeRow(view: View, row: number, fade: Spectrum, behind: Spectrum): Adaptation {
  const { beam, rangesM, eye, receptors, weights } = view
  fadeOver(fade, beam, rangesM[row]!)
  behindAt(behind, view, fade, rangesM[row]!)
  const adapted = adaptation(luminanceOfQuanta(behind))
  const at = row * receptors * BANDS
  eye.cones.forEach((s, n) => contrastWeights(s, behind, fade, weights, at + n * BANDS))
  // Where the twin cones alone carry lightness, theirs are the weights.
  if (adapted.cones < 1) lightnessWeights(view, adapted.cones, behind, fade, weights, at + (receptors - 1) * BANDS)
  return adapted
}

/** Prepare a way of looking. */
export function prepareView(way: Way, input: ViewInput): View {
  const { eye, fishM, column, decay, field } = input
  const side = sideOf(way)
  const water = waterOf(way, field)
  const near = behindLure(way, water, input)
  const beam = column.water.beam
  const loss = beam.map((c, i) => LOSS[side](c, decay[i]!))
  const capM = capOf(way, input)
  const slowest = loss.reduce((least, v) => Math.min(least, Math.max(1e-3, v)), Infinity)
  const inLight = adaptation(luminanceOfQuanta(near)).light
  const shown = Math.max(2 * NEAREST_M, Math.log(STRONGEST / inLight) / slowest)
  const farthest = Math.max(1.01 * NEAREST_M, Math.min(shown, capM))
  const rangesM = new Float64Array(RANGE_STEPS + 2)
  for (let k = 0; k < RANGE_STEPS; k++) rangesM[k] = NEAREST_M * (farthest / NEAREST_M) ** (k / (RANGE_STEPS - 1))
  rangesM[BITE_ROW] = BITE_M
  rangesM[FISH_ROW] = fishM
  const adapted: Adaptation[] = []
  const fade = new Float64Array(BANDS)
  const behind = new Float64Array(BANDS)
  const receptors = eye.cones.length + 1
  const view: View = {
    way,
    side,
    near,
    water,
    waterAt: waterFrom(way, water, input),
    beam,
    capM,
    rangesM,
    adaptedAt: row => (adapted[row] ??= makeRow(view, row, fade, behind)),
    weights: new Float64Array(rangesM.length * receptors * BANDS),
    receptors,
    eye,
    meanLoss:
      dot(loss, near) /
      Math.max(
        1e-300,
        near.reduce((s, v) => s + v, 0),
      ),
  }
  return view
}
