import { LightColumn } from '#core/light-field/lightField'
import { readingColumn, vanishingDepthM } from '#core/reading/disc'
import { evenNormals, strayed } from '#core/evidence/strays'
import type { SkyLight } from '#core/sky/light'
import { waterOptics } from '#core/water/optics'
import { type Constituents, TINTS, type TintId, scaled } from '#core/water/tints'

/** Amounts of each recipe tried, evenly in their logarithm: as close as a reading can tell. */
const STEPS = 34
const AMOUNTS = [2e-3, 60] as const
/** Ways of straying from a recipe tried with each amount. */
const WAYS = evenNormals(128)
/** Constituents stray one at a time by a standard deviation; between and beyond, predictions go in straight lines. */
const DIRECTIONS = [
  [0, 0, 0],
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
] as const
/** Disc depths that count, m. */
const RANGE_M = [0.05, 30] as const

/** A water worked out in full: a recipe at an amount, or strayed in one constituent. */
interface Worked {
  constituents: Constituents
  column: LightColumn
}
/** A recipe at an amount with its three neighbours. */
interface Node {
  tint: TintId
  worked: Worked[]
}

/** What may be predicted of a water; its logarithm goes nearly straight with the logarithms of the constituents. */
export type Predicts = (w: Worked) => number

/**
 * The waters that may be, before anything is read: every tint in every amount, straying from its recipe as nature
 * does. Predictions are worked out for the recipes and for one stray of each constituent, and taken straight in
 * between: against waters worked out one by one, within 15 % for nine tenths of disc depths (tested).
 */
export interface Possible {
  count: number
  tint: readonly TintId[]
  /** Disc depth of each, m. */
  discM: Float64Array
  /** How likely each is before anything is read; sums to 1. */
  prior: Float64Array
  /** Logarithm of the depth at which a disc let down in each is lost. */
  lnLost: Float64Array
  /**
   * Logarithm of a prediction for each; remembered under a name where it has one.
   * @param mostBySky the most that another sky may make of it
   */
  predict: (of: Predicts, name?: string, mostBySky?: number) => Float64Array
  /** The same waters under the sky that is over them while they are read, instead of the one discs are meant under. */
  under: (sky: SkyLight) => Possible
}

/** Predictions remembered: a few targets, each strayed and not. */
const MOST_KNOWN = 24

const discLost: Predicts = w => vanishingDepthM(w.column)

function makeNodes(salt: boolean): Node[] {
  const nodes: Node[] = []
  for (const tint of Object.keys(TINTS) as TintId[])
    for (let i = 0; i < STEPS; i++) {
      const recipe = scaled(TINTS[tint].recipe, AMOUNTS[0] * (AMOUNTS[1] / AMOUNTS[0]) ** (i / (STEPS - 1)))
      const worked = DIRECTIONS.map(z => {
        const constituents = strayed(recipe, z)
        return { constituents, column: readingColumn(waterOptics(constituents, salt)) }
      })
      nodes.push({ tint, worked })
    }
  return nodes
}

/**
 * A target that is as bright as its water vanishes at once: near there one stray says too much of the next, and is
 * held.
 */
const MOST_STEP = 0.8
const step = (v: number) => Math.max(-MOST_STEP, Math.min(MOST_STEP, v))

/** What another sky does to a prediction is worked out for every so many amounts of a recipe, its ends among them. */
const SKY_EVERY = 11
/** Of a depth it makes some hundredths; a target nearly as bright as its water would say anything, and is held. */
export const MOST_BY_SKY = 0.2

/** What a sky adds to the logarithm of a prediction in each node: straight between the amounts worked out. */
function bySky(nodes: readonly Node[], sky: SkyLight): (of: Predicts, most: number) => number[] {
  const inSky = nodes.map(({ worked: [usual] }, n) =>
    (n % STEPS) % SKY_EVERY ? null : { ...usual!, column: new LightColumn(usual!.column.water, sky) },
  )
  return (of, most) => {
    const ln = (w: Worked) => Math.log(Math.max(1e-9, of(w)))
    const shifts = inSky.map((here, n) =>
      here ? Math.max(-most, Math.min(most, ln(here) - ln(nodes[n]!.worked[0]!))) : 0,
    )
    return nodes.map((_, n) => {
      const past = (n % STEPS) % SKY_EVERY
      if (past === 0) return shifts[n]!
      const t = past / SKY_EVERY
      return (1 - t) * shifts[n - past]! + t * shifts[n - past + SKY_EVERY]!
    })
  }
}

function makePossible(salt: boolean): Possible {
  const nodes = makeNodes(salt)
  const count = nodes.length * WAYS.length
  const known = new Map<string, Float64Array>()
  const predict = (of: Predicts, name?: string): Float64Array => {
    const before = name === undefined ? undefined : known.get(name)
    if (before) return before
    const out = new Float64Array(count)
    nodes.forEach(({ worked }, n) => {
      const [base, ...by] = worked.map(w => Math.log(Math.max(1e-9, of(w))))
      const [a, b, c] = by.map(v => step(v - base!)) as [number, number, number]
      for (let k = 0; k < WAYS.length; k++) {
        const z = WAYS[k]!
        out[n * WAYS.length + k] = base! + (z[0] * a + z[1] * b + z[2] * c)
      }
    })
    if (name !== undefined) {
      if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!)
      known.set(name, out)
    }
    return out
  }
  const lnDisc = predict(discLost)
  const discM = lnDisc.map(Math.exp)
  const tint = nodes.flatMap(n => WAYS.map(() => n.tint))
  const prior = new Float64Array(count)
  nodes.forEach((node, n) => {
    const { clearFromM } = TINTS[node.tint]
    WAYS.forEach((_, k) => {
      const at = n * WAYS.length + k
      const before = nodes[n - 1]?.tint === node.tint ? at - WAYS.length : at
      const after = nodes[n + 1]?.tint === node.tint ? at + WAYS.length : at
      const m = discM[at]!
      if (m < RANGE_M[0] || m > RANGE_M[1]) return
      // Even in the logarithm of the disc depth, the less likely the murkier for a tint that needs clear water.
      prior[at] = Math.abs(lnDisc[before]! - lnDisc[after]!) * (clearFromM ? Math.min(1, (m / clearFromM) ** 3) : 1)
    })
  })
  const total = prior.reduce((s, p) => s + p, 0)
  const usual = { count, tint, discM, prior: prior.map(p => p / total), lnLost: lnDisc, predict }
  const under = (sky: SkyLight): Possible => {
    const shiftOf = bySky(nodes, sky)
    const shifted = (ln: Float64Array, of: Predicts, most = Infinity) => {
      const shift = shiftOf(of, most)
      return ln.map((v, i) => v + shift[Math.floor(i / WAYS.length)]!)
    }
    return {
      ...usual,
      lnLost: shifted(lnDisc, discLost),
      predict: (of, name, most) => shifted(predict(of, name), of, most),
      under,
    }
  }
  return { ...usual, under }
}

const made = new Map<boolean, Possible>()
/** The possible waters, fresh or salt; made once, which takes some four tenths of a second. */
export function possibleWaters(salt: boolean): Possible {
  let waters = made.get(salt)
  if (!waters) made.set(salt, (waters = makePossible(salt)))
  return waters
}

/** Error that comes of the waters' spacing and straight lines, as a standard deviation of a logarithm. */
export const GRID_ERROR = 0.04
