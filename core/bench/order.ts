import { finishById } from '#core/lure/finish'
import type { Sentence } from '#core/words/sentence'

/** Most lures on one bar. */
export const MOST_HUNG = 9
/** Ranges closer than this share of themselves go together: no reading parts them. */
export const TOGETHER = 0.03

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

/**
 * How far off an order guessed is from the one that came: places wrong for each finish, those that go together being
 * free. More than nought: it went sooner than was said.
 */
export function placesWrong(guess: readonly string[], came: readonly (readonly string[])[]): Map<string, number> {
  const out = new Map<string, number>()
  let before = 0
  for (const place of came) {
    for (const id of place) {
      const at = guess.indexOf(id)
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
