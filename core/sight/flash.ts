import type { Finish } from '#core/lure/finish'
import { lureType } from '#core/lure/types'
import type { Eye } from '#core/eye/eye'
import type { SkyLight } from '#core/sky/light'
import { BANDS, type Spectrum } from '#core/spectrum/grid'
import type { WaterOptics } from '#core/water/optics'

/**
 * Glint at which the flash number stands at a half: chrome at arm's depth in clear water under noon sun (ours; it
 * only sets the scale).
 */
const HALF_FLASH = 600
/** Share of scattered sunlight that stays in a tight enough beam to glint. */
const KEPT_FORWARD = 0.45

/** What there is to flash with at a depth: sunlight still in its beam, and what waves do to it. */
export interface Glitter {
  beam: Spectrum
  lively: number
}

/** Sunlight that still comes from one direction at a depth (m), which is all a mirror can turn into a flash. */
export function glitterAt(water: WaterOptics, sky: SkyLight, depthM: number): Glitter {
  const beam = new Float64Array(BANDS)
  for (let i = 0; i < BANDS; i++) {
    const loss = water.absorption[i]! + (1 - KEPT_FORWARD) * water.scattering[i]!
    beam[i] = sky.direct[i]! * Math.exp((-loss * depthM) / sky.beamMu) + 0.004 * sky.diffuse[i]!
  }
  return { beam, lively: 0.35 + 2.2 * sky.waveSlope }
}

/**
 * Flash of a finish, 0-1: the mirror share of its parts, lit by what sunlight is left in its beam, as the fish's twin
 * cones count it, livelier with chop and with the lure's own action. Falls with cloud, depth and turbidity.
 */
export function flashOf(finish: Finish, glitter: Glitter, eye: Eye): number {
  const twin = eye.cones[eye.cones.length - 1]!
  let glint = 0
  for (const p of finish.parts) {
    if (p.optics.glint <= 0) continue
    let light = 0
    let peak = 0
    for (let i = 0; i < BANDS; i++) {
      light += glitter.beam[i]! * twin[i]! * p.optics.mirror[i]!
      peak = Math.max(peak, p.optics.mirror[i]!)
    }
    if (peak > 0) glint += ((p.share * p.optics.glint * light) / peak) * Math.min(1, peak + 0.1)
  }
  const lux = (glint / 10) * (0.4 + 0.6 * lureType(finish.lure).action) * glitter.lively
  return lux / (lux + HALF_FLASH)
}
