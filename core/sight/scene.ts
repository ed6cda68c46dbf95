import { LRUCache } from 'lru-cache'
import { type Eye, eyeOf } from '#core/eye/eye'
import { type SpeciesId, species } from '#core/eye/species'
import { type Heading, LightColumn, type LightField } from '#core/light-field/lightField'
import { type LureId, lureType } from '#core/lure/types'
import { BACKGROUNDS, type BackgroundId, backgroundReflectance } from '#core/sight/backgrounds'
import { type Glitter, glitterAt } from '#core/sight/flash'
import { type Stage, prepareStage, wayOf } from '#core/sight/look'
import { FISH_ROW, type ViewInput, type Way, prepareView } from '#core/sight/view'
import { type SkyInput, type SkyLight, skyLight } from '#core/sky/light'
import { waterFromReading } from '#core/reading/disc'
import type { WaterOptics } from '#core/water/optics'
import { TINTS, type TintId } from '#core/water/tints'

/** Where the sun stands for the angler who casts and retrieves. */
export const SUN_FACINGS = ['any', 'sun-in-face', 'sun-at-back', 'across'] as const
export type SunFacing = (typeof SUN_FACINGS)[number]

/**
 * How often a fish looks each way when it looks level. It may look any way, all bearings alike, unless the angler says
 * where the sun is: a fish that follows the lure looks at the angler, so with the sun in the angler's face it looks
 * away from the sun.
 */
const LOOKS: Record<SunFacing, Readonly<Record<Heading, number>>> = {
  'any': { toward: 0.25, across: 0.5, away: 0.25 },
  'sun-in-face': { toward: 0, across: 0, away: 1 },
  'sun-at-back': { toward: 1, across: 0, away: 0 },
  'across': { toward: 0, across: 1, away: 0 },
}

/** What lies under water whose bottom is not known. */
const USUAL_BED: BackgroundId = 'gravel'

/** All that the optics need to know: the readings, the lure and where the fish is. */
export interface SceneInput {
  lure: LureId
  species: SpeciesId
  visibilityM: number
  tint: TintId
  salt: boolean
  sky: SkyInput
  depthM: number
  /** Depth of the water, m; null where it is deep or not known. */
  waterM: number | null
  /** Where the angler has the sun; a fish that follows the lure looks at the angler. */
  facing: SunFacing
  background: BackgroundId
  /** How far off the fish is, m. */
  fishM: number
}

/** The optics of a moment: one chain from readings to prepared views. */
export interface Scene {
  input: SceneInput
  water: WaterOptics
  sky: SkyLight
  column: LightColumn
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

/** What the bottom throws back: what lies behind a lure there, or what usually does. */
const bedUnder = (background: BackgroundId) =>
  backgroundReflectance(BACKGROUNDS[background].kind === 'bottom' ? background : USUAL_BED)!

/** Water under a sky, at no depth yet. */
type LitWater = Pick<Scene, 'water' | 'sky' | 'column'>
/**
 * As many are kept as a day has half hours: another lure, depth or distance under the same sky, in the next request or
 * in the next lane of a day, finds the light there already. Some 0.1 MB each.
 */
const KEPT = 40
const lit = new LRUCache<string, LitWater>({ max: KEPT })

function litWater({ tint, salt, visibilityM, sky: under, waterM, background }: SceneInput): LitWater {
  const key = JSON.stringify([tint, salt, visibilityM, under, waterM, waterM === null ? null : background])
  const known = lit.get(key)
  if (known) return known
  const water = waterFromReading(TINTS[tint].recipe, salt, visibilityM)
  const sky = skyLight(under)
  const bed = waterM === null ? null : { depthM: waterM, reflectance: bedUnder(background) }
  const made = { water, sky, column: new LightColumn(water, sky, bed) }
  lit.set(key, made)
  return made
}

/**
 * Work the chain: water from the reading, sky, light at the lure's depth, and the stage of views from all sides.
 * @param eye whose it is; the species' where another is not named
 */
export function buildScene(input: SceneInput, eye: Eye = eyeOf(species(input.species))): Scene {
  const { depthM, waterM, background, fishM } = input
  const { water, sky, column } = litWater(input)
  const field = column.at(depthM)
  const { surface } = lureType(input.lure)
  const viewed: ViewInput = {
    column,
    field,
    decay: column.decay(depthM),
    background,
    surface,
    waterM,
    eye,
    fishM,
  }
  const view = (way: Way) => prepareView(way, viewed)
  const stage = prepareStage(input.lure, field, view, sky.directLux > 0, LOOKS[input.facing])
  return { input, water, sky, column, field, eye, stage, glitter: glitterAt(column, sky, field) }
}

/** Share of colour vision left to the fish where it is, looking level, 0 (night) to 1 (day). */
export const colourShareOf = ({ stage }: Scene): number => wayOf(stage, 'level').view.adaptedAt(FISH_ROW).colourShare
