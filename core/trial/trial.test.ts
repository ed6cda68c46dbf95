import { describe, expect, it } from 'vitest'
import { dice } from '../../tests/reference/dice'
import { trialOrder, trialOrderOfTwo } from './order'
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
  it('is a mean of 1 over the two ways the coin may have fallen, whatever was bitten', () => {
    for (const [x, y] of [
      [3, 0],
      [9, 2],
      [40, 1],
      [0, 0],
    ] as const) {
      const mean = (Math.exp(lnEvidence([block(50, x, y)])) + Math.exp(lnEvidence([block(50, y, x)]))) / 2
      expect(mean).toBeCloseTo(1, 9)
    }
  })
  it('is not fooled by bites that come in bursts: at most one in twenty of equals is called', () => {
    const { even, normal } = dice(7)
    const burst = () => {
      // A school passes in one of three spells, and bites eight times as often.
      const rate = 0.05 * Math.exp(0.4 * normal()) * (even() < 1 / 3 ? 8 : 1)
      return Array.from({ length: 10 }, even).filter(v => v < Math.min(0.95, rate)).length
    }
    const called = Array.from({ length: 400 }, () =>
      everSettles(Array.from({ length: 30 }, () => block(10, burst(), burst()))),
    )
    expect(called.filter(Boolean).length / 400).toBeLessThan(0.05)
  }, 60_000)
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
    expect(v.moreCasts! % 10).toBe(0)
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
  it('leaves an open block out and says so, and is never more than a number', () => {
    const whole = Array.from({ length: 3 }, () => block(10, 2, 1))
    const open = { a: { casts: 10, bites: 9 }, b: { casts: 4, bites: 0 } }
    const { open: said, ...with_ } = trialVerdict([...whole, open])
    expect([said, with_]).toEqual([1, (({ open: _, ...v }) => v)(trialVerdict(whole))])
    const nothing = trialVerdict([open])
    expect([nothing.evidence, nothing.verdict, nothing.moreCasts]).toEqual([1, 'too-soon', null])
    const vast = trialVerdict([
      { a: { casts: 1e5, bites: 9e4 }, b: { casts: 1e5, bites: 0 } },
      ...Array.from({ length: 1999 }, () => block(1e5, 9e4, 0)),
    ])
    expect([vast.verdict, vast.evidence, Number.isFinite(vast.evidence)]).toEqual(['a', 1e300, true])
  })
  it('does not send anybody out for more casts than a season holds', () => {
    const rare = Array.from({ length: 120 }, (_, i) => block(10, i % 10 === 0 ? 1 : 0, i % 11 === 5 ? 1 : 0))
    expect(trialVerdict(rare)).toMatchObject({ verdict: 'too-soon', moreCasts: null })
  })
})

describe('the order for two anglers', () => {
  it('has both fish both things at once in every block, and both ends of the boat by turns', () => {
    const spells = trialOrderOfTwo(40, 42)
    expect(spells).toEqual(trialOrderOfTwo(40, 42))
    for (let b = 1; b <= 40; b++) {
      const block = spells.filter(s => s.block === b)
      for (const spell of [1, 2]) {
        const both = block.filter(s => s.spell === spell)
        expect(both.map(s => s.side).sort()).toEqual(['a', 'b'])
        expect(both.map(s => s.position).sort()).toEqual(['bow', 'stern'])
      }
      for (const angler of [1, 2]) {
        const mine = block.filter(s => s.angler === angler)
        expect(mine.map(s => s.side).sort()).toEqual(['a', 'b'])
        expect(new Set(mine.map(s => s.position)).size).toBe(1)
        expect(mine[0]!.position).toBe((b % 2 === 1) === (angler === 1) ? 'bow' : 'stern')
      }
    }
    const aFirst = spells.filter(s => s.spell === 1 && s.angler === 1 && s.side === 'a').length
    expect([aFirst > 10, aFirst < 30]).toEqual([true, true])
  })
})
