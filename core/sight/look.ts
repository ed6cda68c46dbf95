import type { LightField } from '#core/light-field/lightField'
import type { Finish, FinishPart } from '#core/lure/finish'
import { type LureId, SIDES, type Side } from '#core/lure/types'
import type { Coat } from '#core/paintwork/coat'
import type { Part } from '#core/paintwork/parts'
import { lightnessThreshold, resolved } from '#core/sight/contrast'
import { type PartLight, partLights, radianceOf } from '#core/sight/radiance'
import { Rangefinder } from '#core/sight/range'
import { BITE_ROW, FISH_ROW, type View } from '#core/sight/view'
import { BANDS } from '#core/spectrum/grid'

/** What one side of a finish does to the eye. */
export interface SideSight {
  /** First distance at which anything shows, m. */
  sightM: number
  /** Distance within which colour as such can be told, m; 0 where it never can. */
  colourM: number
  /**
   * Mean lightness contrast over the parts at biting distance and at the fish (Weber; negative is darker than behind
   * it).
   */
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
/** Lightness is compressed for things brighter than the background, straight for darker ones. */
const LIGHTNESS_BASE = 0.3
/** Typical size of a speck of flake or a stripe's edge, m. */
const SPECK_M = 0.0009
/** A part that takes less of a side than this makes no edge with another. */
const EDGE_SHARE = 0.08

/** What one coat on one part looks like from one side; the same for every finish that wears it there. */
type PartLook = Pick<SideSight, 'sightM' | 'colourM' | 'contrastFish' | 'contrastBite' | 'fish' | 'bite'>

/** A side of the stage: the view, the light on each part, and the looks of the coats already seen there. */
interface StageSide {
  view: View
  finder: Rangefinder
  lights: Partial<Record<Part, PartLight>>
  looks: Partial<Record<Part, Map<Coat, PartLook>>>
}

/** All that the finishes of one lure type share in a scene. */
export interface Stage {
  views: Record<Side, View>
  sides: Record<Side, StageSide>
}

export function prepareStage(lure: LureId, field: LightField, views: Record<Side, View>, acuityRad: number): Stage {
  const side = (s: Side): StageSide => ({
    view: views[s],
    finder: new Rangefinder(views[s], acuityRad),
    lights: partLights(lure, field, views[s]),
    looks: {},
  })
  return { views, sides: Object.fromEntries(SIDES.map(s => [s, side(s)])) as Record<Side, StageSide> }
}

/** The light on a part of the lure as one side sees it. */
export const lightOfPart = (stage: Stage, side: Side, part: Part): PartLight => stage.sides[side].lights[part]!

/** Axes of the eye's space per part: lightness, texture, and one per cone class less one. */
const axesPerPart = (receptors: number) => 2 + (receptors - 2)

/** Put the aimed part's position in the eye's space at a row's distance into `out`; returns its lightness contrast. */
function place(
  out: number[],
  texture: number,
  light: PartLight,
  finder: Rangefinder,
  row: number,
  acuityRad: number,
): number {
  finder.look(row)
  const { view, contrast, logs } = finder
  const cones = view.receptors - 1
  // In the mesopic range lightness is carried by whichever of cones and rods sees better.
  const c = view.seen.cone <= view.seen.rod ? contrast[cones - 1]! : contrast[cones]!
  const least = lightnessThreshold(view)
  out[0] = Math.log((Math.max(0, 1 + c) + LIGHTNESS_BASE) / (1 + LIGHTNESS_BASE)) / least
  if (texture > 0) {
    const d = view.rangesM[row]!
    const told = resolved(SPECK_M ** 2, (d * acuityRad) ** 2)
    out[1] = (texture * light.lightOverBehind * Math.exp(-view.meanLoss * d) * told) / least
  }
  // Orthonormal axes of the plane of equal lightness, so that distances in it are the receptor-noise distances.
  out[2] = (logs[1]! - logs[0]!) / Math.SQRT2 / view.seen.colour
  if (cones === 3) out[3] = ((logs[2]! - (logs[0]! + logs[1]! + logs[2]!) / 3) * Math.sqrt(1.5)) / view.seen.colour
  return c
}

function lookAtPart(p: FinishPart, light: PartLight, finder: Rangefinder, acuityRad: number): PartLook {
  const { view, delta } = finder
  radianceOf(delta, p.optics, light, view.near)
  for (let i = 0; i < BANDS; i++) delta[i]! -= view.near[i]!
  // A sliver of a part does not show as far as its full height would.
  finder.aim((p.mm / 1000) ** 2 * light.shows)
  const axes = axesPerPart(view.receptors)
  // Plain arrays: for a handful of numbers they are made several times faster than typed ones.
  const fish = new Array<number>(axes).fill(0)
  const bite = new Array<number>(axes).fill(0)
  const contrastBite = place(bite, p.texture, light, finder, BITE_ROW, acuityRad)
  finder.weigh(view.rangesM[BITE_ROW]!)
  const { any, colour } = finder
  return {
    sightM: finder.sightM(any),
    colourM: finder.colourM(colour),
    contrastFish: place(fish, p.texture, light, finder, FISH_ROW, acuityRad),
    contrastBite,
    fish,
    bite,
  }
}

function rememberedLook(p: FinishPart, side: StageSide, acuityRad: number): PartLook {
  const looks = (side.looks[p.part] ??= new Map())
  let seen = looks.get(p.coat)
  if (!seen) looks.set(p.coat, (seen = lookAtPart(p, side.lights[p.part]!, side.finder, acuityRad)))
  return seen
}

/** What a finish looks like from one side. */
function lookFrom(finish: Finish, side: StageSide): SideSight {
  const { view, lights } = side
  const axes = axesPerPart(view.receptors)
  const out: SideSight = {
    sightM: LEAST_RANGE_M,
    colourM: 0,
    contrastBite: 0,
    contrastFish: 0,
    internalJnd: 0,
    colourJnd: 0,
    fish: new Array<number>(finish.parts.length * axes).fill(0),
    bite: new Array<number>(finish.parts.length * axes).fill(0),
  }
  let total = 0
  for (const p of finish.parts) total += p.share * lights[p.part]!.shows
  let lightest = -Infinity
  let darkest = Infinity
  for (let n = 0; n < finish.parts.length; n++) {
    const p = finish.parts[n]!
    const share = total > 0 ? (p.share * lights[p.part]!.shows) / total : 0
    if (share <= 0) continue
    const seen = rememberedLook(p, side, view.eye.acuityRad)
    out.sightM = Math.max(out.sightM, seen.sightM)
    out.colourM = Math.max(out.colourM, seen.colourM)
    out.contrastFish += share * seen.contrastFish
    out.contrastBite += share * seen.contrastBite
    if (share > EDGE_SHARE) {
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
export function look(finish: Finish, { sides }: Stage): Sight {
  return {
    level: lookFrom(finish, sides.level),
    below: lookFrom(finish, sides.below),
    above: lookFrom(finish, sides.above),
  }
}

/** Distance between two places in the eye's space, in just-noticeable differences. */
export function jndBetween(a: readonly number[], b: readonly number[]): number {
  let s = 0
  for (let i = 0; i < a.length; i++) s += (a[i]! - b[i]!) ** 2
  return Math.sqrt(s)
}
