import { type Adaptation, type Eye, adaptation, colourDistance } from '#core/eye/eye'
import type { Finish } from '#core/lure/finish'
import type { LightField } from '#core/light-field/lightField'
import type { Side } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import { behindAt, blurM, contrastWeights, fadeOver, lightnessWeights, logCatch, resolved } from '#core/sight/contrast'
import { lightOfPart, wayOf } from '#core/sight/look'
import { standsOff } from '#core/sight/radiance'
import type { Scene } from '#core/sight/scene'
import type { View } from '#core/sight/view'
import {
  type Srgb,
  type Xyz,
  linearFromXyz,
  luminanceOfQuanta,
  srgbFromLinear,
  xyzOfQuanta,
} from '#core/spectrum/colour'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'

/**
 * Colours to draw with. A diver's picture opens the pupil part of the way: water that sends back a tenth of the day's
 * light is shown brighter than water that sends back a hundredth, but not ten times. A camera's is exposed alike, with
 * contrasts as they are.
 */
export const WATCHERS = ['diver', 'fish', 'camera'] as const
export type Watcher = (typeof WATCHERS)[number]

/**
 * Display luminance (0-1, linear) of the brightest water, and of the darkest that still shows a hue. White words stand
 * off the brightest by 4.5 to 1 and more (WCAG), sunbeams included.
 */
const BRIGHTEST = 0.165
/** The same for the mean over all directions, which leaves room for the side towards the sun. */
const BRIGHTEST_MEAN = 0.14
const DARKEST = 0.008
/** Share of the light's strength that shows in the picture, as a power. */
const PUPIL = 0.3
/** Share of the day's light that the palest water sends back level, just under the surface. */
const PALEST = 0.25
/**
 * How far a diver gets used to the water's colour, 0 (none) to 1 (all): at three quarters a white lure near by looks
 * whitish and the water still has its hue.
 */
const GETS_USED = 0.75

/** What the picture is exposed for: a radiance shown at a set brightness, and what the diver is used to. */
export interface Exposure {
  scale: number
  /** Factors for the three channels of `SHARPENED`. */
  used: readonly [number, number, number]
}

/** Sharpened cone space in which colours are adapted, and back: CAT02 of CIECAM02 (CIE 159:2004). */
const SHARPENED = [
  [0.7328, 0.4296, -0.1624],
  [-0.7036, 1.6975, 0.0061],
  [0.003, 0.0136, 0.9834],
] as const
const TO_XYZ = [
  [1.096124, -0.278869, 0.182745],
  [0.454369, 0.473533, 0.072098],
  [-0.009628, -0.005698, 1.015326],
] as const
/** XYZ of the display's white, D65. */
const D65: Xyz = [0.9505, 1, 1.089]

const times = (m: readonly (readonly [number, number, number])[], [x, y, z]: Xyz): Xyz => {
  const row = (r: readonly [number, number, number]) => r[0] * x + r[1] * y + r[2] * z
  return [row(m[0]!), row(m[1]!), row(m[2]!)]
}
/** A light's sharpened catches at a luminance of 1, none quite nought. */
function tone(light: Spectrum): Xyz {
  const y = Math.max(1e-300, luminanceOfQuanta(light))
  const xyz = xyzOfQuanta(light).map(v => v / y) as unknown as Xyz
  return times(SHARPENED, xyz).map(v => Math.max(1e-4, v)) as unknown as Xyz
}

/** The day's light that the surface lets in. */
const letIn = ({ sky }: Scene): Spectrum =>
  sky.direct.map((v, i) => v + sky.diffuse.overcast[i]! + sky.diffuse.clear[i]!)

/** Exposure at a depth, shared by column, window and strip, so that the water has one colour everywhere. */
function exposureAt(scene: Scene, field: LightField): Exposure {
  const day = letIn(scene)
  // Night is drawn dim but not black: the eye of the picture adapts over twelve decades only so far.
  const dusk = Math.min(1, Math.max(0.12, (Math.log10(Math.max(1e-4, scene.sky.lux)) + 3) / 7))
  const level = Math.max(1e-300, luminanceOfQuanta(field.lh.mean))
  const sentBack = (Math.PI * level) / Math.max(1e-300, luminanceOfQuanta(day))
  const y = Math.max(DARKEST, BRIGHTEST_MEAN * Math.min(1, sentBack / PALEST) ** PUPIL) * dusk
  const [fromDay, fromWater] = [tone(day), tone(field.ed.map((v, i) => v + field.eSide.mean[i]!))]
  const used = times(SHARPENED, D65).map((v, i) => v / (fromWater[i]! ** GETS_USED * fromDay[i]! ** (1 - GETS_USED)))
  const exposure = { scale: y / level, used: used as unknown as Xyz }
  // Towards the sun, and where the diver is used to another colour, the water comes out brighter than its mean.
  const shown = luminanceOf(linearUnder(exposure, field.lh[scene.stage.usual]))
  return { ...exposure, scale: exposure.scale * Math.min(1, BRIGHTEST / Math.max(1e-9, shown)) }
}

type Linear = ReturnType<typeof linearFromXyz>
/** A radiance as the diver's linear display colour under an exposure. */
function linearUnder({ scale, used }: Exposure, radiance: Spectrum): Linear {
  const seen = times(SHARPENED, xyzOfQuanta(radiance))
  return linearFromXyz(times(TO_XYZ, seen.map((v, i) => v * used[i]! * scale) as unknown as Xyz))
}
/** Luminance of what a display makes of a linear colour, which shows none below nothing (WCAG 2.2). */
function luminanceOf([r, g, b]: Linear): number {
  return 0.2126 * Math.max(0, r) + 0.7152 * Math.max(0, g) + 0.0722 * Math.max(0, b)
}

/** A radiance as the diver's display colour under an exposure. */
const diverColour = (radiance: Spectrum, exposure: Exposure): Srgb => srgbFromLinear(linearUnder(exposure, radiance))

/** Linear grey the fish's adapted background is drawn at in false colour. */
const FALSE_GREY = 0.16

/**
 * A radiance in the fish's false colour: each cone's catch beside the background's, the long-wave cones drawn red,
 * the others green and blue (with two cones, both). Grey is the water it is adapted to.
 */
function fishColour(radiance: Spectrum, background: Spectrum, eye: Eye, colourShare: number): Srgb {
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
  const { usual } = scene.stage
  const top = scene.column.at(TOP_M).ed
  const onTop = scene.eye.cones.map(s => dot(s, top))
  return depthsM.map(depthM => {
    const f = scene.column.at(Math.max(TOP_M, depthM))
    const e = exposureAt(scene, f)
    return {
      depthM,
      colour: diverColour(f.lh[usual], e),
      luminance: luminanceOfQuanta(f.lh[usual]) * e.scale,
      cones: scene.eye.cones.map((s, i) => dot(s, f.ed) / Math.max(1e-300, onTop[i]!)),
      lux: luminanceOfQuanta(f.ed),
    }
  })
}
/** "Just under the surface", m. */
const TOP_M = 0.05

/** Water at one depth looking level: its colour as a diver sees it at a luminance of 1, and how bright it is, cd/m². */
export interface WaterTone {
  hue: Linear
  luminance: number
}

/** Tones of the water down a column, each with its own adaptation, unexposed: many moments can share one exposure. */
export function waterTones(scene: Scene, depthsM: readonly number[]): WaterTone[] {
  const { usual } = scene.stage
  return depthsM.map(depthM => {
    const f = scene.column.at(Math.max(TOP_M, depthM))
    const linear = linearUnder(exposureAt(scene, f), f.lh[usual])
    const shown = Math.max(1e-9, luminanceOf(linear))
    const hue = linear.map(v => v / shown) as unknown as Linear
    return { hue, luminance: luminanceOfQuanta(f.lh[usual]) }
  })
}

/** The colour of a tone beside the brightest of all that are shown together, by a power of their ratio. */
export function exposedTogether({ hue, luminance }: WaterTone, brightest: number, power: number): Srgb {
  const shown = BRIGHTEST * (luminance / Math.max(1e-300, brightest)) ** power
  return srgbFromLinear(hue.map(v => v * shown) as unknown as Linear)
}

/** Colours of a finish's parts at a distance, and of the water behind them. */
export interface Seen {
  distanceM: number
  water: Srgb
  parts: Partial<Record<Part, Srgb>>
  /** How plainly black points as small as hooks and eyes are drawn, 0-1. */
  fine: number
}

/** Area of a hook or an eye, m². */
const SMALL_M2 = 3e-5

/** Looking up is exposed brighter and looking down darker than looking level, by these. */
const EXPOSED: Record<Side, number> = { level: 1, below: 1.6, above: 0.8 }

/** Exposure of a side: for what is seen there, at the display brightness of looking level. */
function exposureOf(scene: Scene, side: Side, view: View): Exposure {
  const level = exposureAt(scene, scene.field)
  if (side === 'level') return level
  const lit = Math.max(1e-300, luminanceOfQuanta(view.water))
  return { used: level.used, scale: ((level.scale * luminanceOfQuanta(scene.field.lh.mean)) / lit) * EXPOSED[side] }
}

/** Power of the drawn contrast. */
const DRAWN_POWER = 0.4

/**
 * The contrast that the picture gives to one of c: (c^0.4 - T^0.4) / (1 - T^0.4), nothing up to the eye's threshold T
 * and all of it at 1. Under water most contrasts lie between a fiftieth and a fifth, which a page in daylight swallows;
 * the power spreads them out, and what the eye just sees is just seen. Ours; Stevens' power for brightness of small
 * targets, about 0.4, is of the same size.
 * @param c contrast, 0 or more
 * @param threshold of the eye there; more than 0
 */
export function drawnContrast(c: number, threshold: number): number {
  const least = Math.min(0.9, threshold) ** DRAWN_POWER
  return Math.max(0, c ** DRAWN_POWER - least) / (1 - least)
}

/** A view at one distance, ready to be drawn. */
interface AtDistance {
  distanceM: number
  fade: Spectrum
  behind: Spectrum
  weights: Spectrum[]
  adapted: Adaptation
  blur2: number
}

function viewAt(view: View, distanceM: number): AtDistance {
  const fade = new Float64Array(BANDS)
  const behind = new Float64Array(BANDS)
  fadeOver(fade, view.beam, distanceM)
  behindAt(behind, view, fade, distanceM)
  const adapted = adaptation(luminanceOfQuanta(behind))
  const weights = view.eye.cones.map(cone => {
    const w = new Float64Array(BANDS)
    contrastWeights(cone, behind, fade, w)
    return w
  })
  const light = new Float64Array(BANDS)
  lightnessWeights(view, adapted.cones, behind, fade, light)
  weights.push(light)
  return { distanceM, fade, behind, weights, adapted, blur2: blurM(view.eye, adapted, distanceM) ** 2 }
}

/** The painter of one scene from one side for one watcher: colours at any distance. */
export function painter(scene: Scene, side: Side, watcher: Watcher): (finish: Finish, distanceM: number) => Seen {
  const way = wayOf(scene.stage, side)
  const { view } = way
  const exposure = exposureOf(scene, side, view)
  const delta = new Float64Array(BANDS)
  let at: AtDistance | null = null
  return (finish, distanceM) => {
    if (at?.distanceM !== distanceM) at = viewAt(view, distanceM)
    const { fade, behind, weights, adapted, blur2 } = at
    const colour = (s: Spectrum) =>
      watcher === 'fish' ? fishColour(s, behind, scene.eye, adapted.colourShare) : diverColour(s, exposure)
    const black = dot(weights.at(-1)!, view.near)
    const camera = watcher === 'camera'
    const fine = camera ? black : drawnContrast(black * resolved(SMALL_M2, blur2), adapted.light)
    const out: Seen = { distanceM, water: colour(behind), parts: {}, fine: Math.min(1, fine) }
    for (const p of finish.parts) {
      const light = lightOfPart(way, p.part)
      standsOff(delta, p.optics, light, view.near)
      let drawn = 1
      if (!camera) {
        const contrasts = weights.map(w => dot(w, delta))
        const cones = contrasts.slice(0, -1)
        const signal = Math.max(
          Math.abs(contrasts.at(-1)!) / adapted.light,
          colourDistance(cones.map(logCatch), cones.length, adapted.colour),
        )
        const c = signal * adapted.light
        // Small parts fade before the rest, as the eye loses them.
        const kept = resolved(p.areaM2 * Math.max(0.1, light.shows), blur2)
        drawn = drawnContrast(c * kept, adapted.light) / Math.max(1e-9, c)
      }
      out.parts[p.part] = colour(delta.map((d, i) => Math.max(0, behind[i]! + d * fade[i]! * drawn)))
    }
    return out
  }
}
