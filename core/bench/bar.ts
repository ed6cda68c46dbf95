import { eyeOf } from '#core/eye/eye'
import { DIVER } from '#core/eye/species'
import { type Finish, finishById } from '#core/lure/finish'
import type { Side } from '#core/lure/types'
import { type Seen, painter } from '#core/picture/underWater'
import type { Request } from '#core/request/request'
import { resolve } from '#core/request/resolve'
import { measure } from '#core/sight/measure'
import { type Scene, buildScene } from '#core/sight/scene'
import type { Sentence } from '#core/words/sentence'

/** Most lures on one bar. */
export const MOST_HUNG = 9
/** Ranges closer than this share of themselves go together: no reading parts them. */
export const TOGETHER = 0.03
/** Distances a bar is painted at, and how far past the last that goes they reach, as a share. */
const PAINTED = 26
const BEYOND = 1.12
const NEAREST_M = 0.1

/** A lure on the bar: how far off its shape is lost, to the fish and to a diver, m. */
export interface Hung {
  finishId: string
  fishM: number
  diverM: number
  /** How it stands off the water at a foot, lightness (Weber; negative is darker than behind it). */
  contrast: number
}
export interface Bar {
  hung: Hung[]
  /** Finish ids in the order they go, soonest first; those that go together stand in one place. */
  fish: string[][]
  diver: string[][]
  /** The farthest any of them is seen, m. */
  farthestM: number
}

/** What goes together: sorted by range, each within a few per cent of the first of its place. */
export function orderOf(ranges: readonly { finishId: string; m: number }[]): string[][] {
  const places: { m: number; ids: string[] }[] = []
  for (const { finishId, m } of [...ranges].sort((a, b) => a.m - b.m || (a.finishId < b.finishId ? -1 : 1))) {
    const last = places.at(-1)
    if (last && m <= last.m * (1 + TOGETHER)) last.ids.push(finishId)
    else places.push({ m, ids: [finishId] })
  }
  return places.map(p => p.ids)
}

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

/** How far off an order guessed is from the one that came: places wrong for each finish, those that go together being free. */
export function placesWrong(guess: readonly string[], came: readonly (readonly string[])[]): Map<string, number> {
  const out = new Map<string, number>()
  let before = 0
  for (const place of came) {
    for (const id of place) {
      const at = guess.indexOf(id)
      // Positive: it went sooner than was said.
      const wrong = at < before ? at - before : at > before + place.length - 1 ? at - (before + place.length - 1) : 0
      out.set(id, at < 0 ? 0 : wrong)
    }
    before += place.length
  }
  return out
}

/** Why the finish that was guessed worst went when it did; null where the guess was right to a place. */
export function whyWrong(bar: Bar, guess: readonly string[]): Sentence | null {
  const wrong = [...placesWrong(guess, bar.fish)].sort(([, a], [, b]) => Math.abs(b) - Math.abs(a))[0]
  if (!wrong || Math.abs(wrong[1]) < 2) return null
  const it = bar.hung.find(h => h.finishId === wrong[0])!
  return {
    code: 'bench.why',
    params: {
      name: finishById(it.finishId)!.name,
      places: Math.abs(wrong[1]),
      sooner: wrong[1] > 0,
      contrast: it.contrast,
      goneM: it.fishM,
    },
  }
}
