import { type ChangeRules, type Lane, bestSpells } from '#core/day/spells'

/** The finishes of each lane that are packed, and what the day is worth with them alone. */
export interface Pack {
  chosen: number[][]
  value: number
}

/** A bound within this of the best is not worth following: rounding of sums. */
const SAME = 1e-12

/** Finishes that no other is at least as good as at every step; of equals the first. */
function undominated(worth: Lane['worth'], finishes: readonly number[]): number[] {
  const beats = (a: number, b: number) => {
    let more = false
    for (let t = 0; t < worth[a]!.length; t++) {
      if (worth[a]![t]! < worth[b]![t]!) return false
      if (worth[a]![t]! > worth[b]![t]!) more = true
    }
    return more || a < b
  }
  return finishes.filter(f => !finishes.some(g => g !== f && beats(g, f)))
}

interface Best {
  chosen: number[]
  value: number
}

/**
 * The best set of just so many finishes of a lane, by branch and bound: a set is worth no more than its own best finish
 * of each step and the gains of the best few others added up, changes free (the gains only shrink as a set grows), nor
 * more than the plan with all that may still be added.
 */
function bestOfSize(lane: Lane, from: readonly number[], size: number, rules: ChangeRules): Best {
  const { worth } = lane
  const steps = lane.minutes.length
  const planned = (set: readonly number[]) => bestSpells(lane, set, rules).value
  let best: Best = { chosen: [], value: -Infinity }
  const consider = (chosen: readonly number[]) => {
    const value = planned(chosen)
    if (value > best.value) best = { chosen: [...chosen], value }
  }
  // A good set to begin with: what the whole lane would use, best first.
  const greedy: number[] = []
  while (greedy.length < size) {
    const rest = from.filter(f => !greedy.includes(f))
    greedy.push(rest.reduce((a, b) => (planned([...greedy, b]) > planned([...greedy, a]) ? b : a)))
  }
  consider(greedy)
  const search = (chosen: readonly number[], next: number, top: readonly number[]): void => {
    const left = size - chosen.length
    if (left === 0) return consider(chosen)
    const rest = from.slice(next)
    if (rest.length < left) return
    const gains = rest.map(f => {
      let gain = 0
      for (let t = 0; t < steps; t++) gain += Math.max(0, worth[f]![t]! - top[t]!)
      return gain
    })
    const reach = top.reduce((s, v) => s + v, 0)
    const most = [...gains].sort((a, b) => b - a).slice(0, left)
    if (chosen.length && reach + most.reduce((s, v) => s + v, 0) <= best.value + SAME) return
    if (planned([...chosen, ...rest]) <= best.value + SAME) return
    for (let i = next; i <= from.length - left; i++) {
      const f = from[i]!
      search([...chosen, f], i + 1, chosen.length ? top.map((v, t) => Math.max(v, worth[f]![t]!)) : worth[f]!)
    }
  }
  search([], 0, new Array<number>(steps).fill(0))
  return best
}

/** The best set of each size from none up to as many as help, or as `most` allows. */
function bestBySize(lane: Lane, finishes: readonly number[], most: number, rules: ChangeRules): Best[] {
  const from = undominated(lane.worth, finishes)
  const whole = bestSpells(lane, from, rules)
  const out: Best[] = [{ chosen: [], value: 0 }]
  const used = [...new Set(whole.spells.map(s => s.finish))]
  for (let size = 1; size <= Math.min(most, used.length); size++) {
    out.push(size === used.length ? { chosen: used, value: whole.value } : bestOfSize(lane, from, size, rules))
  }
  return out
}

/**
 * The best set of at most so many finishes for all lanes together, exact: the best set of each size lane by lane, then
 * how many go to each, by a dynamic programme over lanes. A lane that gets none earns nothing.
 */
export function bestPack(
  lanes: readonly { lane: Lane; finishes: readonly number[] }[],
  most: number,
  rules: ChangeRules,
): Pack {
  let packs: Pack[] = Array.from({ length: most + 1 }, () => ({ chosen: [], value: 0 }))
  for (const { lane, finishes } of lanes) {
    const sizes = bestBySize(lane, finishes, most, rules)
    packs = packs.map((_, room) => {
      const tried = sizes
        .filter((_, size) => size <= room)
        .map((of, size) => {
          const others = packs[room - size]!
          return { chosen: [...others.chosen, of.chosen], value: others.value + of.value }
        })
      return tried.reduce((a, b) => (b.value > a.value + SAME ? b : a))
    })
  }
  return packs[most]!
}

/** What the day loses without each packed finish, with the lane's others in its place: score × hours. */
export function lostWithout({ lane }: { lane: Lane }, chosen: readonly number[], rules: ChangeRules): number[] {
  if (!chosen.length) return []
  const value = bestSpells(lane, chosen, rules).value
  return chosen.map(f => {
    const others = chosen.filter(g => g !== f)
    return value - (others.length ? bestSpells(lane, others, rules).value : 0)
  })
}
