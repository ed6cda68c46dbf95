/** A spell of one finish: steps from `from` up to `to`, which is not in it. */
export interface Spell {
  from: number
  to: number
  finish: number
}

/** What a lure's day is worth: score × hours of each finish in each step, and how changing is held back. */
export interface Lane {
  /** [finish][step]; a step ashore is worth 0. */
  worth: readonly (readonly number[])[]
  /** Length of each step, minutes. */
  minutes: readonly number[]
}
export interface ChangeRules {
  /** What one change costs, score × hours. */
  changeCost: number
  /** No spell is shorter than this, minutes, unless the day itself is. */
  minSpellMin: number
}

export interface LanePlan {
  spells: Spell[]
  /** Σ score × hours less what the changes cost. */
  value: number
}

/**
 * The best spells for a lure, over some of its finishes: the most Σ score × hours - cost × changes there is with no
 * spell shorter than the least. A dynamic programme over (step, finish): `best[j]` is the most the first j steps can
 * earn with a spell ending there, and each finish carries on its own spell or begins one as late as the least length
 * allows. Time grows with steps × finishes; exact, and of equals the one with fewer changes and the earlier finish.
 * @param finishes indices into `worth`, at least one
 */
export function bestSpells({ worth, minutes }: Lane, finishes: readonly number[], rules: ChangeRules): LanePlan {
  const steps = minutes.length
  const until = [0]
  for (const m of minutes) until.push(until.at(-1)! + m)
  const leastMin = Math.min(rules.minSpellMin, until[steps]!)
  const sums = finishes.map(f => {
    const out = [0]
    for (let t = 0; t < steps; t++) out.push(out[t]! + worth[f]![t]!)
    return out
  })
  const best = new Float64Array(steps + 1).fill(-Infinity)
  const bestOf = new Int32Array(steps + 1)
  const value = sums.map(() => -Infinity)
  const start = sums.map(() => new Int32Array(steps + 1))
  best[0] = 0
  let latest = 0
  for (let j = 1; j <= steps; j++) {
    while (latest + 1 < j && until[j]! - until[latest + 1]! >= leastMin) latest++
    const mayEnd = until[j]! - until[latest]! >= leastMin && best[latest]! > -Infinity
    const cost = latest > 0 ? rules.changeCost : 0
    for (let f = 0; f < sums.length; f++) {
      const goesOn = value[f]! + worth[finishes[f]!]![j - 1]!
      const begins = mayEnd ? best[latest]! - cost + sums[f]![j]! - sums[f]![latest]! : -Infinity
      const on = goesOn >= begins
      value[f] = on ? goesOn : begins
      start[f]![j] = on ? start[f]![j - 1]! : latest
      if (value[f]! > best[j]!) {
        best[j] = value[f]!
        bestOf[j] = f
      }
    }
  }
  const spells: Spell[] = []
  for (let j = steps; j > 0; j = start[bestOf[j]!]![j]!) {
    const f = bestOf[j]!
    const next = spells[0]
    // Where changing costs nothing a spell may be cut in two of the same finish: it is one.
    if (next && next.finish === finishes[f]) next.from = start[f]![j]!
    else spells.unshift({ from: start[f]![j]!, to: j, finish: finishes[f]! })
  }
  return { spells, value: steps ? best[steps]! : 0 }
}
