import type { View } from '#core/sight/view'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'

/** A line of sight through water: what is behind the lure, the water far off, and the loss of contrast per metre. */
export interface Sightline {
  near: Spectrum
  far: Spectrum
  loss: Spectrum
}

/** Share of a difference in radiance that is left after so many metres, per band. */
export function fadeOver(out: Spectrum, { loss }: Sightline, rangeM: number): void {
  for (let i = 0; i < BANDS; i++) out[i] = Math.exp(-loss[i]! * rangeM)
}

/**
 * Weights with which a difference in radiance at the lure becomes Weber contrast in one receptor over a distance
 * (Duntley 1963: the difference fades with the water in between, the background with it): s·fade / ∫ s·behind. This
 * is the one place where contrast is worked out; what looks, lines and curves see is the dot product of these with
 * their difference.
 * @param fade what is left over the distance, from `fadeOver`
 * @param out written to, one weight a band from `at` on
 */
export function contrastWeights(
  receptor: Spectrum,
  { near, far }: Sightline,
  fade: Spectrum,
  out: Float64Array,
  at = 0,
): void {
  let behind = 0
  for (let i = 0; i < BANDS; i++) behind += receptor[i]! * (far[i]! + (near[i]! - far[i]!) * fade[i]!)
  const scale = Math.max(1e-300, behind)
  for (let i = 0; i < BANDS; i++) out[at + i] = (receptor[i]! * fade[i]!) / scale
}

/** The receptor that carries lightness in a view: the twin cones by day, the rods where they see better. */
export const lightnessReceptor = (view: View): Spectrum =>
  view.seen.cone <= view.seen.rod ? view.eye.cones[view.eye.cones.length - 1]! : view.eye.rod

/** Smallest lightness contrast seen in a view (Weber). */
export const lightnessThreshold = (view: View): number => Math.min(view.seen.cone, view.seen.rod)

/** Buffers of one measurement of lightness contrast. */
const buffers = () => ({ fade: new Float64Array(BANDS), weights: new Float64Array(BANDS) })

/**
 * A measure of lightness contrast in one view: Weber, negative is darker, of a difference in radiance over a distance
 * in m.
 */
export function lightnessMeter(view: View): (delta: Spectrum, rangeM: number) => number {
  const receptor = lightnessReceptor(view)
  const { fade, weights } = buffers()
  return (delta, rangeM) => {
    fadeOver(fade, view, rangeM)
    contrastWeights(receptor, view, fade, weights)
    return dot(weights, delta)
  }
}

/** Dark light of a receptor as a share of its adapted catch: below this, dark things look equally dark. */
const DARK_LIGHT = 0.05

/** Logarithm of a receptor's catch over the background's, dark light included, from its contrast. */
export const logCatch = (contrast: number) => Math.log((Math.max(0, 1 + contrast) + DARK_LIGHT) / (1 + DARK_LIGHT))

/** Share of its contrast a target of squared height `size2` (m²) keeps where the eye's blur is `blur2` (m²). */
export const resolved = (size2: number, blur2: number) => size2 / (size2 + blur2)
