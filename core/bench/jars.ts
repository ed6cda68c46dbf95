import { barScene } from '#core/bench/bar'
import { finishById } from '#core/lure/finish'
import { type Seen, painter } from '#core/picture/underWater'
import type { Request } from '#core/request/request'
import { type LineId, lineSightM } from '#core/sight/line'
import { measure } from '#core/sight/measure'
import type { Srgb } from '#core/spectrum/colour'

/** Discs of the five jars, clear to dark, m; a drop of tint takes a seventh of the sight. */
export const JAR_DISCS_M = [4, 2, 1, 0.5, 0.25] as const
export const DROP = 6 / 7
/** Just under the surface, and water between the eye and the lure, m. */
const [UNDER_M, THROUGH_M] = [0.12, 0.3]

export interface JarShown {
  discM: number
  water: Srgb
  /** Each lure a foot off, and how far off each is lost, m; each line the same. */
  lures: { finishId: string; seen: Seen; goneM: number }[]
  lines: { id: LineId; goneM: number }[]
}

/** Five jars of one tint, the same lures and lines in each, under the request's sky. */
export function jarsOf(
  request: Request,
  finishIds: readonly string[],
  lines: readonly LineId[],
  drops: number,
  watcher: 'fish' | 'diver',
): JarShown[] {
  const finishes = finishIds.flatMap(id => finishById(id) ?? [])
  return JAR_DISCS_M.map(clear => {
    const discM = clear * DROP ** drops
    const { depthM: _, water, ...asked } = request
    const { depthM: _w, ...above } = water
    const scene = barScene({ ...asked, depthM: UNDER_M, water: { ...above, visibilityM: discM } } as Request, watcher)
    const paint = painter(scene, 'level', 'diver')
    const lures = finishes.map(f => ({
      finishId: f.id,
      seen: paint(f, THROUGH_M),
      goneM: measure(f, scene, []).sight.level.sightM,
    }))
    const anything = lures[0]?.seen.water ?? paint(finishes[0]!, THROUGH_M).water
    return { discM, water: anything, lures, lines: lines.map(id => ({ id, goneM: lineSightM(scene, id) })) }
  })
}
