import type { Finish } from '#core/lure/finish'
import { lightness } from '#core/lure/finish'
import { BACKGROUNDS, backgroundReflectance } from '#core/sight/backgrounds'
import type { Scene } from '#core/sight/scene'

/**
 * Share of the sky that water throws back to an angler who looks across it, by wind: Fresnel's some 0.4 near grazing on
 * flat water, less as slopes tilt towards the eye (after Cox & Munk 1954); ours, good to a third.
 */
const GLAZE = { calm: 0.34, ripple: 0.26, chop: 0.18, strong: 0.14 } as const
/**
 * What an eye in the field just makes out: contrast of a broad target in daylight, the angle (radians) at which small
 * ones need twice as much, and the luminance (cd/m²) below which the threshold rises by its square root (after
 * Blackwell 1946, J. Opt. Soc. Am. 36, in shape; the level ours, three times the laboratory's). Good to a factor of 2.
 */
const EYE = { contrast: 0.05, angleRad: 0.0015, dimCdM2: 10 } as const
/** No farther is worth saying, m. */
const FARTHEST_M = 150

/**
 * How far across the water an angler can follow the back of a surface lure, m, 0 where it cannot be made out at all:
 * the back's light against what the water throws back of the sky, or against the weed it crawls over.
 */
export function anglerSightM(finish: Finish, scene: Scene): number {
  const back = finish.parts.find(p => p.part === 'back') ?? finish.parts[0]!
  const { reflect, mirror, transmit } = back.optics
  const level = lightness(reflect) + lightness(mirror) * GLAZE.calm + 0.3 * lightness(transmit)
  const { background, sky } = scene.input
  const weed = BACKGROUNDS[background].kind === 'weed' ? backgroundReflectance(background) : null
  const behind = weed ? lightness(weed) : GLAZE[sky.wind]
  const luminance = (scene.sky.lux * behind) / Math.PI
  const least = EYE.contrast * Math.sqrt(Math.max(1, EYE.dimCdM2 / Math.max(1e-6, luminance)))
  const contrast = Math.abs(level - behind) / behind
  if (contrast <= least) return 0
  const breadthM = Math.sqrt(back.areaM2)
  return Math.min(FARTHEST_M, (breadthM / EYE.angleRad) * Math.sqrt(contrast / least - 1))
}
