import { describe, expect, it } from 'vitest'
import { LightColumn } from '#core/light-field/lightField'
import { facing, lightOn, mirroredBy } from '#core/sight/orientation'
import { behindAt, contrastWeights, fadeOver } from '#core/sight/contrast'
import { type SceneInput, buildScene } from '#core/sight/scene'
import { BITE_ROW, FISH_ROW, RANGE_STEPS } from '#core/sight/view'
import { BANDS, bandAt } from '#core/spectrum/grid'
import { NOON, OVERCAST } from '../../tests/reference/scenes'

const scene = (change: Partial<SceneInput> = {}) => buildScene({ ...NOON, tint: 'green', visibilityM: 2, ...change })
const MID = bandAt(550)

describe('what is behind the lure', () => {
  it('is the water where the fish is: deeper seen from below, shallower from above, its own depth level', () => {
    const { column, field, stage } = scene({ depthM: 1 })
    const out = new Float64Array(BANDS)
    stage.ways.below.view.waterAt(0.7, out)
    expect(out[MID]).toBeCloseTo(column.at(1.7).lZen[MID]!, 9)
    stage.ways.above.view.waterAt(0.7, out)
    expect(out[MID]).toBeCloseTo(column.at(0.3).lNad[MID]!, 9)
    stage.ways.above.view.waterAt(3, out)
    expect(out[MID]).toBeCloseTo(column.at(0).lNad[MID]!, 9)
    stage.ways.away.view.waterAt(3, out)
    expect(out[MID]).toBe(field.lh.away[MID])
  })
  it('is the weed itself close by and the water far off, whichever side of it is lit', () => {
    const { stage, field } = scene({ background: 'green-weed' })
    const { view } = stage.ways.toward
    expect(view.near[MID]).not.toBe(field.lh.toward[MID])
    const [fade, near, far] = [0, 1, 2].map(() => new Float64Array(BANDS)) as [Float64Array, Float64Array, Float64Array]
    fadeOver(fade, view.beam, 0)
    behindAt(near, view, fade, 0)
    expect(near[MID]).toBeCloseTo(view.near[MID]!, 9)
    fadeOver(fade, view.beam, 50)
    behindAt(far, view, fade, 50)
    expect(far[MID]).toBeCloseTo(field.lh.toward[MID]!, 6)
    // The side of the weed that faces a fish which looks into the sun is in shadow.
    const lit = stage.ways.away.view.near[MID]! - field.lh.away[MID]!
    expect(lit).toBeGreaterThan(view.near[MID]! - field.lh.toward[MID]!)
  })
  it('makes a contrast of one for a thing twice as bright, less what the water takes', () => {
    const { view } = scene().stage.ways.across
    const weights = new Float64Array(BANDS)
    const fade = new Float64Array(BANDS)
    const behind = new Float64Array(BANDS)
    fadeOver(fade, view.beam, 0)
    behindAt(behind, view, fade, 0)
    contrastWeights(view.eye.cones[0]!, behind, fade, weights)
    expect(weights.reduce((s, w, i) => s + w * behind[i]!, 0)).toBeCloseTo(1, 9)
  })
  it('has distances that rise to the farthest anything shows, then the bite and the fish', () => {
    const { view } = scene({ fishM: 0.77 }).stage.ways.across
    for (let k = 1; k < RANGE_STEPS; k++) expect(view.rangesM[k]!).toBeGreaterThan(view.rangesM[k - 1]!)
    expect([view.rangesM[0], view.rangesM[BITE_ROW], view.rangesM[FISH_ROW]]).toEqual([0.02, 0.3, 0.77])
  })
})

describe('a part in the light', () => {
  const { field } = scene()
  const on = (way: Parameters<typeof lightOn>[2], part: Parameters<typeof facing>[1]) => {
    const out = new Float64Array(BANDS)
    lightOn(out, field, way, facing(way === 'below' || way === 'above' ? way : 'level', part))
    return out[MID]!
  }
  const mirror = (way: Parameters<typeof mirroredBy>[2], kind: Parameters<typeof mirroredBy>[3]) => {
    const out = new Float64Array(BANDS)
    mirroredBy(out, field, way, kind)
    return out[MID]!
  }
  it('shows its shaded side to a fish that looks into the sun', () => {
    expect(on('toward', 'flank')).toBe(field.eSide.away[MID])
    expect(on('away', 'flank')).toBe(field.eSide.toward[MID])
    expect(on('across', 'flank')).toBe(field.eSide.across[MID])
  })
  it('has a back lit from above and a belly from below', () => {
    expect(on('above', 'back')).toBeGreaterThan(0.85 * field.ed[MID]!)
    expect(on('below', 'belly')).toBeLessThan(0.5 * on('above', 'back'))
    expect(on('across', 'back')).toBeGreaterThan(on('across', 'flank'))
  })
  it('mirrors the water on the fish’s own side, and a turning blade the window too', () => {
    expect(mirror('toward', 'flank') / field.lh.away[MID]!).toBeCloseTo(1, 1)
    expect(mirror('away', 'flank') / field.lh.toward[MID]!).toBeCloseTo(1, 1)
    expect(mirror('across', 'flank') / field.lh.across[MID]!).toBeCloseTo(1, 1)
    expect(mirror('across', 'other')).toBeGreaterThan(1.2 * mirror('across', 'flank'))
    expect(mirror('below', 'other')).toBeLessThan(field.lh.mean[MID]!)
  })
})

describe('a scene', () => {
  it('needs no more than one heading where no sun comes through', () => {
    const { ways } = scene({ sky: OVERCAST }).stage
    expect(ways.toward).toBe(ways.across)
    expect(ways.away).toBe(ways.across)
    expect(scene().stage.ways.toward).not.toBe(scene().stage.ways.across)
  })
  it('looks the way the angler says most, and across the sun where nothing is said', () => {
    const usual = (facing: SceneInput['facing']) => scene({ facing }).stage.usual
    expect([usual('any'), usual('sun-in-face'), usual('sun-at-back'), usual('across')]).toEqual([
      'across',
      'away',
      'toward',
      'across',
    ])
  })
  it('takes its bottom from what lies behind the lure', () => {
    const up = (background: SceneInput['background']) => scene({ background, waterM: 1.2, depthM: 0.6 }).field.eu[MID]!
    expect(up('sand')).toBeGreaterThan(1.3 * up('gravel'))
    expect(up('gravel')).toBeGreaterThan(1.3 * up('dark-mud'))
    expect(up('open')).toBe(up('gravel'))
    expect(scene({ waterM: 1.2 }).column).toBeInstanceOf(LightColumn)
  })
})
