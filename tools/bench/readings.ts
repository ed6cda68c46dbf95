import { calibration, tallJarsRight } from '../../tests/reference/calibration'
import { readWater } from '#core/evidence/readWater'
import type { Reading } from '#core/request/readings'
import type { ReadingKind } from '#core/water/readingKinds'
import { table } from './timing'

const COUNT = 400
const SEED = 7
const MIXTURES: Readonly<Record<string, readonly ReadingKind[] | undefined>> = {
  'any three': undefined,
  'disc and lures': ['disc', 'target'],
  'jar and look': ['jar', 'look'],
  'light meter': ['light'],
  'gauge, motor, disc': ['turbidity', 'seen-to', 'disc'],
}
const TWELVE: readonly Reading[] = [
  { kind: 'disc', depthM: 1 },
  { kind: 'disc', depthM: 1.1 },
  { kind: 'target', target: 'white', depthM: 1 },
  { kind: 'target', target: 'black', depthM: 0.4 },
  { kind: 'target', target: 'jerkbait.bone', depthM: 0.9 },
  { kind: 'seen-to', what: 'boots', depthM: 0.5 },
  { kind: 'turbidity', fnu: 8 },
  { kind: 'jar', water: '#d9d26a', paper: '#f1efe8', pathM: 0.08 },
  { kind: 'light', samples: [0.1, 0.4, 0.7, 1, 1.4].map(m => ({ depthM: m, lux: 20000 * Math.exp(-1.6 * m) })) },
  { kind: 'look', tint: 'green' },
  { kind: 'look', tint: 'mixed' },
  { kind: 'disc', depthM: 1.05 },
]

/** How honest readings of the water are, and how long twelve take. */
export function benchReadings(): void {
  const rows = Object.entries(MIXTURES).map(([name, kinds]) => {
    const { covered, byOdds } = calibration(COUNT, SEED, 3, kinds)
    const odds = byOdds.map(b => (b.count ? `${b.said.toFixed(2)} → ${b.true.toFixed(2)} (${b.count})` : '–'))
    return [name, `${(100 * covered).toFixed(0)} %`, ...odds]
  })
  table(
    `Readings of ${COUNT} simulated anglers (target: 85-95 % covered, odds said → come true within 0.05)`,
    ['three readings', 'covered', '0-0.2', '0.2-0.4', '0.4-0.6', '0.6-0.8', '0.8-1'],
    rows,
  )
  const jars = Object.entries(tallJarsRight(COUNT, SEED))
  table(
    `A tall jar (1 m; clear water 2 m) and a disc, ${COUNT} of each tint: right in ten (target 8)`,
    ['tint', 'right'],
    jars.map(([tint, share]) => [tint, (10 * share).toFixed(1)]),
  )
  readWater(TWELVE, 'fresh', 'us')
  const times = Array.from({ length: 9 }, () => {
    const began = performance.now()
    readWater(TWELVE, 'fresh', 'us')
    return performance.now() - began
  }).sort((a, b) => a - b)
  console.log(`\nTwelve readings: ${times[4]!.toFixed(0)} ms median (target 150)`)
}
