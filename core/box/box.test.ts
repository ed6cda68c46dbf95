import { describe, expect, it } from 'vitest'
import { dice } from '../../tests/reference/dice'
import { sampleScenes } from '#core/kit/sample'
import { finishById } from '#core/lure/finish'
import { coatWords, parseCoat } from '#core/paintwork/coat'
import { srgbOfCoat } from '#core/picture/inTheHand'
import { recommend } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { hex } from '#core/spectrum/colour'
import { mapOf } from './map'
import { type OwnLure, ownFinish } from './own'
import { apartOf, trayOf } from './tray'

const MURK: Request = {
  lure: 'jerkbait',
  water: { visibilityM: 0.6, tint: 'brown' },
  light: { sky: 'overcast', sunElevationDeg: 20 },
}
const lure = (id: string, finishId: string, coats?: OwnLure['coats']): OwnLure => ({
  id,
  lure: 'jerkbait',
  finishId,
  name: id,
  coats,
})

describe('a lure of one’s own', () => {
  it('wears the catalogue’s coats but for its own, which come back in the hand as they were picked', () => {
    const own = ownFinish(lure('mine', 'jerkbait.bone', { flank: { colour: '#3A7D44', material: 'matte' } }))!
    const base = finishById('jerkbait.bone')!
    expect(own.id).toMatch(/^jerkbait\.own-mine-/)
    const flank = own.parts.find(p => p.part === 'flank')!
    expect(hex(srgbOfCoat(flank.coat))).toBe('#3a7d44')
    expect(own.parts.find(p => p.part === 'belly')!.coat).toBe(base.parts.find(p => p.part === 'belly')!.coat)
    expect(coatWords(flank.coat)).toMatch(/^own .*green/)
    expect(own.families).toContain('green')
  })
  it('is the catalogue’s own finish without any, and nothing where that is gone', () => {
    expect(ownFinish(lure('a', 'jerkbait.bone'))).toBe(finishById('jerkbait.bone'))
    expect(ownFinish(lure('a', 'jerkbait.no-such'))).toBeNull()
    expect(ownFinish(lure('a', 'spinnerbait.all-black'))).toBeNull()
  })
  it('is refused a colour that is none', () => {
    expect(() => parseCoat('#12345:matte')).toThrow(/unknown-paint/)
  })
})

describe('the tray', () => {
  const owned = [
    lure('a', 'jerkbait.bone'),
    lure('b', 'jerkbait.bone'),
    lure('c', 'jerkbait.white'),
    lure('d', 'jerkbait.black'),
    lure('gone', 'jerkbait.no-such'),
  ]
  it('has each finish once with its scores, and looks that the answer’s own groups bear out', () => {
    const tray = trayOf(MURK, 'jerkbait', owned, 0.5)
    expect(tray.finishes.flatMap(f => f.ids).sort()).toEqual(['a', 'b', 'c', 'd'])
    const answer = recommend({ ...MURK, fishM: 0.5, limit: 60 })
    for (const f of tray.finishes)
      expect(f.score).toBeCloseTo(answer.ranked.find(r => r.finish.id === f.finishId)!.score, 3)
    expect(tray.best!.finishId).toBe(answer.ranked.find(r => !owned.some(o => o.finishId === r.finish.id))!.finish.id)
  })
  it('has all in one look from some distance on in murk, and tells them apart close by', () => {
    const far = trayOf(MURK, 'jerkbait', owned, 2.5)
    expect(new Set(far.finishes.map(f => f.look)).size).toBe(1)
    const near = trayOf({ ...MURK, water: { visibilityM: 4, tint: 'green' } }, 'jerkbait', owned, 0.3)
    expect(new Set(near.finishes.map(f => f.look)).size).toBeGreaterThan(1)
    const from = Object.values(far.sameFromM)[0]!
    expect(from).toBeLessThanOrEqual(2.5)
    const before = trayOf(MURK, 'jerkbait', owned, 0.5 * from)
    expect(new Set(before.finishes.map(f => f.look)).size).toBeGreaterThan(1)
  })
})

describe('lures of all but one colour', () => {
  it('are the same at any distance, and said to be so', () => {
    const painted = (id: string, colour: string): OwnLure => ({
      ...lure(id, 'jerkbait.bone'),
      coats: { flank: { colour, material: 'matte' } },
    })
    const alike = [painted('a', '#3a7d44'), painted('b', '#3a7e44')]
    const { sameFromM } = trayOf({ ...MURK, water: { visibilityM: 4, tint: 'green' } }, 'jerkbait', alike, 0.3)
    expect(Object.values(sameFromM)).toEqual([0])
    const apart = [painted('a', '#101010'), painted('b', '#f0f0f0')]
    const clear = trayOf({ ...MURK, water: { visibilityM: 6, tint: 'blue-clear' } }, 'jerkbait', apart, 0.3)
    expect(Object.values(clear.sameFromM)).toEqual([])
  })
})

describe('the map', () => {
  it('keeps distances that fit on a page, and says how far it strays where they do not', () => {
    const { even } = dice(4)
    const points = Array.from({ length: 9 }, () => [even() * 10, even() * 10] as const)
    const apart = points.map(a => points.map(b => Math.hypot(a[0] - b[0], a[1] - b[1])))
    const map = mapOf(apart)
    expect(map.stress).toBeLessThan(1e-3)
    map.points.forEach((a, i) =>
      map.points.forEach((b, j) => expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeCloseTo(apart[i]![j]!, 1)),
    )
    // Five things each as far from every other do not fit: the best flat map of a regular simplex strays by a third.
    const simplex = Array.from({ length: 5 }, (_, i) => Array.from({ length: 5 }, (_, j) => (i === j ? 0 : 1)))
    const flat = mapOf(simplex)
    expect(flat.stress).toBeGreaterThan(0.2)
    const astray = (points: readonly (readonly number[])[]) =>
      points
        .flatMap((a, i) => points.slice(i + 1).map(b => (Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!) - 1) ** 2))
        .reduce((s, d) => s + d)
    const least = astray(flat.points)
    // No point of it can be moved a little for the better.
    flat.points.forEach((_, i) => {
      for (const [dx, dy] of [
        [0.05, 0],
        [-0.05, 0],
        [0, 0.05],
        [0, -0.05],
      ] as const)
        expect(astray(flat.points.map(([x, y], j) => (j === i ? [x + dx, y + dy] : [x, y])))).toBeGreaterThan(least)
    })
    expect(mapOf([[0]])).toEqual({ points: [[0, 0]], stress: 0 })
  })
  it('of a real box is symmetric and fair', () => {
    const { apart, finishIds } = apartOf({ ...MURK, water: { visibilityM: 2, tint: 'green' } }, 'jerkbait', [], 0.5)
    expect(apart.length).toBe(finishIds.length)
    expect(apart[2]![5]).toBeCloseTo(apart[5]![2]!, 9)
    expect(mapOf(apart).stress).toBeLessThan(0.25)
  })
})

describe('scenes drawn from waters', () => {
  const ask = {
    waters: [
      { visibilityM: 1, tint: 'green', salinity: 'fresh', latitude: 35, longitude: -84, prey: ['sunfish'] },
      { visibilityM: 2, tint: 'green', salinity: 'salt', latitude: 32, longitude: -81, prey: [] },
    ],
    lures: ['jerkbait', 'inshore-spoon'],
    species: 'largemouth-bass',
    moments: 200,
    year: 2026,
  } as const
  it('are the same for the same chance, by day, and keep inshore lures to salt', () => {
    const scenes = sampleScenes(ask, dice(1).even)
    expect(sampleScenes(ask, dice(1).even)).toEqual(scenes)
    expect(scenes.some(s => s.lure === 'inshore-spoon')).toBe(true)
    for (const s of scenes) if (s.lure === 'inshore-spoon') expect(s.water.salinity).toBe('salt')
    const mean = scenes.reduce((sum, s) => sum + Math.log(s.water.visibilityM), 0) / scenes.length
    expect(Math.exp(mean)).toBeGreaterThan(1)
    expect(Math.exp(mean)).toBeLessThan(2)
  })
})
