import { type OwnLure, ownFinish } from '#core/box/own'
import type { Finish } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { painter, type Seen } from '#core/picture/underWater'
import { placesOf } from '#core/ranking/closeCall'
import type { Judged } from '#core/ranking/judge'
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
  const { moment, judge, prey, ranked } = rank(requestFor(request, lure, fishM))
  const wears = new Map<Finish, string[]>()
  for (const o of owned) {
    const finish = ownFinish(o)
    if (finish) wears.set(finish, [...(wears.get(finish) ?? []), o.id])
  }
  const listed = new Map(ranked.map(j => [j.finish, j]))
  const mine: Judged[] = [...wears.keys()].map(f => listed.get(f) ?? judge.judge(measure(f, moment.scene, prey)))
  const others = ranked.filter(j => !wears.has(j.finish))
  const all = [...mine, ...others].sort((a, b) => b.score - a.score || (a.finish.id < b.finish.id ? -1 : 1))
  const places = placesOf(all)
  const paint = painter(moment.scene, 'level', 'diver')
  mine.sort((a, b) => b.score - a.score || (a.finish.id < b.finish.id ? -1 : 1))
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
      place: places[all.indexOf(j)]!,
      sightM: j.sight.level.sightM,
      seen: paint(j.finish, fishM),
      look: looks.findIndex(g => g.includes(j)),
    })),
    sameFromM: Object.fromEntries(shared.map(({ look }, i) => [look, from[i]!])),
    best: others[0] ? { finishId: others[0].finish.id, score: others[0].score } : null,
  }
}

/** How far apart all finishes of a lure and the box are to the fish, in just-noticeable differences. */
export function apartOf(request: Request, lure: LureId, owned: readonly OwnLure[], fishM: number) {
  const { moment, prey, ranked } = rank(requestFor(request, lure, fishM))
  const own = owned.map(ownFinish).filter(f => f !== null)
  const extra = [...new Set(own)].filter(f => !ranked.some(j => j.finish === f))
  const all = [...ranked, ...extra.map(f => measure(f, moment.scene, prey))]
  return { finishIds: all.map(m => m.finish.id), apart: all.map(a => all.map(b => apartJnd(a, b))) }
}
