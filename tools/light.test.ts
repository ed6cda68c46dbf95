import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { solver } from './light-table/solver'

/** What the probe prints for a line each. */
function probe(...lines: object[]): Record<string, unknown>[] {
  const input = lines.map(l => JSON.stringify(l)).join('\n')
  const { stdout } = spawnSync('node_modules/.bin/tsx', ['tools/light.ts'], { input, encoding: 'utf8' })
  return stdout
    .trim()
    .split('\n')
    .map(l => JSON.parse(l) as Record<string, unknown>)
}

describe('the light probe', () => {
  const POINT = { omega: 0.7, tau: 2.2, sun: 0.85 }
  const [table, solved, sky, cloudier, wrong, dark] = probe(
    POINT,
    { ...POINT, solver: true },
    { omega: 0.7, tau: 2.2, sun: null },
    { ...POINT, back: 0.06 },
    { omega: 1.4, tau: 2, sun: 1 },
    { omega: 0.5, tau: -1, sun: 0.9 },
  )
  it('says what the solver says, with every quantity by its way of looking', () => {
    const want = solver({ g: 0.924, rayleigh: 0 }, 0.7)({ kind: 'beam', mu: 0.85 }).at(2.2)
    expect(solved).toEqual(JSON.parse(JSON.stringify(want)))
    expect(Object.keys(table!)).toEqual(['ed', 'eu', 'e0', 'eSide', 'lh', 'lZen', 'lNad'])
    for (const key of ['eSide', 'lh'] as const) {
      for (const way of ['mean', 'toward', 'across', 'away'] as const) {
        const got = (table![key] as Record<string, number>)[way]!
        expect(Math.abs(got / want[key][way] - 1)).toBeLessThan(0.02)
      }
    }
  })
  it('has no bearing under an even sky, and more thrown up where more scatters backwards', () => {
    const { toward, away } = sky!.lh as { toward: number; away: number }
    expect(toward).toBe(away)
    expect(cloudier!.eu as number).toBeGreaterThan(2.5 * (table!.eu as number))
  })
  it('says what is wrong with a line it cannot answer', () => {
    expect([wrong!.error, dark!.error]).toEqual(['omega must be from 0 to below 1', 'tau must be 0 or more'])
  })
})
