import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { backscatterShare } from '#core/water/backscatter'
import { COLUMN, COLUMNS, addLight } from '#core/light-field/table'
import { tableFile } from './build'
import { type LightAt, solver } from './solver'

const ASYMPTOTE = [
  [0.3, 0.784, 0.0024, 0.0028, 0.13, 0.067],
  [0.5, 0.606, 0.0064, 0.0078, 0.177, 0.139],
  [0.8, 0.306, 0.0344, 0.038, 0.288, 0.414],
  [0.9, 0.189, 0.0838, 0.0752, 0.378, 0.625],
  [0.95, 0.122, 0.165, 0.118, 0.472, 0.784],
] as const

describe('the radiative transfer solver', () => {
  it.each(ASYMPTOTE)('meets the asymptote at albedo %d', (omega, k, r, lh, side, rho) => {
    const s = solver(0.924, omega)({ kind: 'diffuse' })
    const l = s.at(70)
    const within = (got: number, want: number) => expect(Math.abs(got / want - 1)).toBeLessThan(0.03)
    within(s.decay[0]!, k)
    within(l.eu / l.ed, r)
    within(l.lh / l.ed, lh)
    within(l.eSide / l.ed, side)
    within((Math.PI * l.lh) / l.eSide, rho)
  })
  it('has the exact isotropic solution', () => {
    for (const [omega, k] of [
      [0.7, 0.82863],
      [0.9, 0.52543],
      [0.95, 0.37949],
    ] as const) {
      expect(solver(0, omega)({ kind: 'diffuse' }).decay[0]).toBeCloseTo(k, 4)
      expect((omega / (2 * k)) * Math.log((1 + k) / (1 - k))).toBeCloseTo(1, 3)
    }
  })
  it('makes no energy: net light falls by just what is absorbed', () => {
    for (const source of [{ kind: 'diffuse' }, { kind: 'beam', mu: 0.83 }] as const) {
      const { at } = solver(0.924, 0.85)(source)
      for (const tau of [0.3, 1, 4, 12]) {
        const h = 1e-3
        const net = (t: number) => at(t).ed - at(t).eu
        expect((net(tau - h) - net(tau + h)) / (2 * h) / (0.15 * at(tau).e0)).toBeCloseTo(1, 3)
      }
    }
  })
  it('does not depend on the number of streams past 48', () => {
    for (const tau of [0.5, 3, 15]) {
      const a = solver(0.924, 0.9, 48)({ kind: 'beam', mu: 0.83 }).at(tau)
      const b = solver(0.924, 0.9, 96)({ kind: 'beam', mu: 0.83 }).at(tau)
      for (const key of ['ed', 'eu', 'eSide', 'lh', 'lNad'] as const)
        expect(Math.abs(a[key] / b[key] - 1)).toBeLessThan(0.02)
    }
  })
})

describe('the light table', () => {
  it('is what the script makes, to the last digit', () => {
    expect(tableFile()).toBe(readFileSync(new URL('../../core/data/lightTable.ts', import.meta.url), 'utf8'))
  }, 60_000)
  it('stays true between its grid points', () => {
    const KEYS = ['ed', 'eu', 'e0', 'eSide', 'lh', 'lZen', 'lNad'] as const satisfies readonly (keyof LightAt)[]
    const worst: Record<string, number> = {}
    for (const omega of [0.36, 0.66, 0.81, 0.9, 0.965, 0.985]) {
      const solve = solver(0.924, omega)
      for (const mu of [0.97, 0.88, 0.76, null]) {
        const { at } = solve(mu === null ? { kind: 'diffuse' } : { kind: 'beam', mu })
        for (const tau of [0.28, 0.9, 2.5, 5.7, 11.4, 22]) {
          const got = new Float64Array(COLUMNS)
          addLight(got, { omega, tau, share: backscatterShare(0.924) }, mu, 1)
          const want = at(tau)
          for (const k of KEYS) worst[k] = Math.max(worst[k] ?? 0, Math.abs(got[COLUMN[k]]! / want[k] - 1))
        }
      }
    }
    expect(worst.ed).toBeLessThan(0.03)
    for (const k of ['eu', 'e0', 'eSide', 'lh', 'lNad']) expect(worst[k], k).toBeLessThan(0.06)
    expect(worst.lZen).toBeLessThan(0.25)
  })
})
