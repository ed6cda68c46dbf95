import { type Finish, buildFinish } from '#core/lure/finish'
import type { Family } from '#core/paintwork/families'
import { type Forage, preyCoat } from '#core/prey/forage'
import { type LureId, SIDES, type Side, lureType } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import { anglerSightM } from '#core/sight/angler'
import { flashOf } from '#core/sight/flash'
import { type Sight, biteOf, jndBetween, look } from '#core/sight/look'
import type { Scene } from '#core/sight/scene'

/** A finish with everything the optics say of it in a scene. */
export interface Measured {
  finish: Finish
  sight: Sight
  flash: number
  /** Ranges weighted by the sides this lure is seen from, m (geometric mean). */
  sightM: number
  colourM: number
  /** Likeness to the prey at biting distance, 0-1. */
  natural: number
  /** How well it melts into what is behind it at biting distance, 0-1. */
  hidden: number
  /** Largest difference in lightness between its own parts at the fish, in just-noticeable differences. */
  internalJnd: number
  /** How far across the water the angler can follow it, m; null but for surface lures. */
  anglerM: number | null
}

/** Just-noticeable differences at which likeness has fallen to 1/e. */
const LIKENESS_JND = 22
const HIDDEN_JND = 26
/** Ranges shorter than this are all as short, m. */
const LEAST_M = 0.01

/** Sides weighted by how often the lure is looked at from there. */
function bySide(lure: LureId, f: (side: Side) => number): number {
  const seen = lureType(lure).seen
  let s = 0
  for (const side of SIDES) if (seen[side] > 0) s += seen[side] * f(side)
  return s
}

const sidesOf = (lure: LureId) => SIDES.filter(side => lureType(lure).seen[side] > 0)

export interface PreyLook {
  kind: Forage
  share: number
  /** Where it stands in the eye's space at biting distance, by the sides this lure is seen from. */
  bite: Partial<Record<Side, readonly number[]>>
}

const preyFinishes = new Map<string, Finish>()

/** The prey as a finish of a lure: its coats on the lure's own parts. Made once. */
function preyFinish(lure: LureId, kind: Forage): Finish {
  const id = `${lure} ${kind}`
  let finish = preyFinishes.get(id)
  if (!finish) {
    const coats = Object.fromEntries((Object.keys(lureType(lure).parts) as Part[]).map(p => [p, preyCoat(kind, p)]))
    preyFinishes.set(id, (finish = buildFinish(lure, `prey.${kind}`, kind, coats)))
  }
  return finish
}

/** The prey drawn on this lure's parts and looked at in the same scene. */
export function preyLooks(scene: Scene, shares: readonly { kind: Forage; share: number }[]): PreyLook[] {
  const lure = scene.input.lure
  return shares
    .filter(s => s.share >= 0.03)
    .map(({ kind, share }) => {
      const finish = preyFinish(lure, kind)
      const bite: PreyLook['bite'] = {}
      for (const side of sidesOf(lure)) bite[side] = biteOf(finish, scene.stage, side)
      return { kind, share, bite }
    })
}

/** Measure one finish. */
export function measure(finish: Finish, scene: Scene, prey: readonly PreyLook[]): Measured {
  const lure = finish.lure
  const sight = look(finish, scene.stage)
  let likeness = 0
  let total = 0
  for (const p of prey) {
    total += p.share
    likeness += p.share * Math.exp(-bySide(lure, side => jndBetween(sight[side].bite, p.bite[side]!)) / LIKENESS_JND)
  }
  return {
    finish,
    sight,
    flash: flashOf(finish, scene.glitter, scene.eye, scene.stage.headings),
    sightM: Math.exp(bySide(lure, s => Math.log(Math.max(LEAST_M, sight[s].sightM)))),
    colourM: Math.exp(bySide(lure, s => Math.log(Math.max(LEAST_M, sight[s].colourM)))),
    natural: total > 0 ? likeness / total : 0,
    hidden: Math.exp(-bySide(lure, s => norm(sight[s].bite)) / HIDDEN_JND),
    internalJnd: bySide(lure, s => sight[s].internalJnd),
    anglerM: lureType(lure).surface ? anglerSightM(finish, scene) : null,
  }
}

function norm(v: readonly number[]): number {
  let s = 0
  for (let i = 0; i < v.length; i++) s += v[i]! * v[i]!
  return Math.sqrt(s)
}

/** Distance between two finishes of one lure at the fish, in just-noticeable differences. */
export function apartJnd(a: Measured, b: Measured): number {
  return bySide(a.finish.lure, side => jndBetween(a.sight[side].fish, b.sight[side].fish))
}

/** First family of a finish: what it is called by. */
export const firstFamily = (m: Measured): Family => m.finish.families[0]!
