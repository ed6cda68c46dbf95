import { type OwnLure, ownFinish, ownFinishes } from '#core/box/own'
import type { Finish } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { painter, type Seen } from '#core/picture/underWater'
import { rank } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { resolve } from '#core/request/resolve'
import { looksOf } from '#core/sight/likeness'
import { apartJnd, measure, preyLooks } from '#core/sight/measure'
import { buildScene } from '#core/sight/scene'

/** A finish of the box in today's water. */
export interface TrayFinish {
  /** Ids of the box's lures that wear it. */
  ids: string[]
  finishId: string
  score: number
  /** Its place among the whole catalogue and the box. */
  place: number
  sightM: number
  seen: Seen
  /** Finishes of the box that the fish cannot tell from one another share a look. */
  look: number
}
/** Lures of one type in today's water. */
export interface TrayLures {
  lure: LureId
  depthM: number
  finishes: TrayFinish[]
  /** For each look that more than one shares: from how far off they are the same, m; 0 at any distance. */
  sameFromM: Record<number, number>
  /** Not in the box, and the best there is. */
  best: { finishId: string; score: number } | null
}

/** Distances at which look-alikes are looked at again, m. */
const LADDER_M = [0.1, 0.2, 0.35, 0.6, 1, 1.6, 2.5, 4, 6.5]

const requestFor = (request: Request, lure: LureId, fishM: number): Request => {
  const { depthM: _, limit: _l, ...asked } = request
  return { ...asked, lure, fishM }
}

/** From which rung of the ladder on finishes are the same to the fish, for each group. */
function sameFrom(request: Request, lure: LureId, groups: readonly (readonly Finish[])[]): number[] {
  const from = groups.map(() => LADDER_M.length)
  for (let rung = LADDER_M.length - 1; rung >= 0; rung--) {
    const open = groups.flatMap((_, g) => (from[g] === rung + 1 ? [g] : []))
    if (!open.length) break
    const conditions = resolve(requestFor(request, lure, LADDER_M[rung]!))
    const scene = buildScene(conditions.scene)
    const prey = preyLooks(scene, [])
    for (const g of open) {
      const [first, ...rest] = groups[g]!.map(f => measure(f, scene, prey))
      if (rest.every(m => apartJnd(first!, m) < 1)) from[g] = rung
    }
  }
  return from.map(rung => (rung === 0 ? 0 : (LADDER_M[rung] ?? LADDER_M.at(-1)!)))
}

/** The box's lures of one type in today's water, at a distance: how each looks, and which look alike. */
export function trayOf(request: Request, lure: LureId, owned: readonly OwnLure[], fishM: number): TrayLures {
  const wears = new Map<Finish, string[]>()
  for (const o of owned) {
    const finish = ownFinish(o)
    if (finish) wears.set(finish, [...(wears.get(finish) ?? []), o.id])
  }
  const { moment, ranked, places } = rank(requestFor(request, lure, fishM), [...wears.keys()])
  const mine = ranked.filter(j => wears.has(j.finish))
  const best = ranked.find(j => !wears.has(j.finish))
  const paint = painter(moment.scene, 'level', 'diver')
  const looks = looksOf(mine)
  const shared = looks.flatMap((group, look) => (group.length > 1 ? [{ group, look }] : []))
  const from = sameFrom(
    request,
    lure,
    shared.map(s => s.group.map(m => m.finish)),
  )
  return {
    lure,
    depthM: moment.conditions.depthM,
    finishes: mine.map(j => ({
      ids: wears.get(j.finish)!,
      finishId: j.finish.id,
      score: j.score,
      place: places[ranked.indexOf(j)]!,
      sightM: j.sight.level.sightM,
      seen: paint(j.finish, fishM),
      look: looks.findIndex(g => g.includes(j)),
    })),
    sameFromM: Object.fromEntries(shared.map(({ look }, i) => [look, from[i]!])),
    best: best ? { finishId: best.finish.id, score: best.score } : null,
  }
}

/** How far apart all finishes of a lure and the box are to the fish, in just-noticeable differences. */
export function apartOf(request: Request, lure: LureId, owned: readonly OwnLure[], fishM: number) {
  const { ranked } = rank(requestFor(request, lure, fishM), ownFinishes(owned))
  return { finishIds: ranked.map(m => m.finish.id), apart: ranked.map(a => ranked.map(b => apartJnd(a, b))) }
}
