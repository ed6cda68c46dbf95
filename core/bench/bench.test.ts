import { describe, expect, it } from 'vitest'
import { recommend } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { hangBar, paintBar, paintedAt } from './bar'
import { orderOf, placesWrong, whyWrong } from './order'
import { heldAgainstSun } from '#core/picture/heldAgainstSun'
import { DROP, jarsOf } from './jars'
import { finishById } from '#core/lure/finish'
import { say } from '#core/words/sentence'

const REQUEST: Request = {
  lure: 'shallow-crankbait',
  depthM: 0.9,
  water: { visibilityM: 0.9, tint: 'tea', temperatureC: 14 },
  light: { sky: 'partly', sunElevationDeg: 42 },
}
const nine = () => recommend({ ...REQUEST, limit: 60 }).ranked.slice(0, 9)

describe('the hung bar', () => {
  it('has the distances of the ranking itself, for every side', () => {
    const ids = nine().map(r => r.finish.id)
    for (const side of ['level', 'below', 'above'] as const) {
      const { hung } = hangBar(REQUEST, ids, side)
      const ranked = recommend({ ...REQUEST, limit: 60 }).ranked
      for (const h of hung)
        expect(h.fishM).toBeCloseTo(ranked.find(r => r.finish.id === h.finishId)!.sightingRangeM[side], 3)
    }
  })
  it('goes one by one in the order of its distances, to the fish and to a diver, who sees them otherwise', () => {
    const { hung, fish, diver, farthestM } = hangBar(
      REQUEST,
      nine().map(r => r.finish.id),
      'level',
    )
    const m = (id: string, key: 'fishM' | 'diverM') => hung.find(h => h.finishId === id)![key]
    for (const [order, key] of [
      [fish, 'fishM'],
      [diver, 'diverM'],
    ] as const) {
      const went = order.flat().map(id => m(id, key))
      expect(order.flat()).toHaveLength(9)
      for (let i = 1; i < order.length; i++) expect(m(order[i]![0]!, key)).toBeGreaterThan(m(order[i - 1]![0]!, key))
      expect(Math.max(...went)).toBeLessThan(farthestM)
    }
    for (const h of hung) expect(Math.abs(h.diverM / h.fishM - 1)).toBeGreaterThan(0.02)
  })
  it('takes other lures off, and never more than nine', () => {
    const ids = recommend({ ...REQUEST, limit: 60 }).ranked.map(r => r.finish.id)
    expect(hangBar(REQUEST, ['jerkbait.bone', 'none', ...ids], 'level').hung.map(h => h.finishId)).toEqual(
      ids.slice(0, 9),
    )
  })
  it('lets what no reading parts share a place', () => {
    const at = (finishId: string, m: number) => ({ finishId, m })
    expect(orderOf([at('c', 2), at('b', 1.029), at('a', 1), at('d', 1.05)])).toEqual([['a', 'b'], ['d'], ['c']])
  })
  it('counts places wrong, those that go together being free, and says why the worst went when it did', () => {
    const came = [['a'], ['b', 'c'], ['d']]
    expect([...placesWrong(['a', 'c', 'b', 'd'], came).values()]).toEqual([0, 0, 0, 0])
    expect([...placesWrong(['d', 'b', 'c', 'a'], came)]).toEqual([
      ['a', 3],
      ['b', 0],
      ['c', 0],
      ['d', -3],
    ])
    const bar = hangBar(
      REQUEST,
      nine().map(r => r.finish.id),
      'level',
    )
    const right = bar.fish.flat()
    expect(whyWrong(bar, right)).toBeNull()
    const why = whyWrong(bar, [...right.slice(1), right[0]!])!
    expect(say(why, 'us')).toMatch(/ went \d places sooner than you said, at .*: a foot off it is .* than the water/)
  })
  it('is painted from close by to past the last, where nothing is left of it', () => {
    const [id] = nine().map(r => r.finish.id)
    const { farthestM, hung } = hangBar(REQUEST, [id!], 'level')
    const at = paintedAt(farthestM)
    expect([at[0], at.at(-1)]).toEqual([0.1, expect.closeTo(farthestM, 9)])
    const seen = paintBar(REQUEST, [id!], 'level', 'fish', [...at, hung[0]!.fishM * 3])[id!]!
    const off = ({ water, parts }: (typeof seen)[number]) =>
      Math.max(...Object.values(parts).map(c => Math.hypot(...c.map((v, i) => v - water[i]!))))
    expect(off(seen[0]!)).toBeGreaterThan(20)
    expect(off(seen.at(-1)!)).toBeLessThan(2)
  })
})

describe('the jars', () => {
  it('lose lures and lines sooner the darker they are, and after every drop', () => {
    const jars = jarsOf(REQUEST, ['shallow-crankbait.bone'], ['green-braid', 'leader'], 0, 'fish')
    expect(jars.map(j => j.discM)).toEqual([4, 2, 1, 0.5, 0.25])
    for (let i = 1; i < jars.length; i++) {
      expect(jars[i]!.lures[0]!.goneM).toBeLessThan(jars[i - 1]!.lures[0]!.goneM)
      expect(jars[i]!.lines[0]!.goneM).toBeLessThanOrEqual(jars[i - 1]!.lines[0]!.goneM)
      expect(jars[i]!.lines[0]!.goneM).toBeGreaterThan(jars[i]!.lines[1]!.goneM)
    }
    const dropped = jarsOf(REQUEST, ['shallow-crankbait.bone'], [], 1, 'fish')
    expect(dropped[0]!.discM).toBeCloseTo(4 * DROP, 9)
    expect(dropped[2]!.lures[0]!.goneM).toBeLessThan(jars[2]!.lures[0]!.goneM)
  })
  it('let light through what is translucent alone', () => {
    const passed = (id: string) => Math.max(...Object.values(heldAgainstSun(finishById(id)!)).flat())
    const clear = recommend({ ...REQUEST, lure: 'jerkbait', limit: 60 }).ranked.find(
      r => r.finish.traits.opacity === 'translucent',
    )!
    expect(passed(clear.finish.id)).toBeGreaterThan(60)
    expect(passed('jerkbait.black')).toBeLessThan(20)
  })
})
