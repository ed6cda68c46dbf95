import { HEADINGS, type Heading, type LightField } from '#core/light-field/lightField'
import type { Finish, FinishPart } from '#core/lure/finish'
import type { LureId, Side } from '#core/lure/types'
import { numbers } from '#core/numeric/numbers'
import type { Coat } from '#core/paintwork/coat'
import type { Part } from '#core/paintwork/parts'
import { blurM, resolved } from '#core/sight/contrast'
import { type PartLight, partLights, standsOff } from '#core/sight/radiance'
import { Rangefinder } from '#core/sight/range'
import { BITE_ROW, FISH_ROW, NEAREST_M, type View, type Way } from '#core/sight/view'

/** What a finish does to the eye when it is looked at one way. */
export interface WaySight {
  /** First distance at which anything shows, m. */
  sightM: number
  /** Distance within which colour as such can be told, m; 0 where it never can. */
  colourM: number
  /** Mean lightness contrast over the parts at biting distance (Weber; negative is darker than behind it). */
  contrastBite: number
  /** Largest difference in lightness between two parts at the fish, in just-noticeable differences. */
  internalJnd: number
}

/** What one side of a finish does to the eye. */
export interface SideSight extends WaySight {
  /** Position in the eye's space at the fish and at biting distance, axes in just-noticeable differences. */
  fish: number[]
  bite: number[]
}

/** From each side; level is the mean over the ways a fish may look there, which `headings` has one by one. */
export type Sight = Record<Side, SideSight> & { headings: Record<Heading, WaySight> }

/** Lightness is compressed for things brighter than the background, straight for darker ones. */
const LIGHTNESS_BASE = 0.3
/** Typical size of a speck of flake or a stripe's edge, m. */
const SPECK_M = 0.0009
/** A part that takes less of a side than this makes no edge with another. */
const EDGE_SHARE = 0.08

/** What one coat on one part looks like from one side; the same for every finish that wears it there. */
type PartLook = Omit<SideSight, 'internalJnd'>

/** One way of looking on the stage: the view, the light on each part, and the looks of the coats already seen there. */
interface StageWay {
  view: View
  finder: Rangefinder
  lights: Partial<Record<Part, PartLight>>
  looks: Partial<Record<Part, Map<Coat, PartLook>>>
}

/** All that the finishes of one lure type share in a scene. */
export interface Stage {
  /** Without a beam in the light all headings look alike, and are one and the same. */
  ways: Readonly<Record<Way, StageWay>>
  /** How often the fish looks each way when it looks level; they sum to 1. */
  headings: Readonly<Record<Heading, number>>
  /** The way it looks most when it looks level. */
  usual: Heading
}

/** The ways of looking, each prepared when it is first looked that way: many lures are never seen from some side. */
class Ways implements Record<Way, StageWay> {
  private readonly made: Partial<Record<Way, StageWay>> = {}
  constructor(private readonly make: (way: Way) => StageWay) {}
  private of(way: Way): StageWay {
    return (this.made[way] ??= this.make(way))
  }
  get toward() {
    return this.of('toward')
  }
  get across() {
    return this.of('across')
  }
  get away() {
    return this.of('away')
  }
  get below() {
    return this.of('below')
  }
  get above() {
    return this.of('above')
  }
}

/** @param beamed whether there is a beam in the light: without one all headings are alike */
export function prepareStage(
  lure: LureId,
  field: LightField,
  view: (way: Way) => View,
  beamed: boolean,
  headings: Readonly<Record<Heading, number>>,
): Stage {
  const ways: Ways = new Ways(way => {
    if (!beamed && (way === 'toward' || way === 'away')) return ways.across
    const seen = view(way)
    return { view: seen, finder: new Rangefinder(seen), lights: partLights(lure, field, seen), looks: {} }
  })
  const usual = HEADINGS.reduce((most, h) => (headings[h] > headings[most] ? h : most), 'across' as Heading)
  return { ways, headings, usual }
}

/** The way of looking that stands for a side: level, the one the fish looks most. */
export const wayOf = (stage: Stage, side: Side): StageWay => stage.ways[side === 'level' ? stage.usual : side]
/** The light on a part of the lure seen one way. */
export const lightOfPart = (way: StageWay, part: Part): PartLight => way.lights[part]!

/** Axes of the eye's space per part: lightness, texture, and one per cone class less one. */
const axesPerPart = (receptors: number) => 2 + (receptors - 2)

/** Put the aimed part's position in the eye's space at a row's distance into `out`; returns its lightness contrast. */
function place(out: number[], texture: number, light: PartLight, finder: Rangefinder, row: number): number {
  finder.look(row)
  const { view, contrast, logs } = finder
  const cones = view.receptors - 1
  const seen = view.adaptedAt(row)
  const c = contrast[cones]!
  out[0] = Math.log((Math.max(0, 1 + c) + LIGHTNESS_BASE) / (1 + LIGHTNESS_BASE)) / seen.light
  out[1] = 0
  if (texture > 0) {
    const d = view.rangesM[row]!
    const told = resolved(SPECK_M ** 2, blurM(view.eye, seen, d) ** 2)
    out[1] = (texture * light.lightOverBehind * Math.exp(-view.meanLoss * d) * told) / seen.light
  }
  // Orthonormal axes of the plane of equal lightness, so that distances in it are the receptor-noise distances.
  out[2] = (logs[1]! - logs[0]!) / Math.SQRT2 / seen.colour
  if (cones === 3) out[3] = ((logs[2]! - (logs[0]! + logs[1]! + logs[2]!) / 3) * Math.sqrt(1.5)) / seen.colour
  return c
}

function lookAtPart(p: FinishPart, light: PartLight, finder: Rangefinder): PartLook {
  const { view, delta } = finder
  standsOff(delta, p.optics, light, view.near)
  // A sliver of a part does not show as far as the whole of it would.
  finder.aim(p.areaM2 * light.shows)
  const axes = axesPerPart(view.receptors)
  const fish = numbers(axes, 0)
  const bite = numbers(axes, 0)
  place(fish, p.texture, light, finder, FISH_ROW)
  const contrastBite = place(bite, p.texture, light, finder, BITE_ROW)
  finder.weigh(BITE_ROW)
  const { any, colour } = finder
  return {
    sightM: Math.min(view.capM, finder.sightM(any)),
    colourM: Math.min(view.capM, finder.colourM(colour)),
    contrastBite,
    fish,
    bite,
  }
}

function rememberedLook(p: FinishPart, way: StageWay): PartLook {
  const looks = (way.looks[p.part] ??= new Map())
  let seen = looks.get(p.coat)
  if (!seen) looks.set(p.coat, (seen = lookAtPart(p, way.lights[p.part]!, way.finder)))
  return seen
}

/** Places in the eye's space at the fish and at biting distance, one part after the other. */
interface Places {
  fish: number[]
  bite: number[]
}
const placesFor = (count: number): Places => ({ fish: numbers(count, 0), bite: numbers(count, 0) })

/** How much of a finish shows one way, in the shares of its parts. */
function shownOf({ parts }: Finish, { lights }: StageWay): number {
  let total = 0
  for (const p of parts) total += p.share * lights[p.part]!.shows
  return total
}

/**
 * What a finish looks like one way; its places in the eye's space are written to `places` from `at` on, times `root`.
 */
function lookFrom(finish: Finish, way: StageWay, places: Places | null, at: number, root: number): WaySight {
  const { view, lights } = way
  const axes = axesPerPart(view.receptors)
  let sightM = Math.min(NEAREST_M, view.capM)
  let colourM = 0
  let contrastBite = 0
  const total = shownOf(finish, way)
  let lightest = -Infinity
  let darkest = Infinity
  let next = at
  for (const p of finish.parts) {
    const share = total > 0 ? (p.share * lights[p.part]!.shows) / total : 0
    if (share > 0) {
      const seen = rememberedLook(p, way)
      if (places) {
        const w = root * Math.sqrt(share)
        for (let a = 0; a < axes; a++) {
          places.fish[next + a] = w * seen.fish[a]!
          places.bite[next + a] = w * seen.bite[a]!
        }
      }
      if (seen.sightM > sightM) sightM = seen.sightM
      if (seen.colourM > colourM) colourM = seen.colourM
      contrastBite += share * seen.contrastBite
      if (share > EDGE_SHARE) {
        if (seen.fish[0]! > lightest) lightest = seen.fish[0]!
        if (seen.fish[0]! < darkest) darkest = seen.fish[0]!
      }
    }
    next += axes
  }
  const internalJnd = lightest > darkest ? lightest - darkest : 0
  return { sightM, colourM, contrastBite, internalJnd }
}

const placesIn = (finish: Finish, way: StageWay) => finish.parts.length * axesPerPart(way.view.receptors)

const sideFrom = (finish: Finish, way: StageWay): SideSight => {
  const places = placesFor(placesIn(finish, way))
  const { sightM, colourM, contrastBite, internalJnd } = lookFrom(finish, way, places, 0, 1)
  return { sightM, colourM, contrastBite, internalJnd, ...places }
}

/** What a finish looks like level: from each heading, and the mean over those that are asked. */
function levelOf(finish: Finish, { ways, headings: shares }: Stage): Pick<Sight, 'level' | 'headings'> {
  if (ways.toward === ways.across) {
    const level = sideFrom(finish, ways.across)
    return { level, headings: { toward: level, across: level, away: level } }
  }
  // A mean of ranges and contrasts, not of radiances, since a fish looks one way at a time. Places in the eye's space
  // are set side by side, so that their distance is the root mean square of the ways' distances.
  const each = placesIn(finish, ways.across)
  let asked = 0
  for (const h of HEADINGS) if (shares[h] > 0) asked++
  const { fish, bite } = placesFor(asked * each)
  const level: SideSight = { sightM: 0, colourM: 0, contrastBite: 0, internalJnd: 0, fish, bite }
  const seenBy = (h: Heading): WaySight => {
    const share = shares[h]
    const seen = lookFrom(finish, ways[h], share > 0 ? level : null, at, Math.sqrt(share))
    if (share > 0) at += each
    level.sightM += share * seen.sightM
    level.colourM += share * seen.colourM
    level.contrastBite += share * seen.contrastBite
    level.internalJnd += share * seen.internalJnd
    return seen
  }
  let at = 0
  return { level, headings: { toward: seenBy('toward'), across: seenBy('across'), away: seenBy('away') } }
}

/** A finish on the stage; from below and from above it is looked at when that is first asked. */
class Looked implements Sight {
  readonly level: SideSight
  readonly headings: Sight['headings']
  private fromBelow: SideSight | null = null
  private fromAbove: SideSight | null = null
  constructor(
    private readonly finish: Finish,
    private readonly stage: Stage,
  ) {
    const { level, headings } = levelOf(finish, stage)
    this.level = level
    this.headings = headings
  }
  get below() {
    return (this.fromBelow ??= sideFrom(this.finish, this.stage.ways.below))
  }
  get above() {
    return (this.fromAbove ??= sideFrom(this.finish, this.stage.ways.above))
  }
}

/** What a finish looks like from all sides. */
export const look = (finish: Finish, stage: Stage): Sight => new Looked(finish, stage)

/** Where a finish stands at biting distance one way, as `lookFrom` says it, and nothing of how far it shows. */
function biteFrom(finish: Finish, way: StageWay, bite: number[], at: number, root: number): void {
  const { view, lights, finder } = way
  const total = shownOf(finish, way)
  const axes = axesPerPart(view.receptors)
  const seen = numbers(axes, 0)
  let next = at
  for (const p of finish.parts) {
    const light = lights[p.part]!
    const share = total > 0 ? (p.share * light.shows) / total : 0
    if (share > 0) {
      standsOff(finder.delta, p.optics, light, view.near)
      place(seen, p.texture, light, finder, BITE_ROW)
      const w = root * Math.sqrt(share)
      for (let a = 0; a < axes; a++) bite[next + a] = w * seen[a]!
    }
    next += axes
  }
}

/** Where a finish stands in the eye's space at biting distance, seen from a side: the same as `look` says. */
export function biteOf(finish: Finish, { ways, headings }: Stage, side: Side): number[] {
  const alike = side !== 'level' || ways.toward === ways.across
  const seen = alike ? [side === 'level' ? ('across' as const) : side] : HEADINGS.filter(h => headings[h] > 0)
  const each = placesIn(finish, ways[seen[0]!])
  const bite = numbers(seen.length * each, 0)
  seen.forEach((way, n) => biteFrom(finish, ways[way], bite, n * each, alike ? 1 : Math.sqrt(headings[way as Heading])))
  return bite
}

/** Distance between two places in the eye's space, in just-noticeable differences. */
export function jndBetween(a: readonly number[], b: readonly number[]): number {
  let s = 0
  for (let i = 0; i < a.length; i++) s += (a[i]! - b[i]!) ** 2
  return Math.sqrt(s)
}
