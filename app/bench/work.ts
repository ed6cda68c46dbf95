import { hangBar, nineOf, paintBar, paintedAt } from '#core/bench/bar'
import { type Drill, drillOf } from '#core/bench/drills'
import type { Bar } from '#core/bench/order'
import type { DrillTopic } from '#core/words/drills'
import { jarsOf } from '#core/bench/jars'
import { finishById } from '#core/lure/finish'
import type { Side } from '#core/lure/types'
import { painter } from '#core/picture/underWater'
import { boatSideOf } from '#core/ranking/boatSide'
import { rank } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import type { LineId } from '#core/sight/line'
import { hex } from '#core/spectrum/colour'
import type { UnitSystem } from '#core/units'
import { say } from '#core/words/sentence'
import { withLight } from '~/common/withLight'
import { type SeenOut, seenOut } from '~/water/seen'

export type BenchWatcher = 'fish' | 'diver'
export interface BarShown {
  ids: string[]
  bar: Bar
  distancesM: number[]
  /** Each finish at each distance. */
  seen: Record<string, SeenOut[]>
}
export interface JarOut {
  discM: number
  water: string
  lures: { finishId: string; seen: SeenOut; goneM: number }[]
  lines: { id: LineId; goneM: number }[]
}
/** What the first pick should do beside the boat: in words, and where a person should lose it, m. */
export interface BoatShown {
  finishId: string
  text: string
  lostM: number | null
}
export interface DrillShown {
  drill: Drill
  /** The finishes asked about, in the hand and a foot off in that water. */
  seen: SeenOut[]
  because: string
}

export interface BarAsk {
  request: Request
  ids: string[]
  side: Side
  watcher: BenchWatcher
}
export interface JarsAsk {
  request: Request
  ids: string[]
  lines: LineId[]
  drops: number
  watcher: BenchWatcher
}
export interface DrillAsk {
  topic: DrillTopic
  seed: number
  level: number
  units: UnitSystem
}

function bar({ request, ids, side, watcher }: BarAsk): BarShown {
  const wanted = ids.filter(id => finishById(id)?.lure === request.lure)
  const hung = wanted.length ? wanted : nineOf(request)
  const told = hangBar(request, hung, side)
  const distancesM = paintedAt(told.farthestM)
  const painted = paintBar(request, hung, side, watcher, distancesM)
  const gone = new Map(told.hung.map(h => [h.finishId, watcher === 'fish' ? h.fishM : h.diverM]))
  const seen = Object.fromEntries(
    Object.entries(painted).map(([id, list]) => [id, list.map(s => seenOut(s, gone.get(id)!))]),
  )
  return { ids: hung, bar: told, distancesM, seen }
}

function jars({ request, ids, lines, drops, watcher }: JarsAsk): JarOut[] {
  return jarsOf(request, ids, lines, drops, watcher).map(j => ({
    ...j,
    water: hex(j.water),
    lures: j.lures.map(l => ({ ...l, seen: seenOut(l.seen, l.goneM) })),
  }))
}

function boat(request: Request): BoatShown {
  const { ranked, moment } = rank(request)
  const first = ranked[0]!
  const sentence = boatSideOf(first, moment)
  const lostM = sentence?.code === 'boat-side' ? sentence.params.lostM : null
  const text = sentence ? say(sentence, moment.conditions.units) : ''
  return { finishId: first.finish.id, text, lostM }
}

/** How far off the finishes of a question are drawn, m. */
const SHOWN_M = 0.3
function drill({ topic, seed, level, units }: DrillAsk): DrillShown {
  const made = drillOf(topic, seed, level, units)
  const { facts } = made
  const seen: SeenOut[] = []
  if (facts.kind === 'scene') {
    const { moment, ranked } = rank(facts.request)
    const paint = painter(moment.scene, 'level', 'diver')
    const at = facts.request.fishM ?? SHOWN_M
    for (const id of facts.finishIds) {
      const m = ranked.find(r => r.finish.id === id)!
      seen.push(seenOut(paint(m.finish, at), m.sight.level.sightM))
    }
  }
  return { drill: made, seen, because: say(made.because, units) }
}

/** What the bench's worker offers. */
export const benchApi = {
  bar: withLight(bar),
  jars: withLight(jars),
  boat: withLight(boat),
  drill: withLight(drill),
}
