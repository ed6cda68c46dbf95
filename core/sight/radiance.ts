import type { LightField } from '#core/light-field/lightField'
import { type LureId, lureType } from '#core/lure/types'
import type { CoatOptics } from '#core/paintwork/coat'
import type { Part } from '#core/paintwork/parts'
import { type MirrorKind, facing, lightOn, mirrorKind, mirroredBy } from '#core/sight/orientation'
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
  const images: Partial<Record<MirrorKind, Spectrum>> = {}
  const imageOn = (kind: MirrorKind) => {
    let image = images[kind]
    if (!image) mirroredBy((image = images[kind] = new Float64Array(BANDS)), field, view.way, kind)
    return image
  }
  for (const part of Object.keys(lureType(lure).parts) as Part[]) {
    const how = facing(view.side, part)
    const irradiance = new Float64Array(BANDS)
    lightOn(irradiance, field, view.way, how)
    lights[part] = {
      irradiance,
      image: imageOn(mirrorKind(part)),
      shows: how.shows,
      lightOverBehind: luminanceOfQuanta(irradiance) / Math.PI / Math.max(1e-300, behind),
    }
  }
  return lights
}

/** Radiance of matte white by irradiance, per steradian. */
const LAMBERT = 1 / Math.PI

/**
 * How much a coat's radiance (light-model section 4: diffuse, mirrored, passed through from behind, and glow) stands
 * off what is behind it, into `out`: what the eye has to see it by.
 */
export function standsOff(
  out: Spectrum,
  o: CoatOptics,
  light: Pick<PartLight, 'irradiance' | 'image'>,
  near: Spectrum,
): void {
  const { reflect, mirror, transmit } = o
  const { irradiance, image } = light
  for (let i = 0; i < BANDS; i++) {
    const diffuse = reflect[i]! * irradiance[i]! * LAMBERT
    out[i] = diffuse + mirror[i]! * image[i]! + (transmit[i]! - 1) * near[i]!
  }
  if (!o.glow) return
  const glow = o.glow.efficiency * dot(o.glow.absorb, irradiance) * LAMBERT
  for (let i = 0; i < BANDS; i++) out[i]! += glow * o.glow.emit[i]!
}
