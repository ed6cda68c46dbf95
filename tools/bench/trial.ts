import { type Block, type Casts, SETTLES, lnEvidence, trialVerdict } from '#core/trial/verdict'
import { dice } from '../../tests/reference/dice'
import { medianMs, table } from './timing'

/** Equals tested so often, looked at after every block of so many casts each. */
const EQUALS = { tests: 2000, blocks: 30, casts: 10 }
const RATES = [0.02, 0.05, 0.1, 0.2, 0.4] as const
/** Tests of a real difference, and how long they are fished, casts in all. */
const REAL = { tests: 200, blocks: 100, casts: 10 }
const LENGTHS = [200, 400, 800, 1200, 2000] as const

type Even = () => number
const draw = (casts: number, rate: number, even: Even) => ({
  casts,
  bites: Array.from({ length: casts }, even).filter(v => v < rate).length,
})
const block = (casts: number, a: number, b: number, even: Even): Block => ({
  a: draw(casts, a, even),
  b: draw(casts, b, even),
})

/** A spell in which a school passes by, or not: equals whose bites come in bursts. */
const burst = (casts: number, rate: number, even: Even, normal: Even): Casts =>
  draw(casts, Math.min(0.95, rate * Math.exp(0.4 * normal()) * (even() < 1 / 3 ? 8 : 1)), even)

/** After how many blocks of a test a winner would be called by one who looks after each; none: Infinity. */
function calledAfter(blocks: number, casts: number, [a, b]: readonly [number, number], even: Even): number {
  const seen: Block[] = []
  while (seen.length < blocks) {
    seen.push(block(casts, a, b, even))
    if (lnEvidence(seen) >= Math.log(SETTLES)) return seen.length
  }
  return Infinity
}
const percent = (of: readonly boolean[]) => `${((100 * of.filter(Boolean).length) / of.length).toFixed(1)} %`

/** How often a fair test calls a winner among equals, how soon it finds a real difference, and how long it thinks. */
export function benchTrial(): void {
  const { even, normal } = dice(18)
  const { tests, blocks, casts } = EQUALS
  const each = RATES.map(rate => {
    const called = Array.from(
      { length: tests / RATES.length },
      () => calledAfter(blocks, casts, [rate, rate], even) <= blocks,
    )
    return { rate, called }
  })
  table(
    `${tests} tests of equals, looked at after every one of ${blocks} blocks (target: a winner in at most 5 %)`,
    ['bites a cast', 'tests', 'a winner called'],
    [
      ...each.map(({ rate, called }) => [rate.toFixed(2), String(called.length), percent(called)]),
      ['all', String(tests), percent(each.flatMap(e => e.called))],
    ],
  )
  const bursts = ([0.02, 0.05, 0.1] as const).map(rate => {
    const called = Array.from({ length: 700 }, () => {
      const seen: Block[] = []
      while (seen.length < blocks) {
        seen.push({ a: burst(casts, rate, even, normal), b: burst(casts, rate, even, normal) })
        if (lnEvidence(seen) >= Math.log(SETTLES)) return true
      }
      return false
    })
    return [rate.toFixed(2), String(called.length), percent(called)]
  })
  table(
    'The same where a school passes in one spell of three and bites eight times as often (target: at most 5 %)',
    ['bites a cast between', 'tests', 'a winner called'],
    bursts,
  )
  const power = ([0.4, 0.2, 0.13, 0.1] as const).map(rate => {
    const after = Array.from({ length: REAL.tests }, () => calledAfter(REAL.blocks, REAL.casts, [rate, rate / 2], even))
    return [`${rate} and ${rate / 2}`, ...LENGTHS.map(total => percent(after.map(n => n * REAL.casts * 2 <= total)))]
  })
  table(
    `A lure twice as good is found within so many casts (${REAL.tests} tests each)`,
    ['bites a cast', ...LENGTHS.map(String)],
    power,
  )
  const asked = [1, 10, 50, 200].map(n => Array.from({ length: n }, () => block(10, 0.1, 0.08, even)))
  table(
    'A verdict (target: under 5 ms)',
    ['blocks', 'ms'],
    asked.map(b => [String(b.length), medianMs(() => void trialVerdict(b), 21, 5)]),
  )
}
