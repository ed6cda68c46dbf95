import { type LureId, lureType } from '#core/lure/types'
import { SURROUNDINGS, type Passage, type Surroundings } from '#core/lure/passage'
import { type Cover, coverKind } from '#core/cover/cover'
import type { HereLure } from '#core/which-lure/answer'

/** So many lures are drawn at first; the rest are a tap away. */
export const DRAWN = 8

/** The lures in the box before the others, each in the order of their places. */
export const ownedFirst = (here: readonly HereLure[], owned: ReadonlySet<LureId>): HereLure[] =>
  [...here].sort((a, b) => Number(owned.has(b.lure)) - Number(owned.has(a.lure)) || a.place - b.place)

/**
 * The lures to draw: those in the box before others, then the best, as many as there is room for; and in the order in
 * which they run, from the top down.
 */
export function rowsOf(here: readonly HereLure[], owned: ReadonlySet<LureId>, all: boolean): HereLure[] {
  const first = ownedFirst(here, owned)
  const shown = all ? first : first.slice(0, DRAWN)
  return shown.sort((a, b) => a.depthM - b.depthM || a.place - b.place)
}

/** The covers whose paths are drawn. */
export const COVER_PATHS = SURROUNDINGS.filter((s): s is Exclude<Surroundings, 'pads'> => s !== 'pads')
export const PATH_WORDS = { grass: 'grass', wood: 'wood', rock: 'rock', dock: 'docks', mat: 'mat' } as const
export const PASSAGE_WORDS: Record<Passage, string> = {
  clean: 'clean',
  knocks: 'knocks and goes on',
  care: 'with care',
  hangs: 'hangs',
}

/** Which of the paths is today's; null where nothing is known to catch on. */
export const pathOf = (cover: Cover['kind'] | null): (typeof COVER_PATHS)[number] | null => {
  const passage = cover && coverKind(cover).passage
  return passage === 'pads' ? 'grass' : (passage ?? null)
}

/** A round length that holds all ranges drawn, m: what they are measured against. */
export function scaleOf(here: readonly HereLure[]): number {
  const most = Math.max(0.3, ...here.map(h => Math.max(h.seen.sightM * 1.3, h.felt.highM)))
  return [0.4, 0.6, 1, 1.5, 2, 3, 4, 6, 8, 12, 20].find(r => r >= most) ?? most
}

/** The row as one sentence, for who does not see it. */
export function spoken(h: HereLure, words: { length: (m: number) => string }, lure: string): string {
  const sound = h.heard ? `heard to ${words.length(h.heard.highM)} at most` : h.silent ? 'silent' : 'hardly heard'
  const felt = `felt from ${words.length(h.felt.lowM)} to ${words.length(h.felt.highM)}`
  const run = lureType(h.lure).surface ? 'on top' : `runs at ${words.length(h.depthM)}`
  return (
    `${lure}, ${run}, seen from ${words.length(h.seen.sightM)}, ${felt}, ${sound}, ` +
    `comes through: ${PASSAGE_WORDS[h.through]}`
  )
}
