import type { LightField } from '#core/light-field/lightField'
import { type LureId, lureType } from '#core/lure/types'
import type { CoatOptics } from '#core/paintwork/coat'
import type { Part } from '#core/paintwork/parts'
import { facing, lightOn, mirroredBy } from '#core/sight/orientation'
import type { View } from '#core/sight/view'
import { luminanceOfQuanta } from '#core/spectrum/colour'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'

/** Light and mirror image on a part as one way of looking sees it: shared by all finishes of a lure type. */
export interface PartLight {
  irradiance: Spectrum
  image: Spectrum
  /** How much of the part shows, 0-1. */
  shows: number
  /** Luminance of a white surface in this light beside that of what is behind. */
  lightOverBehind: number
}

/** The light on every part of a lure type, seen one way. */
export function partLights(lure: LureId, field: LightField, view: View): Partial<Record<Part, PartLight>> {
  const behind = luminanceOfQuanta(view.near)
  const lights: Partial<Record<Part, PartLight>> = {}
  for (const part of Object.keys(lureType(lure).parts) as Part[]) {
    const how = facing(view.side, part)
    const irradiance = new Float64Array(BANDS)
    const image = new Float64Array(BANDS)
    lightOn(irradiance, field, view.way, how)
    mirroredBy(image, field, view.way, part)
    lights[part] = {
      irradiance,
      image,
      shows: how.shows,
      lightOverBehind: luminanceOfQuanta(irradiance) / Math.PI / Math.max(1e-300, behind),
    }
  }
  return lights
}

/** How much a coat's radiance stands off what is behind it, into `out`: what the eye has to see it by. */
export function standsOff(
  out: Spectrum,
  o: CoatOptics,
  light: Pick<PartLight, 'irradiance' | 'image'>,
  near: Spectrum,
): void {
  radianceOf(out, o, light, near)
  for (let i = 0; i < BANDS; i++) out[i]! -= near[i]!
}

/** Radiance of a coat into `out` (light-model section 4): diffuse, mirrored, passed through from behind, and glow. */
function radianceOf(
  out: Spectrum,
  o: CoatOptics,
  light: Pick<PartLight, 'irradiance' | 'image'>,
  near: Spectrum,
): void {
  for (let i = 0; i < BANDS; i++) {
    const diffuse = (o.reflect[i]! * light.irradiance[i]!) / Math.PI
    out[i] = diffuse + o.mirror[i]! * light.image[i]! + o.transmit[i]! * near[i]!
  }
  if (!o.glow) return
  const glow = (o.glow.efficiency * dot(o.glow.absorb, light.irradiance)) / Math.PI
  for (let i = 0; i < BANDS; i++) out[i]! += glow * o.glow.emit[i]!
}
