import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { LightColumn } from '#core/light-field/lightField'
import { LightProfile } from '#core/light-field/profile'
import { BEAM_COLUMNS, COLUMN, type Column, blockSize, lightTable, unpackTable } from '#core/light-field/table'
import type { SkyLight } from '#core/sky/light'
import { BANDS } from '#core/spectrum/grid'
import type { WaterOptics } from '#core/water/optics'
import { TABLE_FILE, tableBlock } from './build'
import { type Errors, lookUpErrors } from './errors'
import { TABLE_OMEGA, TABLE_PHASES } from './grid'
import { backOf } from './phase'
import { type Source, solver } from './solver'

const PARTICLES = { g: 0.924, rayleigh: 0 }
const beams = (...mus: number[]): Source[] => mus.map(mu => ({ kind: 'beam', mu }))
const TAUS = [0.15, 0.43, 1.7, 5.7, 9]
/** No column may be farther off than its bound, on the mean and at worst. */
function bounded(errors: Record<Column, Errors>, mean: number, worst: number, others: Partial<Record<Column, number>>) {
  for (const [c, e] of Object.entries(errors) as [Column, Errors][]) {
    expect(e.mean, `${c} on the mean`).toBeLessThan(mean)
    expect(e.worst, `${c} at ${e.where}`).toBeLessThan(others[c] ?? worst)
  }
}

describe('the light table', () => {
  it.each([
    [1, 6],
    [3, 12],
  ])('is what the solver makes, step for step (phase %d, albedo %d)', (phase, omega) => {
    const block = tableBlock(TABLE_PHASES[phase]!, TABLE_OMEGA[omega]!)
    const table = lightTable()
    const from = (phase * TABLE_OMEGA.length + omega) * blockSize(table)
    let worst = 0
    block.forEach((v, i) => (worst = Math.max(worst, Math.abs(v - table.values[from + i]!))))
    expect(worst).toBeLessThan(0.00101)
  })
  it('refuses bytes that are not it, or not whole', () => {
    const bytes = Uint8Array.from(readFileSync(TABLE_FILE))
    expect(() => unpackTable(bytes.subarray(1))).toThrow(RangeError)
    expect(() => unpackTable(bytes.subarray(0, bytes.length - 2))).toThrow(RangeError)
    bytes[bytes.length - 1000]! ^= 1
    expect(() => unpackTable(bytes)).toThrow('damaged')
    expect(() => unpackTable(new Uint8Array(3))).toThrow('not a light table')
  })
})

describe('the look-up between grid points', () => {
  it('stays within 2 % of the solver for every sun, and 7 % looking up', () => {
    const suns = beams(0.99, 0.95, 0.88, 0.8, 0.72, 0.67)
    bounded(lookUpErrors([PARTICLES], [0.36, 0.58, 0.81, 0.94, 0.985], suns, TAUS), 0.02, 0.02, { lZen: 0.075 })
  })
  it('stays within 2 % for skies and beds', () => {
    const skies = (['even', 'overcast', 'clear', 'bed'] as const).map(kind => ({ kind }))
    bounded(lookUpErrors([PARTICLES], [0.36, 0.74, 0.9, 0.985], skies, TAUS), 0.01, 0.02, {})
  })
  it('stays within 6 % as the backscatter goes over to water’s own, and 12 % looking up or down', () => {
    const phases = [0.03, 0.12, 0.35].map(rayleigh => ({ g: 0.924, rayleigh }))
    const up = { lZen: 0.13, lNad: 0.11 }
    bounded(lookUpErrors(phases, [0.36, 0.66, 0.9], beams(0.99, 0.84, 0.69), TAUS), 0.035, 0.06, up)
  })
  it('goes on at the last slope below the table', () => {
    const out = [90, 100, 110].map(tau => {
      const got = new Float64Array(BEAM_COLUMNS)
      new LightProfile({ omega: 0.8, share: 0.017 }, { even: 1 }).at(tau, got)
      return Math.log(got[COLUMN.ed]!)
    }) as [number, number, number]
    expect(out[2] - out[1]).toBeCloseTo(out[1] - out[0], 3)
  })
})

describe('a bed under the water', () => {
  /** One kind of water, one metre to the optical depth, lit by one source. */
  function lit(omega: number, source: Source, depthM: number, reflectance: number) {
    const all = (v: number) => new Float64Array(BANDS).fill(v)
    const water = { beam: all(1), scattering: all(omega), back: all(omega * backOf(PARTICLES)) } as WaterOptics
    const beam = source.kind === 'beam'
    const sky = {
      beamMu: beam ? source.mu : 1,
      direct: all(beam ? 1 : 0),
      diffuse: { overcast: all(beam ? 0 : 1), clear: all(0) },
    } as unknown as SkyLight
    return new LightColumn(water, sky, { depthM, reflectance: all(reflectance) })
  }
  it('adds light as the solver with a bed in it says', () => {
    const worst = { ed: 0, eu: 0, eSide: 0 }
    for (const omega of [0.36, 0.86]) {
      for (const reflectance of [0.05, 0.3]) {
        for (const depth of [1, 4, 12]) {
          for (const source of [...beams(0.9038, 0.72), { kind: 'overcast' } as const]) {
            const { at } = solver(PARTICLES, omega)(source, { tau: depth, reflectance })
            const column = lit(omega, source, depth, reflectance)
            for (const share of [0.1, 0.5, 0.9]) {
              const want = at(depth * share)
              const off = (column: Column, got: number, right: number) => Math.abs(got / right - 1)
              const got = (c: Column) => column.value(0, depth * share, COLUMN[c])
              worst.ed = Math.max(worst.ed, off('ed', got('ed'), want.ed))
              worst.eu = Math.max(worst.eu, off('eu', got('eu'), want.eu))
              worst.eSide = Math.max(worst.eSide, off('eSide', got('eSide'), want.eSide.mean))
            }
          }
        }
      }
    }
    expect(worst.ed).toBeLessThan(0.05)
    expect(worst.eu).toBeLessThan(0.15)
    expect(worst.eSide).toBeLessThan(0.1)
  })
  it('multiplies the light over pale sand in clear shallows, and takes it away over mud', () => {
    const at = (reflectance: number | null) => {
      const column =
        reflectance === null ? lit(0.9, beams(0.9)[0]!, 60, 0.1) : lit(0.9, beams(0.9)[0]!, 1.5, reflectance)
      return (['eu', 'eSide', 'lh'] as const).map(c => column.value(0, 0.75, COLUMN[c]))
    }
    const [open, sand, mud] = [at(null), at(0.3), at(0.03)]
    expect(sand[0]! / open[0]!).toBeGreaterThan(2)
    expect(sand[0]! / open[0]!).toBeLessThan(4)
    for (const i of [1, 2]) {
      expect(sand[i]! / open[i]!).toBeGreaterThan(1.15)
      expect(sand[i]! / open[i]!).toBeLessThan(1.7)
    }
    expect(mud[0]! / open[0]!).toBeLessThan(0.7)
  })
})
