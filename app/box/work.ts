import { mapOf, type ThingMap } from '#core/box/map'
import { type OwnLure, hasOwnCoats, ownFinish, ownFinishes } from '#core/box/own'
import { apartOf, trayOf } from '#core/box/tray'
import { type KitAnswer, type KitProgress, kitSteps } from '#core/kit/kit'
import { type SampleAsk, sampleScenes } from '#core/kit/sample'
import { type KitScene, type SceneScores, scoreScene } from '#core/kit/scenes'
import { finishById } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { uniformFrom } from '#core/numeric/uniform'
import { rank } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { apartJnd, measure } from '#core/sight/measure'
import { type SeenOut, seenOut } from '~/water/seen'
import { withLight } from '~/common/withLight'

/** A finish of the tray as it is drawn. */
export interface TrayTileShown {
  ids: string[]
  finishId: string
  score: number
  place: number
  sightM: number
  seen: SeenOut
  look: number
}
export interface TrayShown {
  lure: LureId
  depthM: number
  finishes: TrayTileShown[]
  sameFromM: Record<number, number>
  best: { finishId: string; score: number } | null
}
export type MapShown = ThingMap & { finishIds: string[] }
/** What of the box is the same as a finish, in how many of a hundred scenes. */
export interface SameShown {
  id: string
  of100: number
}

/** Lures of one type in the box, for a moment. */
export interface LookAsk {
  request: Request
  lure: LureId
  owned: OwnLure[]
  fishM: number
}
export type KitStep = { progress: KitProgress } | { answer: KitAnswer }

/** A kit goes on for so long before whoever waits is told how far it is, ms. */
const KIT_MS = 120

function tray({ request, lure, owned, fishM }: LookAsk): TrayShown {
  const tray = trayOf(request, lure, owned, fishM)
  return {
    ...tray,
    finishes: tray.finishes.map(f => ({
      ...f,
      seen: seenOut(f.seen, f.sightM),
    })),
  }
}

let kit: Generator<KitProgress, KitAnswer> | null = null
const extraOf = (owned: readonly OwnLure[]) => ownFinishes(owned.filter(hasOwnCoats))

interface KitAsk {
  scored: SceneScores[]
  owned: OwnLure[]
  most: number
  keep: string[]
  drop: string[]
}
function beginKit({ scored, owned, most, keep, drop }: KitAsk): KitStep {
  const ids = [...new Set(owned.flatMap(o => ownFinish(o)?.id ?? []))]
  kit = kitSteps(scored, { owned: ids, sizes: [1, most], keep, drop, extra: extraOf(owned) })
  return goOnWithKit()
}
function goOnWithKit(): KitStep {
  const began = performance.now()
  for (;;) {
    const { done, value } = kit!.next()
    if (done) {
      kit = null
      return { answer: value }
    }
    if (performance.now() - began > KIT_MS) return { progress: value }
  }
}

/** In how many scenes the fish takes each lure of the box for a finish, oftenest first. */
function same({ scenes, finishId, owned }: { scenes: KitScene[]; finishId: string; owned: OwnLure[] }): SameShown[] {
  const finish = finishById(finishId)!
  const mine = owned.filter(o => o.lure === finish.lure && ownFinish(o)?.id !== finishId)
  const counts = new Map(mine.map(o => [o.id, 0]))
  for (const scene of scenes) {
    const { moment, prey } = rank(scene)
    const it = measure(finish, moment.scene, prey)
    for (const o of mine) {
      const m = measure(ownFinish(o)!, moment.scene, prey)
      if (apartJnd(it, m) < 1) counts.set(o.id, counts.get(o.id)! + 1)
    }
  }
  return [...counts]
    .map(([id, n]) => ({ id, of100: Math.round((100 * n) / Math.max(1, scenes.length)) }))
    .sort((a, b) => b.of100 - a.of100)
}

function map({ request, lure, owned, fishM }: LookAsk): MapShown {
  const { finishIds, apart } = apartOf(request, lure, owned, fishM)
  return { finishIds, ...mapOf(apart) }
}

function score({ scenes, owned }: { scenes: KitScene[]; owned: OwnLure[] }): SceneScores[] {
  const extra = extraOf(owned)
  return scenes.map(s => scoreScene(s, extra))
}

/** What the box's worker offers. A kit is begun, and gone on with until it is there. */
export const boxApi = {
  tray: withLight(tray),
  map: withLight(map),
  sample: withLight((ask: SampleAsk, seed: number): KitScene[] => sampleScenes(ask, uniformFrom(seed))),
  score: withLight(score),
  beginKit: withLight(beginKit),
  goOnWithKit: withLight(goOnWithKit),
  same: withLight(same),
}
