import { describe, expect, it } from 'vitest'
import { dice } from '../../tests/reference/dice'
import type { Phase } from './phase'
import { followPhotons } from './photons'
import { associated } from './quadrature'
import { solver } from './solver'

const PARTICLES: Phase = { g: 0.924, rayleigh: 0 }
const beam = (mu: number) => ({ kind: 'beam', mu }) as const
const within = (got: number, want: number, share: number) => expect(Math.abs(got / want - 1)).toBeLessThan(share)

const ASYMPTOTE = [
  [0.3, 0.784, 0.0024, 0.0028, 0.13, 0.067],
  [0.5, 0.606, 0.0064, 0.0078, 0.177, 0.139],
  [0.8, 0.306, 0.0344, 0.038, 0.288, 0.414],
  [0.9, 0.189, 0.0838, 0.0752, 0.378, 0.625],
  [0.95, 0.122, 0.165, 0.118, 0.472, 0.784],
] as const

/**
 * Level radiance at bearings of 0-180° from the sun and irradiance on a face turned to it, across and away, at an
 * optical depth of 1: an independent Monte Carlo of our own with four million photons, noise 0.5-1.5 %.
 */
const MONTE_CARLO = [
  [0.56, 0.9038, [0.0095, 0.00696, 0.00416, 0.00287, 0.00235], [0.29954, 0.03249, 0.01028]],
  [0.56, 0.7631, [0.02044, 0.01119, 0.00455, 0.00264, 0.00214], [0.47701, 0.03876, 0.00851]],
  [0.86, 0.9038, [0.04783, 0.03767, 0.02323, 0.01706, 0.01498], [0.47651, 0.1027, 0.04776]],
  [0.86, 0.7631, [0.10586, 0.06121, 0.0287, 0.0175, 0.01476], [0.79423, 0.12992, 0.04602]],
] as const

describe('the radiative transfer solver', () => {
  it.each(ASYMPTOTE)('meets the asymptote at albedo %d', (omega, k, r, lh, side, rho) => {
    const s = solver(PARTICLES, omega)({ kind: 'even' })
    const l = s.at(70)
    within(s.decay[0]!, k, 0.03)
    within(l.eu / l.ed, r, 0.03)
    within(l.lh.mean / l.ed, lh, 0.03)
    within(l.eSide.mean / l.ed, side, 0.03)
    within((Math.PI * l.lh.mean) / l.eSide.mean, rho, 0.03)
  })
  it('has the exact isotropic solution', () => {
    for (const [omega, k] of [
      [0.7, 0.82863],
      [0.9, 0.52543],
      [0.95, 0.37949],
    ] as const) {
      expect(solver({ g: 0, rayleigh: 0 }, omega)({ kind: 'even' }).decay[0]).toBeCloseTo(k, 4)
      expect((omega / (2 * k)) * Math.log((1 + k) / (1 - k))).toBeCloseTo(1, 3)
    }
  })
  it('makes no energy: net light falls by just what is absorbed', () => {
    for (const source of [{ kind: 'overcast' }, { kind: 'clear' }, beam(0.83)] as const) {
      const { at } = solver({ g: 0.924, rayleigh: 0.1 }, 0.85)(source)
      for (const tau of [0.3, 1, 4, 12]) {
        const h = 1e-3
        const net = (t: number) => at(t).ed - at(t).eu
        expect((net(tau - h) - net(tau + h)) / (2 * h) / (0.15 * at(tau).e0)).toBeCloseTo(1, 3)
      }
    }
  })
  it('does not depend on the number of streams past 48, nor on more azimuth modes', () => {
    for (const tau of [0.5, 3, 15]) {
      const a = solver(PARTICLES, 0.9)(beam(0.83)).at(tau)
      const streams = solver(PARTICLES, 0.9, 96)(beam(0.83)).at(tau)
      const modes = solver(PARTICLES, 0.9, 64, 24)(beam(0.83)).at(tau)
      for (const key of ['ed', 'eu', 'lNad'] as const) within(a[key], streams[key], 0.02)
      for (const key of ['toward', 'across', 'away'] as const) {
        within(a.lh[key], streams.lh[key], 0.01)
        within(a.lh[key], modes.lh[key], 0.003)
        within(a.eSide[key], modes.eSide[key], 0.01)
      }
    }
  })
  it.each(MONTE_CARLO)('sees the sun where a Monte Carlo does, albedo %d and cosine %d', (omega, mu, level, side) => {
    const s = solver(PARTICLES, omega)(beam(mu))
    level.forEach((want, i) => within(s.levelAt(1, (i * Math.PI) / 4), want, 0.05))
    const { eSide, lh } = s.at(1)
    ;[eSide.toward, eSide.across, eSide.away].forEach((got, i) => within(got, side[i]!, 0.015))
    // The mean over headings by the trapezoid of eight bearings.
    const eight = (level[0] + 2 * level[1] + 2 * level[2] + 2 * level[3] + level[4]) / 8
    within(lh.mean, eight, 0.03)
  })
  it.each(MONTE_CARLO)('has the light that followed photons bring, albedo %d and cosine %d', (omega, mu) => {
    const { light, error } = followPhotons(PARTICLES, omega, { tau: 1, mu }, 40_000, dice(8).even)
    const solved = solver(PARTICLES, omega)(beam(mu)).at(1)
    for (const key of ['ed', 'eu', 'e0'] as const) within(light[key], solved[key], 0.005 + 4 * error[key])
    for (const key of ['toward', 'across', 'away'] as const) {
      expect(error.eSide[key]).toBeLessThan(0.06)
      within(light.eSide[key], solved.eSide[key], 0.01 + 4 * error.eSide[key])
    }
  })
  it('has associated Legendre functions that are what they are called', () => {
    const x = 0.3
    const y = Math.sqrt(1 - x * x)
    expect(associated(0, 2, x)[2]).toBeCloseTo((3 * x * x - 1) / 2, 12)
    expect(Math.abs(associated(1, 2, x)[2]!)).toBeCloseTo((3 * x * y) / Math.sqrt(6), 12)
    expect(associated(2, 2, x)[2]).toBeCloseTo((3 * y * y) / Math.sqrt(24), 12)
    expect(associated(5, 3, x).every(v => v === 0)).toBe(true)
  })
})
