import { finishById } from '#core/lure/finish'
import type { PlanRecord, Rod } from '#shared/schema/record'
import type { Kept } from '~/records/store'
import type { RigOrder } from './work'

/** Most rods in a boat here. */
export const MOST_RODS = 3

/** What a plan ties on at a minute of its day; held where an angler set its hour. */
export interface RigChange {
  finishId: string
  atMin: number
  held: boolean
}
/** A rod as it is to be rigged: what lies by the reel, and what a plan ties on after it. */
export interface RigRod {
  rod: Rod
  changes: RigChange[]
}

/** The newest kept plan for a date. */
export const planFor = (plans: readonly Kept<'plan'>[], date: string): Kept<'plan'> | null =>
  plans.filter(p => p.body.asked.date === date).reduce<Kept<'plan'> | null>((a, b) => (a && a.at > b.at ? a : b), null)

const rodOf = (finishId: string): Rod | null => {
  const finish = finishById(finishId)
  return finish && { lure: finish.lure, finishId }
}

/** The rods of a plan at a minute of its day: what is on each then, and its next change; of an older plan its pack. */
export function rodsOfPlan({ spells, pack, pins = [] }: PlanRecord, nowMin: number): RigRod[] {
  if (!spells.length)
    return pack
      .flatMap(id => rodOf(id) ?? [])
      .slice(0, MOST_RODS)
      .map(rod => ({ rod, changes: [] }))
  const lanes = [...new Set(spells.map(s => s.lane))].sort((a, b) => a - b).slice(0, MOST_RODS)
  return lanes.flatMap((lane): RigRod[] => {
    const mine = spells.filter(s => s.lane === lane).sort((a, b) => a.fromMin - b.fromMin)
    const at = Math.max(
      0,
      mine.findLastIndex(s => s.fromMin <= nowMin),
    )
    const rod = rodOf(mine[at]!.finishId)
    const changes = mine.slice(at + 1).map(({ finishId, fromMin }) => ({
      finishId,
      atMin: fromMin,
      held: pins.some(p => p.lane === lane && p.atMin === fromMin && p.after === finishId),
    }))
    return rod ? [{ rod, changes }] : []
  })
}

/** What lies on a rod in the place of a finish that is not in the box, and what that costs, points of 100. */
export interface Stand {
  finishId: string
  /** The finish that was advised; null where it is the one. */
  insteadOf: string | null
  same: boolean
  costs: number
}

/**
 * The finish to tie on of those owned: the one advised, else one that looks the same to the fish, else the best owned
 * with the points it costs. With none owned of the lure, the one advised.
 */
export function standIn(
  advised: string,
  { order, looks }: Pick<RigOrder, 'order' | 'looks'>,
  owned: ReadonlySet<string>,
): Stand {
  const mine = order.filter(o => owned.has(o.finishId))
  if (owned.has(advised) || !mine.length) return { finishId: advised, insteadOf: null, same: true, costs: 0 }
  const look = looks.find(group => group.includes(advised)) ?? []
  const alike = mine.find(o => look.includes(o.finishId))
  const points = order.find(o => o.finishId === advised)?.points ?? 0
  const chosen = alike ?? mine[0]!
  return { finishId: chosen.finishId, insteadOf: advised, same: !!alike, costs: Math.max(0, points - chosen.points) }
}

/** A finish in a rod's drawer. */
export interface DrawnRig {
  finishId: string
  owned: boolean
  /** Points of 100 that it costs beside the first. */
  costs: number
  /** The fish cannot tell it from what is on the rod. */
  same: boolean
}
/** What may be tied on instead, owned first, both in today's order. */
export function drawerOf(
  { order, looks }: Pick<RigOrder, 'order' | 'looks'>,
  owned: ReadonlySet<string>,
  on: string,
): DrawnRig[] {
  const best = order[0]?.points ?? 0
  const look = looks.find(group => group.includes(on)) ?? []
  const all = order.map(o => ({
    finishId: o.finishId,
    owned: owned.has(o.finishId),
    costs: best - o.points,
    same: o.finishId !== on && look.includes(o.finishId),
  }))
  return [...all.filter(d => d.owned), ...all.filter(d => !d.owned)]
}
