import { COLUMN } from '#core/light-field/table'
import { EYE, EYE_BANDS, vanishingDepthM } from '#core/reading/disc'
import { GRID_ERROR, MOST_BY_SKY, type Possible, type Predicts } from '#core/evidence/possible'
import { READING_ERROR, repainted } from '#core/evidence/strays'
import { targetReflectance } from '#core/evidence/target'
import type { Reading } from '#core/request/readings'
import type { ReadingKind } from '#core/water/readingKinds'
import { decodeChannel, fromHex } from '#core/spectrum/colour'
import { WAVELENGTHS_NM } from '#core/spectrum/grid'
import { waterOptics } from '#core/water/optics'
import { throughJar } from '#core/water/throughJar'
import type { TintId } from '#core/water/tints'

/** What one reading says of every possible water. */
export interface Evidence {
  kind: ReadingKind
  /** Squared distance of the reading from what each water would give, in its standard errors. */
  miss: Float64Array
  /** Logarithm of how likely the reading is in each water. */
  lnLikely: Float64Array
}

/** Readings shallower than this cannot be told from none, m. */
const SHALLOWEST_M = 0.04
const logDepth = (m: number) => Math.log(Math.max(SHALLOWEST_M, m))

/**
 * Errors of readings, standard deviations of their logarithms. Depths of discs: repeat readings differ by 10-15 %
 * (Davies-Colley 1988, Limnol. Oceanogr. 33). Turbidity: the spread of turbidity against suspended matter between
 * waters, about a third (Neukermans et al. 2012, Limnol. Oceanogr. Methods 10). The others are ours.
 */
export const ERRORS = {
  depth: READING_ERROR,
  /** A lowered lure: the same, and what straight lines between waters miss where it is nearly as bright as they. */
  target: 0.16,
  /** A motor or a boot is no disc: its colour and size are a guess. */
  seenTo: 0.25,
  turbidity: 0.35,
  /** Flicker of the sky and the surface between two samples; and a share of the fall, for the sun's height. */
  light: 0.1,
  slope: 0.08,
  colourRatio: 0.1,
  /** White balance that the paper does not mend, and shading that all channels share. */
  jar: 0.07,
  shade: 0.15,
} as const

/** Share of readings that are simply slips, three times as far off. */
const SLIPS = 0.03
const SLIP_WIDTH = 3

/** So far off only a slip explains it: what else might is less than a number can hold beside it. */
const SURELY_SLIPPED = 90
const LN_SLIPPED = Math.log(SLIPS / SLIP_WIDTH)

/** A slip now and then, so that one odd reading does not outvote the rest. */
function likelyOf(miss: Float64Array): Float64Array {
  return miss.map(m => {
    const slipped = (-0.5 * m) / SLIP_WIDTH ** 2
    if (m > SURELY_SLIPPED) return LN_SLIPPED + slipped
    return Math.log((1 - SLIPS) * Math.exp(-0.5 * m) + (SLIPS / SLIP_WIDTH) * Math.exp(slipped))
  })
}

const squaredMiss = (predicted: Float64Array, read: number, error: number): Float64Array =>
  predicted.map(p => ((p - read) / error) ** 2)

/** How far off a reading is in each water, and the logarithm of a factor where errors differ between waters. */
interface Miss {
  miss: Float64Array
  lnScale?: Float64Array
}

/** Steps of reflectance between which a strayed target is predicted, in standard deviations. */
const REPAINT_STEP = 1

const lost = (waters: Possible, name: string, target: number | Float64Array): Float64Array =>
  waters.predict(w => Math.max(SHALLOWEST_M, vanishingDepthM(w.column, target)), name, MOST_BY_SKY)

/** A target's paint strays no farther than this, in standard deviations. */
const MOST_STRAYED = 2

/**
 * Logarithm of the depth past which a target is not seen in each water, however its paint strays: black may turn out a
 * little paler than its water, and never as white is.
 */
function deepestLost(waters: Possible, name: string, target: number | Float64Array): Float64Array {
  const [dark, pale] = [-MOST_STRAYED, MOST_STRAYED].map(z => lost(waters, `${name} ${z}`, repainted(target, z)))
  return dark!.map((v, i) => Math.max(v, pale![i]!))
}

/**
 * Logarithm of the depth at which a target strayed so far vanishes in each water. Straight lines between waters run on
 * where a target is nearly as bright as its water and vanishes at once; none is seen deeper than its paint allows.
 */
export function lostAt(waters: Possible, name: string, target: number | Float64Array, z = 0): Float64Array {
  const deepest = deepestLost(waters, name, target)
  return lost(waters, `${name} ${z}`, repainted(target, z)).map((v, i) => Math.min(v, deepest[i]!))
}

/** A target's vanishing depth, with the error that its strayed reflectance adds, which hangs on the water. */
function ofTarget(waters: Possible, name: string, target: number | Float64Array, depthM: number, error: number): Miss {
  const [mid, up] = [0, REPAINT_STEP].map(z => lostAt(waters, name, target, z)) as [Float64Array, Float64Array]
  const read = logDepth(depthM)
  const variance = mid.map((p, i) => error ** 2 + GRID_ERROR ** 2 + Math.min(1, Math.abs(up[i]! - p)) ** 2)
  const deepest = deepestLost(waters, name, target)
  const base = error ** 2 + GRID_ERROR ** 2
  const miss = mid.map((p, i) => {
    // What the paint may do ends where nothing is seen any deeper: past that a reading is simply off.
    const within = Math.min(read, Math.max(p, deepest[i]!))
    return (Math.max(Math.log(SHALLOWEST_M), p) - within) ** 2 / variance[i]! + (read - within) ** 2 / base
  })
  // Where the target's own paint decides, its depth may be any: each is the less likely for that.
  return { miss, lnScale: variance.map(v => -0.5 * Math.log(v / error ** 2)) }
}

/** Reflectance of dark things let down or stood on. Ours. */
const DARK_THINGS = { motor: 0.05, boots: 0.07 } as const

/** Turbidity of a water, FNU: a unit to a gram a cubic metre of silt, and of algae, 70 times their chlorophyll. */
const ALGAE_FNU = 0.07
export const turbidityOf: Predicts = ({ constituents: c }) => Math.max(0.02, c.silt + ALGAE_FNU * c.chlorophyll)

/** Weights of a light meter's channels over the bands of the eye's integrals: Gaussians of 40 nm about the peaks. */
const CHANNEL_NM = { red: 610, green: 540, blue: 460 } as const
type Channel = keyof typeof CHANNEL_NM
export const CHANNELS = Object.keys(CHANNEL_NM) as Channel[]
export const SENSOR = Object.fromEntries(
  CHANNELS.map(c => [c, EYE_BANDS.map(b => Math.exp(-0.5 * ((WAVELENGTHS_NM[b]! - CHANNEL_NM[c]) / 40) ** 2))]),
) as Record<Channel, number[]>

/** Logarithms of the downward light at a depth in each water, through each of several sets of weights. */
function lightAt(waters: Possible, depthM: number, through: readonly (readonly number[])[]): Float64Array[] {
  const bands = new Map<object, number[]>()
  return through.map(weights =>
    waters.predict(w => {
      let ed = bands.get(w)
      if (!ed) bands.set(w, (ed = EYE_BANDS.map(b => w.column.value(b, depthM, COLUMN.ed))))
      return ed.reduce((s, v, i) => s + weights[i]! * v, 0)
    }),
  )
}

/** No meter tells colours further apart than this, as a logarithm of their ratio. */
const MOST_LN_RATIO = 14
const lnRatio = (a: number, b: number) => Math.max(-MOST_LN_RATIO, Math.min(MOST_LN_RATIO, Math.log(a) - Math.log(b)))

type Light = Extract<Reading, { kind: 'light' }>
/** A meter let down: how fast light falls, and each colour beside green. What is common to all samples is free. */
function ofLight(waters: Possible, { samples }: Light): Float64Array {
  const out = new Float64Array(waters.count)
  const add = (read: number[], predicted: Float64Array[], error: number, slope: number) => {
    const n = read.length
    const variance = error ** 2 + GRID_ERROR ** 2
    const mean = read.reduce((s, v) => s + v, 0) / n
    for (let w = 0; w < waters.count; w++) {
      let middle = 0
      for (let i = 0; i < n; i++) middle += predicted[i]![w]! / n
      for (let i = 0; i < n; i++) {
        const fall = predicted[i]![w]! - middle
        out[w]! += (read[i]! - mean - fall) ** 2 / (variance + (slope * fall) ** 2)
      }
    }
  }
  const colours = samples.some(s => s.green) ? CHANNELS.map(c => SENSOR[c]) : []
  const seen = samples.map(s => lightAt(waters, s.depthM, [EYE, ...colours]))
  add(
    samples.map(s => Math.log(s.lux)),
    seen.map(([lux]) => lux!),
    ERRORS.light,
    ERRORS.slope,
  )
  for (const [c, at] of [
    ['red', 1],
    ['blue', 3],
  ] as const) {
    const coloured = samples.flatMap((s, i) => ((s[c] ?? 0) > 0 && (s.green ?? 0) > 0 ? [i] : []))
    if (coloured.length < 2) continue
    add(
      coloured.map(i => lnRatio(samples[i]![c]!, samples[i]!.green!)),
      coloured.map(i => seen[i]![at]!.map((v, w) => v - seen[i]![2]![w]!)),
      ERRORS.colourRatio,
      ERRORS.slope,
    )
  }
  return out
}

/** The darkest share of a jar's light that a picture still tells from none. */
const DARKEST_JAR = 0.004
/** Logarithms of what each channel keeps of the paper's light through a jar, in each water. */
export function jarChannels(waters: Possible, pathM: number): Float64Array[] {
  const through = new Map<object, number[]>()
  return [0, 1, 2].map(i =>
    waters.predict(w => {
      let rgb = through.get(w)
      if (!rgb) through.set(w, (rgb = throughJar(waterOptics(w.constituents, false), pathM)))
      return Math.max(DARKEST_JAR, rgb[i]!)
    }, `jar ${i} ${pathM}`),
  )
}
type Jar = Extract<Reading, { kind: 'jar' }>
/** A photographed jar: what of each channel is left beside the paper; shading common to all is nearly free. */
function ofJar(waters: Possible, { water, paper, pathM }: Jar): Float64Array {
  const linear = (text: string) => fromHex(text).map(v => Math.max(DARKEST_JAR, decodeChannel(v)))
  const [w, p] = [linear(water), linear(paper)]
  const read = w.map((v, i) => Math.log(v / p[i]!))
  const predicted = jarChannels(waters, pathM)
  const out = new Float64Array(waters.count)
  for (let k = 0; k < waters.count; k++) {
    const off = read.map((v, i) => v - predicted[i]![k]!)
    const mean = off.reduce((s, v) => s + v, 0) / 3
    const apart = off.reduce((s, v) => s + (v - mean) ** 2, 0)
    out[k] = apart / (ERRORS.jar ** 2 + GRID_ERROR ** 2) + mean ** 2 / (ERRORS.shade ** 2 + ERRORS.jar ** 2 / 3)
  }
  return out
}

/** How often a water of each tint (first) is called each name by eye. Weak evidence; ours. */
export const CALLED: Record<TintId, Record<TintId, number>> = {
  'blue-clear': { 'blue-clear': 0.7, 'green': 0.18, 'tea': 0.04, 'brown': 0.03, 'mixed': 0.05 },
  'green': { 'blue-clear': 0.08, 'green': 0.6, 'tea': 0.06, 'brown': 0.08, 'mixed': 0.18 },
  'tea': { 'blue-clear': 0.04, 'green': 0.06, 'tea': 0.58, 'brown': 0.18, 'mixed': 0.14 },
  'brown': { 'blue-clear': 0.03, 'green': 0.07, 'tea': 0.15, 'brown': 0.58, 'mixed': 0.17 },
  'mixed': { 'blue-clear': 0.04, 'green': 0.22, 'tea': 0.15, 'brown': 0.22, 'mixed': 0.37 },
}

/** What a reading says of every possible water. Throws on a target that is in no catalogue. */
export function evidenceOf(reading: Reading, waters: Possible): Evidence {
  if (reading.kind === 'look') {
    const lnLikely = Float64Array.from(waters.tint, t => Math.log(CALLED[t][reading.tint]))
    return { kind: 'look', lnLikely, miss: lnLikely.map(l => -2 * (l - Math.log(CALLED[reading.tint][reading.tint]))) }
  }
  const { miss, lnScale } = missOf(reading, waters)
  const lnLikely = likelyOf(miss)
  return { kind: reading.kind, miss, lnLikely: lnScale ? lnLikely.map((v, i) => v + lnScale[i]!) : lnLikely }
}

function missOf(reading: Exclude<Reading, { kind: 'look' }>, waters: Possible): Miss {
  switch (reading.kind) {
    case 'disc':
      return {
        miss: squaredMiss(waters.lnLost, logDepth(reading.depthM), Math.hypot(ERRORS.depth, GRID_ERROR)),
      }
    case 'target': {
      const target = targetReflectance(reading.target)
      if (!target) throw new RangeError('the target is in no catalogue')
      return ofTarget(waters, reading.target, target, reading.depthM, ERRORS.target)
    }
    case 'seen-to':
      return ofTarget(waters, reading.what, DARK_THINGS[reading.what], reading.depthM, ERRORS.seenTo)
    case 'turbidity':
      return {
        miss: squaredMiss(
          waters.predict(turbidityOf, 'turbidity'),
          Math.log(Math.max(0.02, reading.fnu)),
          Math.hypot(ERRORS.turbidity, GRID_ERROR),
        ),
      }
    case 'light':
      return { miss: ofLight(waters, reading) }
    case 'jar':
      return { miss: ofJar(waters, reading) }
  }
}
