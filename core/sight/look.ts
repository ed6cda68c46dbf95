import { type Eye, colourDistance } from '#core/eye/eye'
import type { LightField } from '#core/field/lightField'
import type { Coat, CoatOptics } from '#core/finish/coat'
import type { Finish, FinishPart } from '#core/finish/finish'
import { type LureId, SIDES, type Side, lureType } from '#core/finish/lures'
import type { Part } from '#core/finish/parts'
import { facing, lightOn, mirroredBy } from '#core/sight/facing'
import { BITE_ROW, FISH_ROW, RANGE_STEPS, type View } from '#core/sight/view'
import { luminanceOfQuanta } from '#core/spectrum/colour'
import { BANDS, type Spectrum, dot } from '#core/spectrum/grid'

/** What one side of a finish does to the eye. */
export interface SideSight {
  /** First distance at which anything shows, m. */
  sightM: number
  /** Distance within which colour as such can be told, m; 0 where it never can. */
  colourM: number
  /** Mean lightness contrast over the parts at biting distance and at the fish (Weber; negative is darker than behind it). */
  contrastBite: number
  contrastFish: number
  /** Largest difference in lightness between two parts at the fish, in just-noticeable differences. */
  internalJnd: number
  /** Mean colour distance from the background at the fish, in just-noticeable differences. */
  colourJnd: number
  /** Position in the eye's space at the fish and at biting distance, axes in just-noticeable differences. */
  fish: number[]
  bite: number[]
}

export type Sight = Record<Side, SideSight>

/** No lure is invisible in the fish's own mouth: the least range reported, m. */
const LEAST_RANGE_M = 0.02
/** Dark light of a receptor as a share of its adapted catch: below this, dark things look equally dark. */
const DARK_LIGHT = 0.05
/** Lightness is compressed for things brighter than the background, straight for darker ones. */
const LIGHTNESS_BASE = 0.3
/** Typical size of a speck of flake or a stripe's edge, m. */
const SPECK_M = 0.0009

/** Light and mirror images for every part of a lure type from every side: shared by all its finishes. */
interface PartLight { irradiance: Spectrum, image: Spectrum, shows: number, lightOverBehind: number }

export interface Stage {
  views: Record<Side, View>
  /** Per side and part: its light, and the looks of the coats already seen there. */
  lights: Record<Side, Partial<Record<Part, { light: PartLight, looks: Map<Coat, PartLook> }>>>
  eye: Eye
}

/** Prepare all that the finishes of one lure type share in a scene. */
export function prepareStage(lure: LureId, field: LightField, views: Record<Side, View>, eye: Eye): Stage {
  const lights = {} as Stage['lights']
  for (const side of SIDES) {
    lights[side] = {}
    const behind = luminanceOfQuanta(views[side].near)
    for (const part of Object.keys(lureType(lure).parts) as Part[]) {
      const how = facing(side, part)
      const irradiance = new Float64Array(BANDS)
      const image = new Float64Array(BANDS)
      lightOn(irradiance, field, how)
      mirroredBy(image, field, side, part)
      const light = { irradiance, image, shows: how.shows, lightOverBehind: luminanceOfQuanta(irradiance) / Math.PI / Math.max(1e-300, behind) }
      lights[side][part] = { light, looks: new Map() }
    }
  }
  return { views, lights, eye }
}

const delta = new Float64Array(BANDS)
/** Contrast per receptor of the part in `delta` at one row; cones short to long, then the rods. */
const contrast = new Float64Array(5)
const logs = new Float64Array(4)
/** Signals of the part in `delta` at the range steps already worked out; NaN where not. */
const anySignal = new Float64Array(RANGE_STEPS)
const tintSignal = new Float64Array(RANGE_STEPS)

/** Radiance of a part into `out` (light-model section 4): diffuse, mirrored, passed through from behind, and glow. */
function fillRadiance(out: Spectrum, o: CoatOptics, light: PartLight, near: Spectrum): void {
  for (let i = 0; i < BANDS; i++) out[i] = o.reflect[i]! * light.irradiance[i]! / Math.PI + o.mirror[i]! * light.image[i]! + o.transmit[i]! * near[i]!
  if (!o.glow) return
  const glow = o.glow.efficiency * dot(o.glow.absorb, light.irradiance) / Math.PI
  for (let i = 0; i < BANDS; i++) out[i]! += glow * o.glow.emit[i]!
}

/** Radiance of a part of a finish as it leaves the lure towards one side. */
export function radianceOf(out: Spectrum, part: FinishPart, stage: Stage, side: Side): void {
  fillRadiance(out, part.optics, stage.lights[side][part.part]!.light, stage.views[side].near)
}

/** The same minus what is behind it, into the shared buffer. */
function radianceDelta(o: CoatOptics, light: PartLight, view: View): void {
  fillRadiance(delta, o, light, view.near)
  for (let i = 0; i < BANDS; i++) delta[i]! -= view.near[i]!
}

/** Contrast of the buffered difference in each receptor at a row of the view, into the shared buffer. */
function contrastsAt(view: View, row: number): void {
  const w = view.weights
  const d = delta
  let at = row * view.receptors * BANDS
  for (let n = 0; n < view.receptors; n++) {
    // Four sums at once: a single running sum would wait for itself at every step.
    let c0 = w[at + 28]! * d[28]!, c1 = w[at + 29]! * d[29]!, c2 = w[at + 30]! * d[30]!, c3 = 0
    for (let i = 0; i < 28; i += 4) {
      c0 += w[at + i]! * d[i]!
      c1 += w[at + i + 1]! * d[i + 1]!
      c2 += w[at + i + 2]! * d[i + 2]!
      c3 += w[at + i + 3]! * d[i + 3]!
    }
    contrast[n] = c0 + c1 + c2 + c3
    at += BANDS
  }
}

/** Logarithms of the cone catches over the background's, dark light included, into the shared buffer. */
function logCatches(view: View): void {
  for (let n = 0; n < view.receptors - 1; n++) logs[n] = Math.log((Math.max(0, 1 + contrast[n]!) + DARK_LIGHT) / (1 + DARK_LIGHT))
}

/** How plainly the part shows where its contrasts were last taken, 1 at threshold: by lightness or colour, and by colour alone. */
const plain = { any: 0, tint: 0 }

/** Fill `plain` from the contrasts in the shared buffer, at their distance. */
function weighPlainness(view: View, distanceM: number, size2: number, acuityRad: number): void {
  logCatches(view)
  const cones = view.receptors - 1
  const blur2 = (distanceM * acuityRad) ** 2
  const light = Math.max(Math.abs(contrast[cones - 1]!) / view.seen.cone, Math.abs(contrast[cones]!) / view.seen.rod) * size2 / (size2 + blur2)
  plain.tint = colourDistance(logs, cones, view.seen.colour) * size2 / (size2 + 4 * blur2)
  plain.any = Math.max(light, plain.tint)
}

/** The signals of the buffered part at a range step, remembered. */
function signalAt(view: View, k: number, size2: number, acuityRad: number): void {
  if (anySignal[k] === anySignal[k]) return
  contrastsAt(view, k)
  weighPlainness(view, view.rangesM[k]!, size2, acuityRad)
  anySignal[k] = plain.any
  tintSignal[k] = plain.tint
}

/** The range step nearest to where a signal should fall to its threshold, if it fades from `atBite` at the background's mean loss. */
function guessStep(view: View, atBite: number): number {
  const r = view.rangesM[BITE_ROW]! + Math.log(Math.max(1e-3, atBite)) / Math.max(1e-3, view.meanLoss)
  const first = view.rangesM[0]!
  if (r <= first) return 0
  return Math.min(RANGE_STEPS - 1, Math.round(Math.log(r / first) / Math.log(view.rangesM[RANGE_STEPS - 1]! / first) * (RANGE_STEPS - 1)))
}

/** Distance at which a signal falls under its threshold, m, or 0 where it never stands over it: outwards or inwards from a guess. */
function reach(signal: Float64Array, view: View, size2: number, acuityRad: number, atBite: number): number {
  let over = guessStep(view, atBite)
  signalAt(view, over, size2, acuityRad)
  while (signal[over]! < 1) {
    if (over === 0) return 0
    over--
    signalAt(view, over, size2, acuityRad)
  }
  for (;;) {
    if (over === RANGE_STEPS - 1) return view.rangesM[over]!
    signalAt(view, over + 1, size2, acuityRad)
    if (signal[over + 1]! < 1) break
    over++
  }
  // Between steps the logarithm of the signal is close to straight.
  const here = Math.log(signal[over]!)
  const t = here / Math.max(1e-12, here - Math.log(Math.max(1e-9, signal[over + 1]!)))
  return view.rangesM[over]! + t * (view.rangesM[over + 1]! - view.rangesM[over]!)
}

/** What one coat on one part looks like from one side; the same for every finish that wears it there. */
interface PartLook { sightM: number, colourM: number, contrastFish: number, contrastBite: number, fish: number[], bite: number[] }

/** Axes of the eye's space per part: lightness, texture, and one per cone class less one. */
const axesPerPart = (receptors: number) => 2 + (receptors - 2)

/** Put the buffered part's position in the eye's space at a row's distance into `out`; returns its lightness contrast. */
function place(out: number[], texture: number, light: PartLight, view: View, row: number, acuityRad: number): number {
  contrastsAt(view, row)
  const cones = view.receptors - 1
  // In the mesopic range lightness is carried by whichever of cones and rods sees better.
  const c = view.seen.cone <= view.seen.rod ? contrast[cones - 1]! : contrast[cones]!
  const least = Math.min(view.seen.cone, view.seen.rod)
  out[0] = Math.log((Math.max(0, 1 + c) + LIGHTNESS_BASE) / (1 + LIGHTNESS_BASE)) / least
  if (texture > 0) {
    const d = view.rangesM[row]!
    const resolve = SPECK_M ** 2 / (SPECK_M ** 2 + (d * acuityRad) ** 2)
    out[1] = texture * light.lightOverBehind * Math.exp(-view.meanLoss * d) * resolve / least
  }
  logCatches(view)
  // Orthonormal axes of the plane of equal lightness, so that distances in it are the receptor-noise distances.
  out[2] = (logs[1]! - logs[0]!) / Math.SQRT2 / view.seen.colour
  if (cones === 3) out[3] = (logs[2]! - (logs[0]! + logs[1]! + logs[2]!) / 3) * Math.sqrt(1.5) / view.seen.colour
  return c
}

function lookAtPart(p: FinishPart, light: PartLight, view: View, acuityRad: number): PartLook {
  radianceDelta(p.optics, light, view)
  anySignal.fill(Number.NaN)
  // A sliver of a part does not show as far as its full height would.
  const size2 = (p.mm / 1000) ** 2 * light.shows
  const axes = axesPerPart(view.receptors)
  // Plain arrays: for a handful of numbers they are made several times faster than typed ones.
  const fish = new Array<number>(axes).fill(0)
  const bite = new Array<number>(axes).fill(0)
  const contrastBite = place(bite, p.texture, light, view, BITE_ROW, acuityRad)
  weighPlainness(view, view.rangesM[BITE_ROW]!, size2, acuityRad)
  const { any, tint } = plain
  return {
    sightM: reach(anySignal, view, size2, acuityRad, any),
    colourM: reach(tintSignal, view, size2, acuityRad, tint),
    contrastFish: place(fish, p.texture, light, view, FISH_ROW, acuityRad),
    contrastBite, fish, bite,
  }
}

/** What a finish looks like from one side. */
function lookFrom(finish: Finish, stage: Stage, side: Side): SideSight {
  const view = stage.views[side]
  const axes = axesPerPart(view.receptors)
  const lights = stage.lights[side]
  const out: SideSight = {
    sightM: LEAST_RANGE_M, colourM: 0, contrastBite: 0, contrastFish: 0, internalJnd: 0, colourJnd: 0,
    fish: new Array<number>(finish.parts.length * axes).fill(0), bite: new Array<number>(finish.parts.length * axes).fill(0),
  }
  let total = 0
  for (const p of finish.parts) total += p.share * lights[p.part]!.light.shows
  let lightest = -Infinity, darkest = Infinity
  for (let n = 0; n < finish.parts.length; n++) {
    const p = finish.parts[n]!
    const { light, looks } = lights[p.part]!
    const share = total > 0 ? p.share * light.shows / total : 0
    if (share <= 0) continue
    let seen = looks.get(p.coat)
    if (!seen) looks.set(p.coat, seen = lookAtPart(p, light, view, stage.eye.acuityRad))
    out.sightM = Math.max(out.sightM, seen.sightM)
    out.colourM = Math.max(out.colourM, seen.colourM)
    out.contrastFish += share * seen.contrastFish
    out.contrastBite += share * seen.contrastBite
    if (share > 0.08) {
      lightest = Math.max(lightest, seen.fish[0]!)
      darkest = Math.min(darkest, seen.fish[0]!)
    }
    out.colourJnd += share * Math.hypot(seen.fish[2]!, seen.fish[3] ?? 0)
    const w = Math.sqrt(share)
    for (let a = 0; a < axes; a++) {
      out.fish[n * axes + a] = w * seen.fish[a]!
      out.bite[n * axes + a] = w * seen.bite[a]!
    }
  }
  out.internalJnd = lightest > darkest ? lightest - darkest : 0
  return out
}

/** What a finish looks like from all three sides. */
export function look(finish: Finish, stage: Stage): Sight {
  return { level: lookFrom(finish, stage, 'level'), below: lookFrom(finish, stage, 'below'), above: lookFrom(finish, stage, 'above') }
}

/** Distance between two places in the eye's space, in just-noticeable differences. */
export function jndBetween(a: readonly number[], b: readonly number[]): number {
  let s = 0
  for (let i = 0; i < a.length; i++) s += (a[i]! - b[i]!) ** 2
  return Math.sqrt(s)
}
