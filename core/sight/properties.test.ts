import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SPECIES, type SpeciesId } from '#core/eye/species'
import { finishesOf } from '#core/lure/finish'
import { LURE_IDS } from '#core/lure/types'
import { painter, waterColumn } from '#core/picture/underWater'
import { BACKGROUNDS, type BackgroundId } from '#core/sight/backgrounds'
import { flashOf } from '#core/sight/flash'
import { look } from '#core/sight/look'
import { SUN_FACINGS, buildScene } from '#core/sight/scene'
import { CANOPIES, WINDS } from '#core/sky/weather'
import { TINTS, type TintId } from '#core/water/tints'
import { jumps } from '../../tests/reference/jumps'
import { NOON, seen } from '../../tests/reference/scenes'

const keys = <T extends object>(o: T) => Object.keys(o) as (keyof T)[]
const anyScene = fc.record({
  lure: fc.constantFrom(...LURE_IDS),
  species: fc.constantFrom(...(keys(SPECIES) as SpeciesId[])),
  tint: fc.constantFrom(...(keys(TINTS) as TintId[])),
  salt: fc.boolean(),
  visibilityM: fc.oneof(fc.constant(0.05), fc.constant(30), fc.double({ min: 0.05, max: 30, noNaN: true })),
  depthM: fc.oneof(fc.constant(0), fc.constant(60), fc.double({ min: 0, max: 60, noNaN: true })),
  waterM: fc.oneof(fc.constant(null), fc.double({ min: 0.2, max: 100, noNaN: true })),
  facing: fc.constantFrom(...SUN_FACINGS),
  background: fc.constantFrom(...(keys(BACKGROUNDS) as BackgroundId[])),
  fishM: fc.double({ min: 0.1, max: 30, noNaN: true }),
  sky: fc.record({
    sunElevationDeg: fc.double({ min: -90, max: 90, noNaN: true }),
    cloud: fc.double({ min: 0, max: 1, noNaN: true }),
    rain: fc.boolean(),
    wind: fc.constantFrom(...keys(WINDS)),
    canopy: fc.constantFrom(...keys(CANOPIES)),
    moonFraction: fc.double({ min: 0, max: 1, noNaN: true }),
    moonElevationDeg: fc.constantFrom(-20, 0, 40),
    lamps: fc.boolean(),
  }),
})

describe('sight holds for every scene the schema admits', () => {
  it('gives finite, positive ranges and no NaN anywhere', () => {
    fc.assert(
      fc.property(anyScene, input => {
        const scene = buildScene(input)
        const paint = painter(scene, 'level', 'fish')
        for (const f of finishesOf(input.lure).slice(0, 6)) {
          const s = look(f, scene.stage)
          expect(s.above.sightM).toBeLessThanOrEqual(input.depthM)
          for (const side of [s.level, s.below, s.above]) {
            expect(side.sightM).toBeGreaterThanOrEqual(0)
            expect(side.sightM).toBeLessThan(1000)
            expect(side.colourM).toBeLessThanOrEqual(side.sightM + 1e-9)
            for (const v of [side.colourM, side.contrastBite, side.internalJnd, ...side.fish, ...side.bite])
              expect(Number.isFinite(v)).toBe(true)
          }
          const flash = flashOf(f, scene.glitter, scene.eye, scene.stage.headings)
          expect(flash).toBeGreaterThanOrEqual(0)
          expect(flash).toBeLessThan(1)
          for (const c of Object.values(paint(f, input.fishM).parts))
            for (const v of c) expect(v >= 0 && v <= 255).toBe(true)
        }
        for (const step of waterColumn(scene, [0, 1, 60]))
          expect([...step.colour, ...step.cones].every(Number.isFinite)).toBe(true)
      }),
      { numRuns: 80, seed: 11 },
    )
  })

  it('jumps nowhere: scenes one part in a hundred apart move hardly any range by a twentieth, none by a sixth', () => {
    const pairs = 250
    const moved = jumps(pairs, 3, 0.05)
    // What moves more all but matches what is behind it, or is seen in a twilight that changes as fast.
    expect(moved.length).toBeLessThan(pairs * 0.04)
    for (const j of moved) expect(Math.abs(j.toM / j.fromM - 1), JSON.stringify(j)).toBeLessThan(1 / 6)
  }, 60_000)

  it('never sees a black lure less far for clearer water', () => {
    for (const tint of keys(TINTS)) {
      let last = 0
      for (let m = 0.1; m < 12; m *= 1.25) {
        const range = seen('black', { tint, visibilityM: m, depthM: 0.5 }).level.sightM
        expect(range, `${tint} at ${m.toFixed(2)} m`).toBeGreaterThanOrEqual(last * 0.999)
        last = range
      }
    }
  })
  it('never sees any part less far for more of the same light', () => {
    for (const coat of ['white', 'black', 'olive', 'chartreuse', 'silver']) {
      for (const side of ['level', 'below'] as const) {
        let last = 0
        // Before sunrise all light is diffuse, so shade takes it away evenly, colour for colour.
        for (const canopy of ['mat', 'trees-or-dock', 'bank-shade', 'open'] as const) {
          const range = seen(coat, {
            sky: { ...NOON.sky, sunElevationDeg: -4, canopy },
            tint: 'green',
            visibilityM: 2,
          })[side].sightM
          expect(range).toBeGreaterThanOrEqual(last * 0.999)
          last = range
        }
      }
    }
  })
  it('sees greater contrast from farther', () => {
    const grey = (n: number) => seen(`black+white*${n}`, { tint: 'tea', visibilityM: 1, lure: 'spinnerbait' }).level
    const steps = [0.3, 0.5, 0.7, 0.9].map(grey)
    for (let i = 1; i < steps.length; i++)
      if (steps[i]!.contrastBite > 0.1) expect(steps[i]!.sightM).toBeGreaterThan(steps[i - 1]!.sightM)
  })
})
