import { DISC_BANDS, type WaterOptics, diffuseAttenuation, remoteReflectance, waterOptics } from '#core/water/optics'
import type { Spectrum } from '#core/spectrum/grid'
import { type Recipe, scaled } from '#core/water/tints'

/** Contrast, per steradian, at which a person looking down loses a target (Lee et al. 2015). */
const HUMAN_THRESHOLD = 0.013
/** What a white disc of reflectance 0.85 sends up just above the surface, per steradian (Lee et al. 2015). */
const WHITE_DISC = { sends: 0.14, reflectance: 0.85 }

/** Halvings of the logarithm of the amount: to a part in a hundred million. */
const HALVINGS = 34

/** The shallowest depth at which anything can be said to vanish, m. */
export const AT_ONCE_M = 0.005

/**
 * Depth at which a target lowered from a boat vanishes to a person, m: Lee et al. 2015 (Remote Sens. Environ. 169),
 * Z = ln(|0.14 - Rrs| / 0.013) / (2.5 min Kd) over 440-670 nm, with 0.14 scaled by the target's reflectance.
 * A target too close to the water's own brightness to be seen at all vanishes at once.
 * @param target reflectance of the target seen from above, 0-1, or its spectrum; the white disc by default
 */
export function vanishingDepthM(w: WaterOptics, target: number | Spectrum = WHITE_DISC.reflectance): number {
  let clearest: number = DISC_BANDS[0]
  let kd = Infinity
  for (let i = DISC_BANDS[0]; i <= DISC_BANDS[1]; i++) {
    const k = diffuseAttenuation(w, i)
    if (k < kd) {
      kd = k
      clearest = i
    }
  }
  const reflectance = typeof target === 'number' ? target : target[clearest]!
  const sends = (WHITE_DISC.sends * reflectance) / WHITE_DISC.reflectance
  const contrast = Math.abs(sends - remoteReflectance(w, clearest))
  return Math.max(AT_ONCE_M, Math.log(contrast / HUMAN_THRESHOLD) / (2.5 * kd))
}

/**
 * How much of a recipe makes a target vanish at a given depth, by bisection on the logarithm of the amount; the depth
 * falls as the amount grows. Held at the ends where even pure water, or the thickest soup, will not do.
 */
export function amountFor(recipe: Recipe, salt: boolean, depthM: number, target?: number | Spectrum): number {
  let lo = Math.log(1e-7)
  let hi = Math.log(1e4)
  for (let i = 0; i < HALVINGS; i++) {
    const mid = (lo + hi) / 2
    if (vanishingDepthM(waterOptics(scaled(recipe, Math.exp(mid)), salt), target) > depthM) lo = mid
    else hi = mid
  }
  return Math.exp((lo + hi) / 2)
}

/** The water of a tint in which a white disc vanishes at a depth (m). */
export function waterFromReading(recipe: Recipe, salt: boolean, discM: number): WaterOptics {
  return waterOptics(scaled(recipe, amountFor(recipe, salt, discM)), salt)
}
