import { type Adaptation, type Eye, adaptation } from '#core/eye/eye'
import type { LightField } from '#core/light-field/lightField'
import type { Side } from '#core/lure/types'
import { BACKGROUNDS, type BackgroundId, backgroundReflectance } from '#core/sight/backgrounds'
import { type Sightline, contrastWeights, fadeOver } from '#core/sight/contrast'
import { luminanceOfQuanta } from '#core/spectrum/colour'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'
import type { WaterOptics } from '#core/water/optics'

/** Points at which contrast is worked out along the line of sight; ranges are interpolated between them. */
export const RANGE_STEPS = 22
const NEAREST_M = 0.05
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

/**
 * One direction of looking, ready for many finishes: what is behind, how fast contrast is lost, and the weights with
 * which a difference in radiance at the lure becomes contrast in each receptor at each distance.
 */
export interface View extends Sightline {
  side: Side
  /** Radiance behind the lure, and of the water in between far off. */
  near: Spectrum
  far: Spectrum
  /** Contrast attenuation, per metre: c level, c-K from below, c+K from above (Duntley 1963). */
  loss: Spectrum
  /** Distances, m: the range steps, rising, then the biting distance and the fish's. */
  rangesM: Float64Array
  /** [row][receptor][band]: receptors are the cones, then the rods. */
  weights: Float64Array
  receptors: number
  eye: Eye
  seen: Adaptation
  /** Loss of contrast averaged over the colours of the background, per metre. */
  meanLoss: number
}

/** What a view is made of, beside the side it is from. */
export interface ViewInput {
  field: LightField
  /** Diffuse decay of the downward light at the lure, per metre. */
  decay: Spectrum
  water: WaterOptics
  background: BackgroundId
  /** A lure on the surface: from level only sky and weed stand behind it. */
  surface: boolean
  eye: Eye
  fishM: number
}

/**
 * Loss of contrast per metre, by the side looked from, out of beam attenuation c and decay K (light-model section 4).
 */
const LOSS: Record<Side, (c: number, k: number) => number> = {
  level: c => c,
  below: (c, k) => c - k,
  above: (c, k) => c + k,
}
const FAR: Record<Side, 'lh' | 'lZen' | 'lNad'> = { level: 'lh', below: 'lZen', above: 'lNad' }

/** How far behind the lure something stands, m. */
function gapM(side: Side, kind: 'open' | 'bottom' | 'weed'): number {
  if (side === 'above') return BOTTOM_GAP_M
  return kind === 'weed' ? WEED_GAP_M : 3 * WEED_GAP_M
}

/** Background, its gap behind the lure, and the loss of contrast for one side (light-model section 4). */
function sightline(side: Side, { field: f, decay, water, background, surface }: ViewInput): Sightline {
  const loss = decay.map((k, i) => LOSS[side](water.beam[i]!, k))
  const far = f[FAR[side]]
  const near = far.slice()
  const r = backgroundReflectance(background)
  const { kind } = BACKGROUNDS[background]
  // From below a lure is seen against the surface, whatever stands around; a surface lure has only sky behind it.
  if (r && side !== 'below' && !(surface && side === 'level' && kind === 'bottom')) {
    const gap = gapM(side, kind)
    const light = side === 'above' ? f.ed : f.eSide
    for (let i = 0; i < BANDS; i++) {
      near[i] = far[i]! + ((r[i]! * light[i]!) / Math.PI - far[i]!) * Math.exp(-loss[i]! * gap)
    }
  }
  return { near, far, loss }
}

/** Prepare a direction of looking. */
export function prepareView(side: Side, input: ViewInput): View {
  const { eye, fishM } = input
  const { near, far, loss } = sightline(side, input)
  const seen = adaptation(luminanceOfQuanta(near))
  const all = [...eye.cones, eye.rod]
  let slowest = Infinity
  for (let i = 0; i < BANDS; i++) slowest = Math.min(slowest, Math.max(1e-3, loss[i]!))
  const farthest = Math.max(2 * NEAREST_M, Math.log(STRONGEST / Math.min(seen.cone, seen.rod)) / slowest)
  const rangesM = new Float64Array(RANGE_STEPS + 2)
  for (let k = 0; k < RANGE_STEPS; k++) rangesM[k] = NEAREST_M * (farthest / NEAREST_M) ** (k / (RANGE_STEPS - 1))
  rangesM[BITE_ROW] = BITE_M
  rangesM[FISH_ROW] = fishM
  const weights = new Float64Array(rangesM.length * all.length * BANDS)
  const fade = new Float64Array(BANDS)
  for (let k = 0; k < rangesM.length; k++) {
    fadeOver(fade, { near, far, loss }, rangesM[k]!)
    all.forEach((s, n) => contrastWeights(s, { near, far, loss }, fade, weights, (k * all.length + n) * BANDS))
  }
  let behindAll = 0
  for (let i = 0; i < BANDS; i++) behindAll += near[i]!
  const meanLoss = dot(loss, near) / Math.max(1e-300, behindAll)
  return { side, near, far, loss, rangesM, weights, receptors: all.length, eye, seen, meanLoss }
}
