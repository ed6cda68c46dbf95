import { COLUMN } from '#core/light-field/table'
import type { LightColumn } from '#core/light-field/lightField'
import { CALLED, CHANNELS, ERRORS, SENSOR, turbidityOf } from '#core/evidence/likelihood'
import { repainted, strayed } from '#core/evidence/strays'
import { targetReflectance } from '#core/evidence/target'
import { waterOf } from '#core/evidence/readWater'
import { posteriorOf, tintOdds } from '#core/evidence/whichWater'
import { EYE, EYE_BANDS, constituentsFromReading, readingColumn, vanishingDepthM } from '#core/reading/disc'
import type { Reading } from '#core/request/readings'
import type { ReadingKind } from '#core/water/readingKinds'
import { hex, srgbFromLinear } from '#core/spectrum/colour'
import { waterOptics } from '#core/water/optics'
import { throughJar } from '#core/water/throughJar'
import { type Constituents, TINTS, type TintId, scaled } from '#core/water/tints'
import { dice } from './dice'

/** A hand reads depths to 15 %. */
const HAND = 0.15
const TINT_IDS = Object.keys(TINTS) as TintId[]

interface Truth {
  tint: TintId
  constituents: Constituents
  column: LightColumn
  discM: number
}
type Dice = ReturnType<typeof dice>

/** A water as nature has it: of any tint, even in the logarithm of its amount, strayed from its recipe. */
export function drawWater({ even, normal }: Dice): Truth {
  for (;;) {
    const tint = TINT_IDS[Math.floor(even() * TINT_IDS.length)]!
    const recipe = scaled(TINTS[tint].recipe, 2e-3 * (60 / 2e-3) ** even())
    const constituents = strayed(recipe, [normal(), normal(), normal()])
    const column = readingColumn(waterOptics(constituents, false))
    const discM = vanishingDepthM(column)
    const { clearFromM } = TINTS[tint]
    if (discM < 0.1 || discM > 10) continue
    if (clearFromM !== null && even() > (discM / clearFromM) ** 3) continue
    return { tint, constituents, column, discM }
  }
}

/** A jar photographed: the paper nearly white, the camera's balance off, shading, and noise. */
export function drawJar({ normal }: Dice, { constituents }: { constituents: Constituents }, pathM = 0.08): Reading {
  const balance = [0, 1, 2].map(() => Math.exp(0.08 * normal()))
  const noisy = (v: number, i: number) => v * balance[i]! * Math.exp(0.04 * normal())
  const shade = Math.exp(0.1 * normal())
  const water = throughJar(waterOptics(constituents, false), pathM).map((v, i) => noisy(Math.max(0, v) * shade, i))
  const paper = [0.85, 0.85, 0.85].map(noisy)
  const text = (rgb: number[]) => hex(srgbFromLinear(rgb.map(v => Math.min(1, v)) as [number, number, number]))
  return { kind: 'jar', water: text(water), paper: text(paper), pathM }
}

/** One reading of a water by a hand, with the errors hands and instruments have. */
export function drawReading(d: Dice, truth: Truth, kind: ReadingKind): Reading {
  const { even, normal } = d
  const lost = (target: Parameters<typeof repainted>[0], error = HAND) =>
    Math.min(60, vanishingDepthM(truth.column, repainted(target, normal())) * Math.exp(error * normal()))
  switch (kind) {
    case 'disc':
      return { kind, depthM: truth.discM * Math.exp(HAND * normal()) }
    case 'target': {
      const target = even() < 0.5 ? 'white' : 'black'
      return { kind, target, depthM: lost(targetReflectance(target)!) }
    }
    case 'seen-to':
      return { kind, what: 'motor', depthM: lost(0.05, ERRORS.seenTo) }
    case 'turbidity':
      return { kind, fnu: turbidityOf(truth) * Math.exp(ERRORS.turbidity * normal()) }
    case 'light': {
      const steps = Array.from({ length: 5 }, (_, i) => truth.discM * (0.1 + 0.3 * i))
      const slope = 1 + 0.06 * normal()
      const samples = steps.map(depthM => {
        const through = (weights: readonly number[]) =>
          EYE_BANDS.reduce((s, b, i) => s + weights[i]! * truth.column.value(b, depthM * slope, COLUMN.ed), 0)
        const noisy = (v: number) => v * Math.exp(0.06 * normal())
        const colours = Object.fromEntries(CHANNELS.map(c => [c, noisy(through(SENSOR[c]))]))
        return { depthM, lux: noisy(through(EYE)), ...colours }
      })
      const most = Math.max(...samples.map(s => s.lux))
      const scale = (v: number) => (2e4 * v) / most
      return {
        kind,
        samples: samples.map(({ depthM, ...light }) => ({
          depthM,
          ...(Object.fromEntries(Object.entries(light).map(([k, v]) => [k, scale(v)])) as { lux: number }),
        })),
      }
    }
    case 'jar':
      return drawJar(d, truth)
    case 'look': {
      let left = even()
      const tint = TINT_IDS.find(t => (left -= CALLED[truth.tint][t]) <= 0) ?? truth.tint
      return { kind, tint }
    }
  }
}

const KINDS: readonly ReadingKind[] = ['disc', 'target', 'seen-to', 'turbidity', 'light', 'jar', 'look']

/**
 * Simulated anglers with any so many readings in waters that stray from their recipes: how often the nine-in-ten
 * interval holds the true disc depth, and how often a tint's odds come true.
 */
export function calibration(count: number, seed: number, readings = 3, kinds: readonly ReadingKind[] = KINDS) {
  const d = dice(seed)
  const bins = Array.from({ length: 5 }, () => ({ said: 0, true: 0, count: 0 }))
  let covered = 0
  for (let k = 0; k < count; k++) {
    const truth = drawWater(d)
    const taken = Array.from({ length: readings }, () =>
      drawReading(d, truth, kinds[Math.floor(d.even() * kinds.length)]!),
    )
    const { visibilityM, tints } = waterOf(posteriorOf(taken, false))
    if (truth.discM >= visibilityM.low && truth.discM <= visibilityM.high) covered++
    for (const t of tints) {
      const bin = bins[Math.min(4, Math.floor(t.odds * 5))]!
      bin.said += t.odds
      bin.count++
      if (t.tint === truth.tint) bin.true++
    }
  }
  return {
    covered: covered / count,
    byOdds: bins.map(b => ({ said: b.said / b.count, true: b.true / b.count, count: b.count })),
  }
}

/** The light's path through a tall jar, and through the longest there is, which clear water needs, m. */
const TALL_M = 1
const LONGEST_M = 2
const pathFor = (tint: TintId) => (TINTS[tint].clearFromM === null ? TALL_M : LONGEST_M)
/** Disc depths that the waters of a tint are drawn between, m. */
const drawnM = (tint: TintId) => (TINTS[tint].clearFromM === null ? [0.3, 3] : [2.5, 10]) as [number, number]

/** The likeliest tint by these readings. */
const calledBy = (...readings: Reading[]) => tintOdds(posteriorOf(readings, false))[0]!.tint

/** How often a tall jar of each tint's own recipe, in any clarity, is called right with what the disc read. */
export function tallJarsRight(count: number, seed: number): Record<TintId, number> {
  const d = dice(seed)
  const isRight = (tint: TintId) => {
    const [from, to] = drawnM(tint)
    const discM = from * (to / from) ** d.even()
    const constituents = constituentsFromReading(TINTS[tint].recipe, false, discM)
    const disc: Reading = { kind: 'disc', depthM: discM * Math.exp(HAND * d.normal()) }
    return calledBy(drawJar(d, { constituents }, pathFor(tint)), disc) === tint
  }
  const shareOf = (tint: TintId) => Array.from({ length: count }, () => isRight(tint)).filter(Boolean).length / count
  return Object.fromEntries(TINT_IDS.map(tint => [tint, shareOf(tint)])) as Record<TintId, number>
}

/** How often a jar of each tint is called right, in ordinary water of that tint, with what the disc read. */
export function jarsRight(count: number, seed: number): Record<TintId, number> {
  const d = dice(seed)
  return Object.fromEntries(
    TINT_IDS.map(tint => {
      let right = 0
      for (let k = 0; k < count; k++) {
        let truth = drawWater(d)
        while (truth.tint !== tint) truth = drawWater(d)
        const jar = drawJar(d, truth, TINTS[tint].jar.pathM > 1 ? 2 : 0.3)
        if (calledBy(jar, drawReading(d, truth, 'disc')) === tint) right++
      }
      return [tint, right / count]
    }),
  ) as Record<TintId, number>
}
