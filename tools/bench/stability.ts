import { requests } from '../../tests/advice/grid'
import { STRAYS, steadiness } from '../../tests/advice/stability'
import { table } from './timing'

const COUNT = 240
const SEED = 11
/** Below this clarity, m, little can be told apart and the order of what cannot is nobody's concern. */
const LEAST_CLARITY_M = 0.3

const percentile = (values: readonly number[], p: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(p * values.length))]!

/** How steady the ranking is as the readings stray: order, first place, and what scores move beside each other. */
export function benchStability(): void {
  const asked = requests(COUNT, SEED).filter(r => r.water.visibilityM >= LEAST_CLARITY_M)
  const rows = Object.entries(STRAYS).map(([name, stray]) => {
    const found = asked.map(r => steadiness(r, stray))
    const shifts = found.flatMap(f => f.shifts)
    return [
      name,
      percentile(
        found.map(f => f.tau),
        0.05,
      ).toFixed(3),
      `${((100 * found.filter(f => f.kept).length) / found.length).toFixed(1)} %`,
      percentile(shifts, 0.5).toFixed(4),
      percentile(shifts, 0.9).toFixed(4),
    ]
  })
  table(
    `How steady the ranking is (${asked.length} requests from ${LEAST_CLARITY_M} m; target: tau at least 0.85)`,
    ['reading', 'tau, 5th percentile', 'first kept or within noise', 'shift, median', '90th percentile'],
    rows,
  )
}
