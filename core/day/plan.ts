import { HOUR_MIN } from '#core/units'
import type { DayLane, DayRequest } from '#core/day/request'
import { bestPack, lostWithout } from '#core/day/pack'
import { type Pin, heldWorth } from '#core/day/pins'
import type { Day, StepScores } from '#core/day/scores'
import { type ChangeRules, type Lane, type LanePlan, bestSpells } from '#core/day/spells'
import { finishesOf } from '#core/lure/finish'

/** What a change has to win, score × hours: eight minutes of fishing at a score of 0.6. */
export const USUAL_CHANGE_COST = 0.08
/** No spell is shorter than this where nothing is asked, minutes: a change is to last. */
const USUAL_LEAST_SPELL_MIN = 45
/** What the day loses without it, as a share of its worth, under which a finish is not packed of itself. */
const WORTH_PACKING = 0.01
export const USUAL_PACK = 6

/** What the engine says of every lure in every step, by lane and step; null ashore. */
export type DayScores = readonly (readonly (StepScores | null)[])[]

/** A lane with its finishes by id, in the order of the plan's indices. */
export interface Lanes {
  lane: Lane
  ids: readonly string[]
}

export interface PackedFinish {
  laneIndex: number
  finishId: string
  /** What the day loses without it, score × hours. */
  lost: number
}

/** A day planned: the best spells of each lane, and the best few to carry with the spells they leave. */
export interface DayPlan {
  lanes: readonly Lanes[]
  /** With everything the lane may use. */
  free: readonly LanePlan[]
  pack: PackedFinish[]
  /** With the pack alone; null for a lane that has nothing in it. */
  packed: readonly (LanePlan | null)[]
  /** What the day is worth: with everything, with the pack, and with the best one of each lane; score × hours. */
  worth: { all: number; pack: number; oneEach: number }
}

/** Finishes a lane may use, by id: those it names, else the catalogue's and the angler's own. */
const idsOf = ({ lure, finishIds }: DayLane, own: Day['own']): string[] =>
  finishIds ? [...new Set(finishIds)] : [...finishesOf(lure), ...own.filter(f => f.lure === lure)].map(f => f.id)

export const rulesOf = (r: DayRequest): ChangeRules => ({
  changeCost: r.changeCost ?? USUAL_CHANGE_COST,
  minSpellMin: r.minSpellMin ?? USUAL_LEAST_SPELL_MIN,
})

/** What a lane's spells are worth, score × hours. */
const worthOf = ({ worth }: Lane, { spells }: LanePlan, { changeCost }: ChangeRules): number =>
  spells.reduce(
    (sum, { from, to, finish }) => {
      for (let t = from; t < to; t++) sum += worth[finish]![t]!
      return sum
    },
    -changeCost * Math.max(0, spells.length - 1),
  )

type Choosable = Parameters<typeof bestPack>[0]

/** The best pack of at most so many, less what the day hardly loses without: smaller ones until all are worth it. */
function worthPacking(held: Choosable, every: Choosable, atMost: number, rules: ChangeRules): number[][] {
  const all = every.reduce((sum, { lane, finishes }) => sum + bestSpells(lane, finishes, rules).value, 0)
  for (let most = atMost; ; most--) {
    const { chosen } = bestPack(held, most, rules)
    const least = Math.min(...every.flatMap((of, l) => lostWithout(of, chosen[l]!, rules)))
    if (most <= held.length || least >= WORTH_PACKING * all) return chosen
  }
}

/**
 * Plan a day from what was scored: nothing here asks the optics, so that costs and packs can be tried at once. Changes
 * that are held bind the pack and its spells, not what the day could be worth.
 * @param onlyWorth leave out what the day hardly loses without: where no size was asked for, and on the screen
 */
export function planDay(
  r: DayRequest,
  { steps, own }: Day,
  scores: DayScores,
  pins: readonly Pin[] = [],
  onlyWorth = r.packMost === undefined,
): DayPlan {
  const minutes = steps.map(s => s.endMin - s.atMin)
  const rules = rulesOf(r)
  const lanes = r.lures.map((asked, l): Lanes => {
    const ids = idsOf(asked, own)
    const worth = ids.map(id => minutes.map((m, t) => ((scores[l]![t]?.scores[id] ?? 0) * m) / HOUR_MIN))
    return { ids, lane: { worth, minutes } }
  })
  const every = lanes.map(({ lane, ids }) => ({ lane, finishes: ids.map((_, i) => i) }))
  const free = every.map(({ lane, finishes }) => bestSpells(lane, finishes, rules))
  const held = every.map(({ lane, finishes }, l) => {
    const mine = pins.filter(p => p.lane === l)
    return { lane: { ...lane, worth: heldWorth(lane, lanes[l]!.ids, steps, mine) }, finishes }
  })
  const most = r.packMost ?? USUAL_PACK
  const chosen = onlyWorth ? worthPacking(held, every, most, rules) : bestPack(held, most, rules).chosen
  const packed = held.map(({ lane }, l) => {
    const plan = chosen[l]!.length ? bestSpells(lane, chosen[l]!, rules) : null
    return plan && { ...plan, value: worthOf(every[l]!.lane, plan, rules) }
  })
  const lost = every.map((of, l) => lostWithout(of, chosen[l]!, rules))
  const oneEach = every.map(({ lane, finishes }) => Math.max(...finishes.map(f => bestSpells(lane, [f], rules).value)))
  const sum = (values: readonly number[]) => values.reduce((s, v) => s + v, 0)
  return {
    lanes,
    free,
    pack: chosen.flatMap((of, laneIndex) =>
      of.map((f, i) => ({ laneIndex, finishId: lanes[laneIndex]!.ids[f]!, lost: lost[laneIndex]![i]! })),
    ),
    packed,
    worth: { all: sum(free.map(p => p.value)), pack: sum(packed.map(p => p?.value ?? 0)), oneEach: sum(oneEach) },
  }
}
