import { type Adaptation, type Eye, adaptation } from '#core/eye/eye'
import { luminanceOfQuanta } from '#core/spectrum/colour'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'

/** What contrast one way is made of: what stands behind the lure, what dims it, and the eye. */
export interface Backdrop {
  /** Radiance behind the lure, and of the water that way at the lure's own depth. */
  near: Spectrum
  water: Spectrum
  /** Radiance of the water that way where the fish is, so many metres from the lure, into `out`. */
  waterAt: (rangeM: number, out: Spectrum) => void
  /** Beam attenuation: what is left of a difference over r is exp(-c r). */
  beam: Spectrum
  eye: Eye
}

/** Share of a difference in radiance that is left after so many metres, per band: exp(-c r). */
export function fadeOver(out: Spectrum, beam: Spectrum, rangeM: number): void {
  for (let i = 0; i < BANDS; i++) out[i] = Math.exp(-beam[i]! * rangeM)
}

/**
 * Radiance behind the lure as it reaches an eye so far off: the water where the eye is, and what is left over the
 * distance of what stands behind the lure (Duntley 1963).
 * @param fade what is left over the distance, from `fadeOver`
 */
export function behindAt(out: Spectrum, view: Backdrop, fade: Spectrum, rangeM: number): void {
  view.waterAt(rangeM, out)
  for (let i = 0; i < BANDS; i++) out[i] = Math.max(1e-300, out[i]! + (view.near[i]! - view.water[i]!) * fade[i]!)
}

/**
 * Weights with which a difference in radiance at the lure becomes Weber contrast in one receptor over a distance:
 * s·fade / ∫ s·behind. This is the one place where contrast is worked out; what looks, lines and curves see is the dot
 * product of these with their difference.
 * @param out written to, one weight a band from `at` on
 */
export function contrastWeights(receptor: Spectrum, behind: Spectrum, fade: Spectrum, out: Float64Array, at = 0): void {
  const scale = Math.max(1e-300, dot(receptor, behind))
  for (let i = 0; i < BANDS; i++) out[at + i] = (receptor[i]! * fade[i]!) / scale
}

const rods = new Float64Array(BANDS)
/**
 * The same for lightness: what the twin cones and the rods make of it, in the shares the light leaves them.
 */
export function lightnessWeights(
  view: Backdrop,
  cones: number,
  behind: Spectrum,
  fade: Spectrum,
  out: Float64Array,
  at = 0,
): void {
  const { eye } = view
  contrastWeights(eye.cones[eye.cones.length - 1]!, behind, fade, out, at)
  if (cones === 1) return
  contrastWeights(eye.rod, behind, fade, rods)
  for (let i = 0; i < BANDS; i++) out[at + i] = cones * out[at + i]! + (1 - cones) * rods[i]!
}

/** A lightness contrast, and what the eye can do in the light it is seen in. */
export interface Lightness {
  contrast: number
  adapted: Adaptation
}

/** Lightness contrast in one view: Weber, negative is darker, of a difference in radiance over a distance in m. */
export function lightnessMeter(view: Backdrop): (delta: Spectrum, rangeM: number) => Lightness {
  const fade = new Float64Array(BANDS)
  const behind = new Float64Array(BANDS)
  const weights = new Float64Array(BANDS)
  return (delta, rangeM) => {
    fadeOver(fade, view.beam, rangeM)
    behindAt(behind, view, fade, rangeM)
    const adapted = adaptation(luminanceOfQuanta(behind))
    lightnessWeights(view, adapted.cones, behind, fade, weights)
    return { contrast: dot(weights, delta), adapted }
  }
}

/** Dark light of a receptor as a share of its adapted catch: below this, dark things look equally dark. */
const DARK_LIGHT = 0.05

/** A receptor's catch over the background's, dark light included, from its contrast. */
export const catchOf = (contrast: number) => (Math.max(0, 1 + contrast) + DARK_LIGHT) / (1 + DARK_LIGHT)
/** The logarithm of it. */
export const logCatch = (contrast: number) => Math.log(catchOf(contrast))

/** Breadth of the eye's blur so far off, m: coarser in less light. */
export const blurM = (eye: Eye, { coarser }: Adaptation, rangeM: number) => rangeM * eye.acuityRad * coarser

/** Share of its contrast a target of an area (m²) keeps where the eye's blur covers `blur2` (m²). */
export const resolved = (areaM2: number, blur2: number) => areaM2 / (areaM2 + blur2)
