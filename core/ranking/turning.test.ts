import { describe, expect, it } from 'vitest'
import { recommend } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'

const ASKED: Request = {
  lure: 'stick-worm',
  water: { visibilityM: 1.2, tint: 'tea', temperatureC: 18 },
  light: { sky: 'clear', sunElevationDeg: 35 },
  limit: 60,
}
const levels = (r: Request, name: string) => recommend(r).ranked.find(x => x.finish.name === name)!.levelRangeM

describe('a pick that turns with the sun', () => {
  it('is named with the one it gives way to, and the figures bear it out', () => {
    const { turning } = recommend(ASKED)
    expect(turning?.code).toBe('sun.turns')
    const { inFace, atBack, times } = turning!.params as { inFace: string; atBack: string; times: number }
    const [a, b] = [levels(ASKED, inFace), levels(ASKED, atBack)]
    expect(a.away / b.away).toBeCloseTo(times, 2)
    expect(times).toBeGreaterThan(1.1)
    expect(b.toward).toBeGreaterThan(1.1 * a.toward)
    expect(turning!.text).toMatch(/^Cast towards the sun and .* times as far as .*; with the sun at your back, .*\.$/)
  })
  it('is none under cloud, or at night without a moon', () => {
    expect(recommend({ ...ASKED, light: { sky: 'overcast', sunElevationDeg: 35 } }).turning).toBeNull()
    expect(recommend({ ...ASKED, light: { sky: 'clear', sunElevationDeg: -30, moon: 0 } }).turning).toBeNull()
  })
  it('gives level ranges whose weighted mean is the level range', () => {
    const [first] = recommend(ASKED).ranked
    const { toward, across, away } = first!.levelRangeM
    expect(first!.sightingRangeM.level).toBeCloseTo((toward + 2 * across + away) / 4, 3)
    const facing = { ...ASKED, light: { ...ASKED.light, facing: 'sun-in-face' as const } }
    const turned = recommend(facing).ranked[0]!
    expect(turned.sightingRangeM.level).toBe(turned.levelRangeM.away)
  })
  it('is in the reasons where the angler has said where the sun is', () => {
    const said = (facing: 'any' | 'sun-at-back' | 'across') =>
      recommend({ ...ASKED, school: 'contrast', light: { ...ASKED.light, facing } }).ranked[0]!.reasons.map(r => r.text)
    expect(said('sun-at-back').join()).toContain('with the sun at your back')
    expect(said('across').join()).toContain('across the sun')
    expect(said('any').join()).not.toContain('sun at')
  })
})
