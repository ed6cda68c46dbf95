import { describe, expect, it } from 'vitest'
import { dice } from '../../tests/reference/dice'
import { trialOrder } from './order'
import { type Block, SETTLES, lnAlike, lnEvidence, trialVerdict } from './verdict'

const block = (casts: number, a: number, b: number): Block => ({ a: { casts, bites: a }, b: { casts, bites: b } })
/** Blocks of equal casts at two rates, drawn. */
function drawn(blocks: number, casts: number, rates: [number, number], even: () => number): Block[] {
  const bites = (p: number) => Array.from({ length: casts }, even).filter(v => v < p).length
  return Array.from({ length: blocks }, () => block(casts, bites(rates[0]), bites(rates[1])))
}
/** Whether evidence reaches the mark after any block. */
const everSettles = (blocks: Block[]) => blocks.some((_, i) => lnEvidence(blocks.slice(0, i + 1)) >= Math.log(SETTLES))

describe('the order of a fair test', () => {
  it('has both once in every block, the same for the same seed, and each first about as often', () => {
    const order = trialOrder(400, 42)
    expect(order).toEqual(trialOrder(400, 42))
    expect(order).not.toEqual(trialOrder(400, 43))
    const first = order.filter((_, i) => i % 2 === 0)
    for (let i = 0; i < 400; i++) {
      expect(order[2 * i]!.block).toBe(i + 1)
      expect(order[2 * i + 1]!.block).toBe(i + 1)
      expect(order[2 * i]!.side).not.toBe(order[2 * i + 1]!.side)
    }
    const a = first.filter(s => s.side === 'a').length
    expect(a).toBeGreaterThan(160)
    expect(a).toBeLessThan(240)
  })
})

describe('the evidence', () => {
  it('settles by chance alone in fewer than one of twenty tests of equals, looked at after every block', () => {
    const { even } = dice(5)
    for (const rate of [0.03, 0.15]) {
      const settled = Array.from({ length: 160 }, () => everSettles(drawn(30, 10, [rate, rate], even))).filter(Boolean)
      expect(settled.length / 160, String(rate)).toBeLessThan(0.05)
    }
  }, 60_000)
  it('finds a lure twice as good in most tests long enough', () => {
    const { even } = dice(6)
    const found = Array.from({ length: 30 }, () => everSettles(drawn(60, 10, [0.2, 0.08], even))).filter(Boolean)
    expect(found.length).toBeGreaterThan(20)
  }, 60_000)
  it('is 1 before a cast, and no different when the two change names', () => {
    expect(lnEvidence([])).toBeCloseTo(0, 9)
    const blocks = [block(10, 3, 0), block(10, 1, 2)]
    const turned = blocks.map(({ a, b }) => ({ a: b, b: a }))
    expect(lnEvidence(blocks)).toBeCloseTo(lnEvidence(turned), 9)
  })
  it('is a mean of 1 over all outcomes of a block where the two are equal', () => {
    const [n, p] = [3, 0.2]
    const choose = [1, 3, 3, 1]
    let mean = 0
    for (let x = 0; x <= n; x++)
      for (let y = 0; y <= n; y++) {
        const likely = choose[x]! * choose[y]! * p ** (x + y) * (1 - p) ** (2 * n - x - y)
        mean += likely * Math.exp(lnEvidence([block(n, x, y)]))
      }
    expect(mean).toBeLessThanOrEqual(1 + 1e-9)
    expect(mean).toBeGreaterThan(0.97)
  })
})

describe('the verdict', () => {
  it('names the better one, with how far apart they may be', () => {
    const v = trialVerdict(Array.from({ length: 20 }, () => block(10, 4, 1)))
    expect(v.verdict).toBe('a')
    expect(v.evidence).toBeGreaterThan(SETTLES)
    expect(v.moreCasts).toBe(0)
    expect(v.rate.a.best).toBeCloseTo(0.4, 1)
    expect(v.rate.a.low).toBeGreaterThan(v.rate.b.high)
    expect(v.chanceABetter).toBeGreaterThan(0.99)
    expect(trialVerdict(Array.from({ length: 20 }, () => block(10, 1, 4))).verdict).toBe('b')
  })
  it('is too soon after a little, and says about how long', () => {
    const v = trialVerdict([block(10, 1, 0)])
    expect(v.verdict).toBe('too-soon')
    expect(v.moreCasts).toBeGreaterThan(50)
    expect(v.moreCasts % 10).toBe(0)
    expect(v.chanceABetter).toBeGreaterThan(0.5)
    expect(v.chanceABetter).toBeLessThan(0.95)
  })
  it('is alike once a difference of a third is ruled out, and not before', () => {
    const alike = Array.from({ length: 120 }, () => block(10, 4, 4))
    expect(trialVerdict(alike).verdict).toBe('alike')
    expect(trialVerdict(alike.slice(0, 4)).verdict).toBe('too-soon')
    expect(lnAlike({ casts: 1000, bites: 400 }, { casts: 1000, bites: 200 })).toBeLessThan(0)
  })
  it('is rarely alike where one is half as good', () => {
    const { even } = dice(9)
    const wrong = Array.from({ length: 40 }, () => trialVerdict(drawn(40, 10, [0.3, 0.15], even)).verdict === 'alike')
    expect(wrong.filter(Boolean).length).toBeLessThan(3)
  }, 60_000)
})
