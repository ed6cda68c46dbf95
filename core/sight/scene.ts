import { type Eye, eyeOf } from '#core/eye/eye'
import { type SpeciesId, species } from '#core/eye/species'
import { type LightField, diffuseDecay, lightField } from '#core/light-field/lightField'
import { type LureId, SIDES, lureType } from '#core/lure/types'
import type { BackgroundId } from '#core/sight/backgrounds'
import { type Glitter, glitterAt } from '#core/sight/flash'
import { type Stage, prepareStage } from '#core/sight/look'
import { type ViewInput, prepareView } from '#core/sight/view'
import { type SkyInput, type SkyLight, skyLight } from '#core/sky/light'
import { waterFromReading } from '#core/water/disc'
import type { WaterOptics } from '#core/water/optics'
import { TINTS, type TintId } from '#core/water/tints'

/** All that the optics need to know: the readings, the lure and where the fish is. */
export interface SceneInput {
  lure: LureId
  species: SpeciesId
  visibilityM: number
  tint: TintId
  salt: boolean
  sky: SkyInput
  depthM: number
  background: BackgroundId
  /** How far off the fish is, m. */
  fishM: number
}

/** The optics of a moment: one chain from readings to prepared views. */
export interface Scene {
  input: SceneInput
  water: WaterOptics
  sky: SkyLight
  field: LightField
  eye: Eye
  stage: Stage
  glitter: Glitter
}

/**
 * How far off a fish usually is when it decides: a little over half of what a lure shows to it, which is itself about
 * half the disc depth.
 */
export function usualFishM(visibilityM: number): number {
  return Math.min(2.5, Math.max(0.2, 0.25 * visibilityM))
}

/** Work the chain: water from the reading, sky, light at the lure's depth, and the views from three sides. */
export function buildScene(input: SceneInput): Scene {
  const water = waterFromReading(TINTS[input.tint].recipe, input.salt, input.visibilityM)
  const sky = skyLight(input.sky)
  const field = lightField(water, sky, input.depthM)
  const eye = eyeOf(species(input.species))
  const viewed: ViewInput = {
    field,
    decay: diffuseDecay(water, sky, field),
    water,
    background: input.background,
    surface: lureType(input.lure).surface,
    eye,
    fishM: input.fishM,
  }
  const views = Object.fromEntries(SIDES.map(side => [side, prepareView(side, viewed)])) as Stage['views']
  return {
    input,
    water,
    sky,
    field,
    eye,
    stage: prepareStage(input.lure, field, views, eye.acuityRad),
    glitter: glitterAt(water, sky, input.depthM),
  }
}
