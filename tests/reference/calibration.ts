import { paintReflectance } from '#core/paintwork/paints'
import { readingColumn, vanishingDepthM } from '#core/reading/disc'
import { waterOptics } from '#core/water/optics'
import { TINTS, type TintId, scaled } from '#core/water/tints'
import { READING_ERROR, repainted, strayed, waterFromTwoTargets } from '#core/reading/twoTargets'
import { dice } from './dice'

/**
 * Two-lure readings in simulated waters that stray from their recipes, with lures that stray from their paint and hands
 * that misread: how often the nine-in-ten interval holds the true disc depth, and how often a tint's odds come true.
 */
export function calibration(count: number, seed: number) {
  const { even, normal } = dice(seed)
  const [white, black] = [paintReflectance('white'), paintReflectance('black')]
  const tints = Object.keys(TINTS) as TintId[]
  const bins = Array.from({ length: 5 }, () => ({ said: 0, true: 0, count: 0 }))
  let covered = 0
  let made = 0
  while (made < count) {
    const tint = tints[Math.floor(even() * tints.length)]!
    const amount = 2e-3 * (60 / 2e-3) ** even()
    const column = readingColumn(
      waterOptics(strayed(scaled(TINTS[tint].recipe, amount), [normal(), normal(), normal()]), false),
    )
    const discM = vanishingDepthM(column)
    const { clearFromM } = TINTS[tint]
    if (discM < 0.1 || discM > 10) continue
    if (clearFromM !== null && even() > (discM / clearFromM) ** 3) continue
    made++
    const misread = (target: typeof white) =>
      vanishingDepthM(column, repainted(target, normal())) * Math.exp(READING_ERROR * normal())
    const r = waterFromTwoTargets({ target: white, depthM: misread(white) }, { target: black, depthM: misread(black) })
    if (discM >= r.lowM && discM <= r.highM) covered++
    for (const t of r.tints) {
      const bin = bins[Math.min(4, Math.floor(t.odds * 5))]!
      bin.said += t.odds
      bin.count++
      if (t.tint === tint) bin.true++
    }
  }
  return {
    covered: covered / count,
    byOdds: bins.map(b => ({ said: b.said / b.count, true: b.true / b.count, count: b.count })),
  }
}
