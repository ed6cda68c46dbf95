import { type OwnLure, ownFinishes } from '#core/box/own'
import { hex } from '#core/spectrum/colour'
import type { Request } from '#core/request/request'
import type { Side } from '#core/lure/types'
import type { Answer, Ranked } from '#core/ranking/answer'
import type { Lean } from '#core/ranking/judge'
import { placesOf } from '#core/ranking/closeCall'
import { type Worked, rank, rankedOut, restOfAnswer } from '#core/ranking/recommend'
import { type Watcher, painter, waterColumn } from '#core/picture/underWater'
import { type ContrastCurve, contrastCurve } from '#core/sight/curve'
import { apartJnd } from '#core/sight/measure'
import { looksOf } from '#core/sight/likeness'
import { colourShareOf } from '#core/sight/scene'
import { BITE_M } from '#core/sight/view'
import type { Phase } from '#core/season/phase'
import { type SentenceCode, say } from '#core/words/sentence'
import { LEANS } from './leans'
import { type SeenOut, seenOut } from './seen'

export type { SeenOut } from './seen'

/** What the screen asks for: the engine's request and how to draw the answer. */
export interface ScreenAsk {
  request: Request
  /** Depths at which the column's colour is wanted, m. */
  depthsM: number[]
  side: Side
  watcher: Watcher
  /** The finishes in the box, own ones by their own ids; null where there is no box. */
  owned?: readonly string[] | null
  /** Lures of the box that wear colours of one's own: ranked with the catalogue's. */
  own?: readonly OwnLure[]
  /** How far the angler's log shifts the weights; nothing where it is not to lean. */
  lean?: Lean
  /** Only what is owned is listed, as long as anything of this lure is. */
  onlyOwned?: boolean
  /** The finish on the plate; the first pick when it is not of this lure. */
  selectedId: string | null
  /** Distances of the as-seen strip, m. */
  stripM: number[]
  /**
   * A finger is on a control: only what it watches is wanted, the picture and these rows of the list, from one to
   * before another.
   */
  draftRows: readonly [number, number] | null
}

export interface Curve extends ContrastCurve {
  finishId: string
  name: string
}

/**
 * One row of the list: the best of the finishes that are the same to the fish. What it shows and nothing more, since
 * rows cross from the worker at every move of a finger.
 */
export interface Row {
  finishId: string
  /** The others that this fish cannot tell from it, best first. */
  same: string[]
  name: string
  /** Its place in the list, shared with those too close to it to call. */
  place: number
  sightM: number
  colourM: number
  /** Schools that lean towards it. */
  agree: number
  reason: string
  /** As it looks at the fish. */
  seen: SeenOut
}

/** What follows a finger: the picture and the list, worked out in one go so that they cannot disagree. */
export interface Draft {
  /** All rows, or those asked for. */
  rows: Row[]
  /** How many rows there are. */
  looks: number
  /** The farthest that any finish of the lure is seen, m. */
  farthestM: number
  /** The chosen finish in full. */
  call: Ranked
  lure: Request['lure']
  depthM: number
  fishM: number
  sunDeg: number
  phase: Phase
  column: { depthM: number; colour: string; luminance: number; cones: number[] }[]
  /** Light left at the lure for each cone, short to long, as a share of that just under the surface. */
  conesLeft: number[]
  selectedId: string
  /** The chosen finish as it looks from close by, for the picture. */
  close: SeenOut
  prey: { kind: string; share: number }[]
  /** True where too little light is left for colour. */
  colourBlind: boolean
}

/** The rest of the screen, for when the finger rests: plate, rods, sheets. */
export interface Rest {
  /** Where the first pick is not in the box: what is, and nearest to it; steps the fish can just tell. */
  nearest: { finishId: string; name: string; steps: number } | null
  answer: Omit<Answer, 'ranked' | 'version'>
  strip: SeenOut[]
  curves: Curve[]
  preyMoved: { clue: string; kind: string; from: number; to: number }[]
  weights: { share: Record<string, number>; because: string[] }
}
export type ScreenModel = Draft & Rest

/** Reasons that speak of range, and the one that gathers small ones. */
const RANGE_TALK: ReadonlySet<SentenceCode> = new Set([
  'contrast.seen-from',
  'contrast.seen-farther',
  'contrast.seen-late',
  'fish-eye.shape',
  'small-points',
])

/** Letters of a name that fit on one line, and of a reason that fit beside a name of one line or of two. */
const NAME_LETTERS = 23
const REASON_LETTERS = [86, 57] as const

/**
 * The line of a row: its best reason that fits and is not said higher up; where it outranks one seen farther, the best
 * that is not about range.
 */
function lineOf(r: Ranked, next: Ranked | undefined, side: Side, said: ReadonlySet<string>): string {
  const room = REASON_LETTERS[r.finish.name.length > NAME_LETTERS ? 1 : 0]
  const good = r.reasons.filter(x => x.effect > 0 && x.code !== 'small-points' && !said.has(x.text))
  const fit = good.filter(x => x.text.length <= room)
  const outranks = next && next.sightingRangeM[side] > 1.05 * r.sightingRangeM[side]
  return ((outranks && fit.find(x => !RANGE_TALK.has(x.code))) || fit[0] || good[0])?.text ?? ''
}

/** Points along the contrast curves. */
const CURVE_POINTS = 40

const LEAST_RODS = 3

/** A ranking of some of its finishes alone. */
const keptTo = (worked: Worked, ranked: Worked['ranked']): Worked => ({ ...worked, ranked, places: placesOf(ranked) })

/** What of the box comes nearest to a pick that is not in it. */
function nearestOf(first: Worked['ranked'][number], owned: Worked['ranked']): Rest['nearest'] {
  if (!owned.length || owned.includes(first)) return null
  const steps = owned.map(j => apartJnd(first, j))
  const i = steps.indexOf(Math.min(...steps))
  const { id, name } = owned[i]!.finish
  return { finishId: id, name, steps: steps[i]! }
}

/** Work out a screen, or the draft of one. Pure: used by the worker, and on the page where workers are refused. */
export function workScreen(ask: ScreenAsk): ScreenModel | Draft {
  const everything = rank(ask.request, ownFinishes(ask.own ?? []), ask.lean)
  const owned = everything.ranked.filter(j => ask.owned?.includes(j.finish.id))
  const worked = ask.onlyOwned && owned.length ? keptTo(everything, owned) : everything
  const { moment, ranked, judge } = worked
  const { scene, conditions } = moment
  const paint = painter(scene, ask.side, ask.watcher)
  const seenAt = (j: (typeof ranked)[number], m: number) => seenOut(paint(j.finish, m), j.sight[ask.side].sightM)
  const selected = ranked.find(j => j.finish.id === ask.selectedId) ?? ranked[0]!
  const column = waterColumn(scene, [...ask.depthsM, conditions.depthM])
  const looks = looksOf(ranked)
  const [from, to] = ask.draftRows ?? [0, looks.length]
  const made: Ranked[] = []
  const call = (j: (typeof ranked)[number]) => {
    const i = ranked.indexOf(j)
    return (made[i] ??= rankedOut(worked, i))
  }
  // Each reason is said once down the list, so every row above has its say before the first that is asked for.
  const said = new Set<string>()
  const lines = looks.slice(0, to).map(([j], k) => {
    const next = looks[k + 1]?.[0]
    const line = lineOf(call(j!), next && call(next), ask.side, said)
    said.add(line)
    return line
  })
  const draft: Draft = {
    looks: looks.length,
    rows: looks.slice(from, to).map(([j, ...same], k) => {
      const r = call(j!)
      return {
        finishId: r.finish.id,
        same: same.map(s => s.finish.id),
        name: r.finish.name,
        place: r.place,
        sightM: r.sightingRangeM[ask.side],
        colourM: r.colourRangeM[ask.side],
        agree: Object.values(r.stances).filter(v => v > LEANS).length,
        reason: lines[from + k]!,
        seen: seenAt(j!, conditions.fishM),
      }
    }),
    farthestM: Math.max(...ranked.map(j => j.sight[ask.side].sightM)),
    call: call(selected),
    lure: conditions.lure,
    depthM: conditions.depthM,
    fishM: conditions.fishM,
    sunDeg: conditions.sunElevationDeg,
    phase: conditions.phase,
    column: column
      .slice(0, -1)
      .map(c => ({ depthM: c.depthM, colour: hex(c.colour), luminance: c.luminance, cones: c.cones })),
    conesLeft: column.at(-1)!.cones,
    selectedId: selected.finish.id,
    close: seenAt(selected, BITE_M / 3),
    prey: conditions.prey.shares.map(s => ({ ...s })),
    colourBlind: colourShareOf(scene) < 0.1,
  }
  if (ask.draftRows) return draft
  const rivals = ranked.filter(j => j !== selected).slice(0, 2)
  const farthest = Math.max(...[selected, ...rivals].map(j => j.sight[ask.side].sightM)) * 1.15
  const ranges = Array.from({ length: CURVE_POINTS }, (_, i) => Math.max(0.02, (farthest * i) / (CURVE_POINTS - 1)))
  return {
    ...draft,
    // Three rods cannot be had of fewer than three lures: then the whole catalogue advises.
    answer: restOfAnswer(ranked.length < LEAST_RODS ? everything : worked),
    nearest: nearestOf(everything.ranked[0]!, owned),
    strip: ask.stripM.map(m => seenAt(selected, Math.max(BITE_M / 3, m))),
    curves: [selected, ...rivals].map(j => ({
      ...contrastCurve(scene, ask.side, j.finish, ranges),
      finishId: j.finish.id,
      name: j.finish.name,
    })),
    preyMoved: conditions.prey.moved.map(m => ({ ...m })),
    weights: {
      share: judge.weights.share,
      because: judge.weights.because.map(b => say(b, conditions.units)),
    },
  }
}
