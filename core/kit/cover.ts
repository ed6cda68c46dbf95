/** What each finish is worth in each scene of one lure, weights counted in: [finish][scene], 0 or more. */
export type CoverWorth = readonly Float64Array[]

/** A set of finishes and what it covers: Σ over scenes of the best in the set. */
export interface KitCover {
  chosen: number[]
  value: number
  /** No set of this size covers more than this; equal to the value where proven. */
  bound: number
  proven: boolean
}

/** Rounds of improving the multipliers at the root and below it, and how their steps are held back. */
const ROUNDS = { root: 240, below: 40 } as const
const FIRST_STEP = 1.2
const PATIENCE = 12
/** Nodes of the search after which the best so far stands unproven. */
const MOST_NODES = 20_000
/** A bound this near the best, as a share of it, is met: rounding of sums. */
const SAME = 1e-10

/** What a node of the search leaves open: the best already in, scene by scene, who may come in, and how many. */
interface Node {
  floor: Float64Array
  open: readonly number[]
  picks: number
  chosen: readonly number[]
  value: number
  multipliers: Float64Array
}

interface Bound {
  bound: number
  /** Gain of each open finish at the best multipliers, and the set that gave it. */
  gains: Float64Array
  multipliers: Float64Array
}

const sum = (values: Float64Array) => {
  let s = 0
  for (let i = 0; i < values.length; i++) s += values[i]!
  return s
}

/** Value of the floor with a finish added, scene by scene into `out`. */
function raised(floor: Float64Array, worth: Float64Array): Float64Array {
  const out = new Float64Array(floor.length)
  for (let s = 0; s < out.length; s++) out[s] = worth[s]! > floor[s]! ? worth[s]! : floor[s]!
  return out
}

/** Indices of the largest few. */
const largest = (gains: Float64Array, count: number): number[] =>
  Array.from(gains.keys())
    .sort((a, b) => gains[b]! - gains[a]! || a - b)
    .slice(0, count)

/**
 * The most a node can come to. Each scene may count one finish; that rule is priced at a multiplier a scene instead of
 * kept, which leaves the finishes apart from one another, and the price is moved by subgradients until it binds
 * (Lagrangian relaxation of the p-median problem: Cornuéjols, Fisher & Nemhauser 1977, Management Science 23, 789).
 */
function boundOf(worth: CoverWorth, node: Node, best: number, rounds: number): Bound {
  const { floor, open, picks } = node
  const scenes = floor.length
  const price = node.multipliers.slice()
  const gains = new Float64Array(open.length)
  const slope = new Float64Array(scenes)
  let top: Bound = { bound: Infinity, gains, multipliers: price }
  let step = FIRST_STEP
  let since = 0
  for (let round = 0; round < rounds; round++) {
    for (let i = 0; i < open.length; i++) {
      const w = worth[open[i]!]!
      let gain = 0
      for (let s = 0; s < scenes; s++) {
        const over = w[s]! - floor[s]! - price[s]!
        if (over > 0) gain += over
      }
      gains[i] = gain
    }
    const taken = largest(gains, picks)
    let bound = node.value + sum(price)
    for (const i of taken) bound += gains[i]!
    if (bound < top.bound - SAME * Math.abs(bound)) {
      top = { bound, gains: gains.slice(), multipliers: price.slice() }
      since = 0
    } else if (++since >= PATIENCE) {
      step /= 2
      since = 0
    }
    if (top.bound <= best * (1 + SAME)) break
    slope.fill(1)
    for (const i of taken) {
      const w = worth[open[i]!]!
      for (let s = 0; s < scenes; s++) if (w[s]! - floor[s]! > price[s]!) slope[s]!--
    }
    let length = 0
    for (let s = 0; s < scenes; s++) {
      // A price of nothing cannot fall.
      if (slope[s]! > 0 && price[s] === 0) slope[s] = 0
      length += slope[s]! ** 2
    }
    if (length === 0) break
    const by = (step * (bound - best)) / length
    for (let s = 0; s < scenes; s++) price[s] = Math.max(0, price[s]! - by * slope[s]!)
  }
  return top
}

/** A good set to begin with: the best finish added time and again, then exchanged while that helps. */
function greedy(worth: CoverWorth, node: Node): { chosen: number[]; value: number } {
  const chosen: number[] = []
  const valueOf = (set: readonly number[]) => sum(set.reduce((floor, f) => raised(floor, worth[f]!), node.floor))
  while (chosen.length < Math.min(node.picks, node.open.length)) {
    const floor = chosen.reduce((of, f) => raised(of, worth[f]!), node.floor)
    const rest = node.open.filter(f => !chosen.includes(f))
    const values = rest.map(f => sum(raised(floor, worth[f]!)))
    chosen.push(rest[values.indexOf(Math.max(...values))]!)
  }
  let value = valueOf(chosen)
  for (let better = true; better;) {
    better = false
    for (let i = 0; i < chosen.length; i++)
      for (const f of node.open) {
        if (chosen.includes(f)) continue
        const tried = chosen.map((c, k) => (k === i ? f : c))
        const v = valueOf(tried)
        if (v > value * (1 + SAME)) {
          chosen[i] = f
          value = v
          better = true
        }
      }
  }
  return { chosen, value }
}

/**
 * The set of at most `size` finishes that covers most, exact: branch and bound over who is in and who is out, each node
 * bounded by `boundOf`, and finishes fixed in or out where their gain says so. Proven unless the search grows beyond
 * its bound.
 * @param from indices that may be taken; `keep` are in already and count
 */
export function bestCover(
  worth: CoverWorth,
  from: readonly number[],
  size: number,
  keep: readonly number[] = [],
): KitCover {
  const scenes = worth[0]?.length ?? 0
  const floor = keep.reduce<Float64Array>((of, f) => raised(of, worth[f]!), new Float64Array(scenes))
  const open = from.filter(f => !keep.includes(f))
  const picks = Math.min(size - keep.length, open.length)
  if (picks <= 0) {
    const value = sum(floor)
    return { chosen: [...keep], value, bound: value, proven: true }
  }
  // The best gain a scene may have, halved: near where the prices settle.
  const multipliers = new Float64Array(scenes)
  for (const f of open)
    for (let s = 0; s < scenes; s++) multipliers[s] = Math.max(multipliers[s]!, (worth[f]![s]! - floor[s]!) / 2)
  const root: Node = { floor, open, picks, chosen: [...keep], value: sum(floor), multipliers }
  const first = greedy(worth, root)
  let best = { chosen: [...keep, ...first.chosen], value: first.value }
  let bound = first.value
  let nodes = 0
  let proven = true
  const withFinish = (node: Node, f: number): Node => {
    const raisedFloor = raised(node.floor, worth[f]!)
    // What is in already takes its share of what a scene has left to gain.
    const lifted = node.multipliers.map((u, s) => Math.max(0, u - (raisedFloor[s]! - node.floor[s]!)))
    return {
      floor: raisedFloor,
      open: node.open.filter(g => g !== f),
      picks: node.picks - 1,
      chosen: [...node.chosen, f],
      value: sum(raisedFloor),
      multipliers: lifted,
    }
  }
  const search = (start: Node): void => {
    let node = start
    if (node.value > best.value) best = { chosen: [...node.chosen], value: node.value }
    if (node.picks <= 0 || !node.open.length) return
    if (++nodes > MOST_NODES) {
      proven = false
      return
    }
    const at = boundOf(worth, node, best.value, node === root ? ROUNDS.root : ROUNDS.below)
    if (node === root) bound = at.bound
    if (at.bound <= best.value * (1 + SAME)) return
    // Leaving out one that is taken, or taking one that is left out, lowers the bound by at least the difference to
    // who would take its place: where that falls under the best, it is settled.
    const order = largest(at.gains, node.open.length)
    const slack = at.bound - best.value
    const lastIn = at.gains[order[Math.min(node.picks, order.length) - 1]!]!
    const stays = node.open.filter((_, i) => lastIn - at.gains[i]! <= slack)
    node = { ...node, open: stays, multipliers: at.multipliers }
    const branch = node.open.reduce((a, b) => (gainOf(at, start, b) > gainOf(at, start, a) ? b : a))
    search(withFinish(node, branch))
    search({ ...node, open: node.open.filter(f => f !== branch) })
  }
  search(root)
  return { ...best, bound: proven ? best.value : bound, proven }
}

const gainOf = (at: Bound, node: Node, finish: number) => at.gains[node.open.indexOf(finish)]!
