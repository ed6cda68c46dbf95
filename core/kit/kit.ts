import { medianOf } from '#core/numeric/median'
import { rounded } from '#core/numeric/rounded'
import { type KitCover, type CoverWorth, bestCover } from '#core/kit/cover'
import { type SceneScores, scoredFinishes } from '#core/kit/scenes'
import type { Finish } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'

/** What a kit is chosen from and how large it may be. */
export interface KitAsk {
  /** Finishes by id; the whole catalogue of the scenes' lures where absent. */
  owned?: readonly string[] | undefined
  /** From how many lures to how many. */
  sizes: readonly [number, number]
  /** In every kit; in none. */
  keep?: readonly string[] | undefined
  drop?: readonly string[] | undefined
  /** Finishes that were scored beside the catalogue's, in their order. */
  extra?: readonly Finish[] | undefined
}

export interface KitSize {
  size: number
  /** Σ weight × best score in the kit ÷ Σ weight × best score of the whole catalogue. */
  share: number
  /**
   * The same against the middle of the catalogue: Σ weight × (best in the kit − middle) ÷ Σ weight × (best − middle),
   * at least 0. What screens say, since by the share alone one finish covers nearly everything.
   */
  cover: number
  finishIds: string[]
  /** No kit of this size is better. */
  proven: boolean
}
export interface KitAnswer {
  curve: KitSize[]
  /** What is not owned and would add most to all that is, as a share. */
  gaps: { finishId: string; gain: number }[]
  /** Owned, and in no scene one of the three best or like one of them to the fish. */
  never: string[]
}

/** Where the work stands: the cover just found for one lure. */
export interface KitProgress {
  done: number
  total: number
  /** Σ of the bounds so far and of the values: how far the curve may still rise, as a share. */
  gap: number
}

/** Most gaps told. */
const GAPS = 20

/** One lure's scenes, ready to be covered. */
interface LureScenes {
  lure: LureId
  ids: readonly string[]
  worth: CoverWorth
  near: Set<number>
  /** Σ weight × best of the catalogue, and of its middle. */
  best: number
  middle: number
}

function byLure(scenes: readonly SceneScores[], extra: readonly Finish[] = []): LureScenes[] {
  const lures = [...new Set(scenes.map(s => s.lure))].sort()
  return lures.map(lure => {
    const of = scenes.filter(s => s.lure === lure)
    const ids = scoredFinishes(lure, extra).map(f => f.id)
    return {
      lure,
      ids,
      worth: ids.map((_, f) => Float64Array.from(of, s => s.weight * s.scores[f]!)),
      near: new Set(of.flatMap(s => s.near)),
      best: of.reduce((sum, s) => sum + s.weight * Math.max(...s.scores), 0),
      middle: of.reduce((sum, s) => sum + s.weight * medianOf(s.scores), 0),
    }
  })
}

/** What adding a finish brings to a set of the same lure. */
function gainsOver(worth: CoverWorth, owned: readonly number[], f: number): number {
  let gain = 0
  for (let s = 0; s < worth[f]!.length; s++) {
    let most = 0
    for (const o of owned) most = Math.max(most, worth[o]![s]!)
    gain += Math.max(0, worth[f]![s]! - most)
  }
  return gain
}

/**
 * The few finishes that cover the scenes, for every size asked. A finish only ever serves its own lure's scenes, so the
 * best set of each size is found lure by lure (`bestCover`, exact) and the sizes are then shared out over the lures by
 * a dynamic programme: the whole is exact too. Yields after every cover, so that a caller can show progress or stop.
 */
export function* kitSteps(scenes: readonly SceneScores[], ask: KitAsk): Generator<KitProgress, KitAnswer> {
  const lures = byLure(scenes, ask.extra)
  const total = lures.reduce((s, l) => s + l.best, 0)
  const middle = lures.reduce((s, l) => s + l.middle, 0)
  const keep = new Set(ask.keep)
  const drop = new Set(ask.drop)
  const owned = ask.owned && new Set(ask.owned)
  const [least, most] = ask.sizes
  const indices = ({ ids }: LureScenes, holds: (id: string) => boolean) =>
    ids.flatMap((id, i) => (holds(id) ? [i] : []))
  const mayTake = (id: string) => keep.has(id) || ((!owned || owned.has(id)) && !drop.has(id))

  const choices = lures.map(l => ({ lure: l, from: indices(l, mayTake), kept: indices(l, id => keep.has(id)) }))
  const elsewhere = [...keep].filter(id => !choices.some(c => c.kept.some(i => c.lure.ids[i] === id)))
  const room = most - elsewhere.length
  const sizesOf = (c: (typeof choices)[number]) => Math.max(0, Math.min(room, c.from.length) - c.kept.length + 1)
  const steps = choices.reduce((s, c) => s + sizesOf(c), 0)
  let done = 0
  let slack = 0
  const covers: KitCover[][] = []
  for (const { lure, from, kept } of choices) {
    const of: KitCover[] = []
    for (let size = kept.length; size <= Math.min(room, from.length); size++) {
      of[size] = bestCover(lure.worth, from, size, kept)
      slack += of[size]!.bound - of[size]!.value
      done++
      yield { done, total: steps, gap: total > 0 ? slack / total : 0 }
    }
    covers.push(of)
  }

  /** The best of at most so many lures in all, for each number. */
  interface Shared {
    value: number
    ids: string[]
    proven: boolean
  }
  let shared: (Shared | null)[] = Array.from({ length: room + 1 }, () => ({
    value: 0,
    ids: elsewhere,
    proven: true,
  }))
  covers.forEach((of, l) => {
    shared = shared.map((_, n) => {
      let best: Shared | null = null
      of.forEach((cover, size) => {
        const others = size <= n ? shared[n - size] : null
        if (!others) return
        const value = others.value + cover.value
        if (best && value <= best.value + 1e-12) return
        const ids = [...others.ids, ...cover.chosen.map(i => lures[l]!.ids[i]!)]
        best = { value, ids, proven: others.proven && cover.proven }
      })
      return best
    })
  })
  const curve = shared.flatMap((kit, n): KitSize[] => {
    const size = n + elsewhere.length
    if (!kit || size < least) return []
    const { ids, value, proven } = kit
    const share = total > 0 ? rounded(value / total, 6) : 0
    const cover = total > middle ? rounded(Math.max(0, (value - middle) / (total - middle)), 6) : 0
    return [{ size, share, cover, finishIds: ids, proven }]
  })

  const gaps = owned
    ? lures.flatMap(l => {
        const has = indices(l, id => owned.has(id))
        return indices(l, id => !owned.has(id)).map(f => ({
          finishId: l.ids[f]!,
          gain: total > 0 ? rounded(gainsOver(l.worth, has, f) / total, 6) : 0,
        }))
      })
    : []
  return {
    curve,
    gaps: gaps
      .filter(g => g.gain > 0)
      .sort((a, b) => b.gain - a.gain || (a.finishId < b.finishId ? -1 : 1))
      .slice(0, GAPS),
    never: [...(owned ?? [])].filter(id => !lures.some(l => l.near.has(l.ids.indexOf(id)))),
  }
}

/** The kit in one go. */
export function kitOf(scenes: readonly SceneScores[], ask: KitAsk): KitAnswer {
  const steps = kitSteps(scenes, ask)
  for (;;) {
    const { done, value } = steps.next()
    if (done) return value
  }
}
