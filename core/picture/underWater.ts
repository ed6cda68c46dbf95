import type { Eye } from '#core/eye/eye'
import type { Finish } from '#core/lure/finish'
import { lightField } from '#core/light-field/lightField'
import type { Side } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import { fadeOver } from '#core/sight/contrast'
import { lightOfPart } from '#core/sight/look'
import { radianceOf } from '#core/sight/radiance'
import type { Scene } from '#core/sight/scene'
import { type Srgb, linearFromXyz, luminanceOfQuanta, srgbFromLinear, xyzOfQuanta } from '#core/spectrum/colour'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'

/**
 * Colours to draw with. A diver's picture keeps hue and contrast but opens the pupil: the water itself is shown at a
 * brightness that falls with depth as the square root of its light, so that the picture neither burns out nor goes
 * black.
 */
export type Watcher = 'diver' | 'fish'

/** Display luminance (0-1, linear) of the brightest water, and of the darkest that still shows a hue. */
const BRIGHTEST = 0.2
const DARKEST = 0.01
/** Share of the light's strength that shows in the picture, as a power. */
const PUPIL = 0.38

/** Display luminance of water at a depth beside that just under the surface. */
function shownLuminance(here: number, atSurface: number): number {
  return Math.max(DARKEST, BRIGHTEST * Math.min(1, here / Math.max(1e-300, atSurface)) ** PUPIL)
}

/** Reference depth for "just under the surface", m. */
const TOP_M = 0.05

/** What the picture is exposed for: a radiance shown at a set brightness, and the daylight that counts as white. */
export interface Exposure {
  scale: number
  white: readonly [number, number, number]
}

/** Linear RGB by which the day's own light above the water is neutral: the watcher has got used to it. */
function whiteOf(scene: Scene): readonly [number, number, number] {
  const light = scene.sky.direct.map((v, i) => v + scene.sky.diffuse[i]!)
  const y = luminanceOfQuanta(light)
  const rgb = linearFromXyz(xyzOfQuanta(light))
  return [rgb[0] / y, rgb[1] / y, rgb[2] / y]
}

/** Exposure at a depth, shared by column, window and strip, so that the water has one colour everywhere. */
export function exposureAt(scene: Scene, level: Spectrum, top: Spectrum): Exposure {
  // Night is drawn dim but not black: the eye of the picture adapts over twelve decades only so far.
  const dusk = Math.min(1, Math.max(0.12, (Math.log10(Math.max(1e-4, scene.sky.lux)) + 3) / 7))
  const y = shownLuminance(luminanceOfQuanta(level), luminanceOfQuanta(top)) * dusk
  return { scale: y / Math.max(1e-300, luminanceOfQuanta(level)), white: whiteOf(scene) }
}

/** A radiance as the diver's display colour under an exposure. */
export function diverColour(radiance: Spectrum, e: Exposure): Srgb {
  const rgb = linearFromXyz(xyzOfQuanta(radiance))
  return srgbFromLinear([
    (rgb[0] * e.scale) / e.white[0],
    (rgb[1] * e.scale) / e.white[1],
    (rgb[2] * e.scale) / e.white[2],
  ])
}

/** Linear grey the fish's adapted background is drawn at in false colour. */
const FALSE_GREY = 0.16

/**
 * A radiance in the fish's false colour: each cone's catch beside the background's, the long-wave cones drawn red,
 * the others green and blue (with two cones, both). Grey is the water it is adapted to.
 */
export function fishColour(radiance: Spectrum, background: Spectrum, eye: Eye, colourShare: number): Srgb {
  const rel = eye.cones.map(s => dot(s, radiance) / Math.max(1e-300, dot(s, background)))
  const long = rel[rel.length - 1]!
  const mid = rel.length > 2 ? rel[1]! : rel[0]!
  const short = rel[0]!
  const mix = (v: number) => FALSE_GREY * (long + colourShare * (v - long))
  return srgbFromLinear([mix(long), mix(mid), mix(short)])
}

/** One depth of the water column: its colour, how bright it is, and the cones' light left. */
export interface ColumnStep {
  depthM: number
  colour: Srgb
  luminance: number
  cones: number[]
  lux: number
}

/**
 * The water column from the surface down: colour looking level, and the light left for each cone beside the
 * surface's.
 */
export function waterColumn(scene: Scene, depthsM: readonly number[]): ColumnStep[] {
  const top = lightField(scene.water, scene.sky, TOP_M)
  const onTop = scene.eye.cones.map(s => dot(s, top.ed))
  return depthsM.map(depthM => {
    const f = depthM <= TOP_M ? top : lightField(scene.water, scene.sky, depthM)
    const e = exposureAt(scene, f.lh, top.lh)
    const colour = diverColour(f.lh, e)
    return {
      depthM,
      colour,
      luminance: luminanceOfQuanta(f.lh) * e.scale,
      cones: scene.eye.cones.map((s, i) => dot(s, f.ed) / Math.max(1e-300, onTop[i]!)),
      lux: luminanceOfQuanta(f.ed),
    }
  })
}

/** Colours of a finish's parts at a distance, and of the water behind them. */
export interface Seen {
  distanceM: number
  water: Srgb
  parts: Partial<Record<Part, Srgb>>
}

/** Looking up is exposed brighter and looking down darker than looking level, by these. */
const EXPOSED: Record<Side, number> = { level: 1, below: 1.6, above: 0.8 }

/** Exposure of a side: for what is seen there, at the display brightness of looking level. */
function exposureOf(scene: Scene, side: Side): Exposure {
  const top = lightField(scene.water, scene.sky, TOP_M)
  const level = exposureAt(scene, scene.field.lh, top.lh)
  if (side === 'level') return level
  const lit = luminanceOfQuanta(scene.stage.views[side].far)
  const asLevel = (level.scale * luminanceOfQuanta(scene.field.lh)) / Math.max(1e-300, lit)
  return { white: level.white, scale: asLevel * EXPOSED[side] }
}

/** The painter of one scene from one side for one watcher: colours at any distance. */
export function painter(scene: Scene, side: Side, watcher: Watcher): (finish: Finish, distanceM: number) => Seen {
  const { stage, eye } = scene
  const view = stage.views[side]
  const exposure = exposureOf(scene, side)
  const fade = new Float64Array(BANDS)
  const behind = new Float64Array(BANDS)
  const radiance = new Float64Array(BANDS)
  const colour = (s: Spectrum) =>
    watcher === 'diver' ? diverColour(s, exposure) : fishColour(s, view.far, eye, view.seen.colourShare)
  return (finish, distanceM) => {
    fadeOver(fade, view, distanceM)
    for (let i = 0; i < BANDS; i++) behind[i] = view.far[i]! + (view.near[i]! - view.far[i]!) * fade[i]!
    const out: Seen = { distanceM, water: colour(behind), parts: {} }
    for (const p of finish.parts) {
      radianceOf(radiance, p.optics, lightOfPart(stage, side, p.part), view.near)
      for (let i = 0; i < BANDS; i++) {
        radiance[i] = Math.max(0, behind[i]! + (radiance[i]! - view.near[i]!) * fade[i]!)
      }
      out.parts[p.part] = colour(radiance)
    }
    return out
  }
}
