import { describe, expect, it } from 'vitest'
import { dice } from '../../tests/reference/dice'
import { allowedRatios, outlookOf } from './outlook'
import { type Block, trialVerdict } from './verdict'

const block = (a: number, b: number, casts = 20): Block => ({ a: { casts, bites: a }, b: { casts, bites: b } })
const often = (n: number, ...blocks: Block[]) => Array.from({ length: n }, () => blocks).flat()

describe('what is not ruled out', () => {
  it('is everything before a cast, narrows as blocks come, and turns with the names', () => {
    expect(allowedRatios([])).toEqual({ low: null, high: null })
    const [few, many] = [allowedRatios(often(10, block(3, 1))), allowedRatios(often(40, block(3, 1), block(1, 1)))]
    expect(many.low!).toBeGreaterThan(few.low ?? 0)
    expect(many.low!).toBeLessThan(2)
    expect(many.high!).toBeGreaterThan(2)
    const turned = allowedRatios(often(40, block(1, 3), block(1, 1)))
    expect(turned.low!).toBeCloseTo(1 / many.high!, 6)
  })
  it('leaves even out just when the verdict names one', () => {
    for (let n = 1; n < 30; n++) {
      const blocks = often(n, block(3, 1))
      const { low } = allowedRatios(blocks)
      expect((low ?? 0) >= 1, String(n)).toBe(trialVerdict(blocks).verdict === 'a')
    }
  })
  it('as often again is as though that had been fished', () => {
    const blocks = often(6, block(2, 0), block(1, 2))
    expect(allowedRatios(blocks, 3)).toEqual(allowedRatios(often(3, ...blocks)))
  })
  it('keeps the true ratio in bursts too, looked at after each block', () => {
    const { even, normal } = dice(11)
    const bites = (p: number) => Array.from({ length: 20 }, even).filter(v => v < Math.min(0.95, p)).length
    const rate = () => 0.04 * Math.exp(0.4 * normal()) * (even() < 1 / 3 ? 6 : 1)
    const lost = Array.from({ length: 120 }, () => {
      const blocks = Array.from({ length: 16 }, () => block(bites(rate() * Math.SQRT2), bites(rate() / Math.SQRT2)))
      return blocks.some((_, i) => {
        const { low, high } = allowedRatios(blocks.slice(0, i + 1))
        return (low ?? 0) > 2 || (high ?? Infinity) < 2
      })
    })
    expect(lost.filter(Boolean).length).toBeLessThan(6)
  }, 60_000)
})

describe('how long it may take', () => {
  it('is sooner the more they differ, the same for the same seed, and not asked of little or what is settled', () => {
    const near = outlookOf(often(3, block(2, 1), block(1, 1)), 7)!
    const far = outlookOf(often(2, block(4, 1), block(2, 2)), 7)!
    expect(far).toEqual(outlookOf(often(2, block(4, 1), block(2, 2)), 7))
    expect(far.halfCasts!).toBeLessThan(near.halfCasts ?? near.followedCasts)
    expect(far.unsettled).toBeLessThanOrEqual(near.unsettled)
    expect(outlookOf(often(3, block(1, 0)), 7)).toBeNull()
    expect(outlookOf(often(40, block(4, 1)), 7)).toBeNull()
    expect(outlookOf(often(5, block(1, 1), block(0, 0)), 7)).toEqual({
      halfCasts: null,
      unsettled: 1,
      followedCasts: 2000,
    })
  })
})
