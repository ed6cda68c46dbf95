import { type Bar, type Hung, MOST_HUNG, orderOf } from '#core/bench/order'
import { eyeOf } from '#core/eye/eye'
import { DIVER } from '#core/eye/species'
import { type Finish, finishById, finishesOf } from '#core/lure/finish'
import type { Side } from '#core/lure/types'
import { type Seen, painter } from '#core/picture/underWater'
import { rank } from '#core/ranking/recommend'
import { looksOf } from '#core/sight/likeness'
import type { Request } from '#core/request/request'
import { resolve } from '#core/request/resolve'
import { measure } from '#core/sight/measure'
import { type Scene, buildScene } from '#core/sight/scene'

/** Distances a bar is painted at, and how far past the last that goes they reach, as a share. */
const PAINTED = 26
const BEYOND = 1.12
const NEAREST_M = 0.1

/** The scene of a bar: the request's, its lures at the request's depth, to the eye of the fish or of a diver. */
export function barScene(request: Request, watcher: 'fish' | 'diver'): Scene {
  const { scene } = resolve(request)
  return watcher === 'fish' ? buildScene(scene) : buildScene(scene, eyeOf(DIVER))
}

const finishesFrom = (ids: readonly string[]): Finish[] => ids.flatMap(id => finishById(id) ?? [])

/**
 * Hang up to nine finishes of one lure type at the request's depth: when each goes, to the fish and to a diver, looked
 * at from one side. Order and distances are those of the ranking's own optics.
 */
export function hangBar(request: Request, finishIds: readonly string[], side: Side): Bar {
  const finishes = finishesFrom(finishIds)
    .filter(f => f.lure === request.lure)
    .slice(0, MOST_HUNG)
  const [fish, diver] = (['fish', 'diver'] as const).map(w => barScene(request, w))
  const hung = finishes.map((f): Hung => {
    const seen = measure(f, fish!, []).sight[side]
    return {
      finishId: f.id,
      fishM: seen.sightM,
      diverM: measure(f, diver!, []).sight[side].sightM,
      contrast: seen.contrastBite,
    }
  })
  const of = (key: 'fishM' | 'diverM') => orderOf(hung.map(h => ({ finishId: h.finishId, m: h[key] })))
  return {
    hung,
    fish: of('fishM'),
    diver: of('diverM'),
    farthestM: Math.max(NEAREST_M, ...hung.flatMap(h => [h.fishM, h.diverM])) * BEYOND,
  }
}

/** Nine that look different to this fish, spread over the distances at which they go; ids in the catalogue's order. */
export function nineOf(request: Request): string[] {
  const { ranked } = rank(request)
  const looks = looksOf(ranked).map(g => g[0]!)
  const byRange = looks.sort((a, b) => a.sight.level.sightM - b.sight.level.sightM)
  const n = Math.min(MOST_HUNG, byRange.length)
  const chosen = new Set(
    Array.from(
      { length: n },
      (_, i) => byRange[Math.round((i * (byRange.length - 1)) / Math.max(1, n - 1))]!.finish.id,
    ),
  )
  return finishesOf(request.lure).flatMap(f => (chosen.has(f.id) ? [f.id] : []))
}

/** Distances to paint a bar at, even in their shares, from close by to past where the last is lost, m. */
export const paintedAt = (farthestM: number): number[] =>
  Array.from({ length: PAINTED }, (_, i) => NEAREST_M * (farthestM / NEAREST_M) ** (i / (PAINTED - 1)))

/** Each finish as it looks at each of some distances. */
export function paintBar(
  request: Request,
  finishIds: readonly string[],
  side: Side,
  watcher: 'fish' | 'diver',
  distancesM: readonly number[],
): Record<string, Seen[]> {
  const scene = barScene(request, watcher)
  const paint = painter(scene, side, 'diver')
  const finishes = finishesFrom(finishIds)
  const out: Record<string, Seen[]> = Object.fromEntries(finishes.map(f => [f.id, []]))
  for (const m of distancesM) for (const f of finishes) out[f.id]!.push(paint(f, m))
  return out
}
