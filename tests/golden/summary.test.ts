import { expect, it } from 'vitest'
import { summaryOf, summaryWords } from './summary'

const of = (first: string, second: string, code: string) => ({
  picks: { noon: { popper: `${first} 0.700 1.00/1.00/1.00 0.00, ${second} 0.650 1.00/1.00/1.00 0.00` } },
  rules: { noon: { popper: `top-noon-bone 0.50 | ${code}` } },
  spring: { ranked: [{ finish: { id: 'a' }, score: 0.9 }], best: { text: 'Fish it slowly.' } },
})

it('tells which first places, scores and sentences are others', () => {
  const before = of('bone', 'black', 'sound.silent')
  const after = {
    ...of('black', 'bone', 'sound.rattle'),
    spring: { ...before.spring, best: { text: 'Fish it fast.' } },
  }
  const summary = summaryOf(before, after)
  expect(summary).toMatchObject({ rankings: 2, firstsChanged: 1, rankingMoved: true })
  expect(summary.largest.moved).toBeCloseTo(0.05, 9)
  expect(summaryWords(summary).at(-1)).toBe(
    'sentences gained: 2 (sound.rattle; Fish it fast.); lost: 2 (sound.silent; Fish it slowly.)',
  )
})

it('has nothing to tell where nothing changed', () => {
  const same = of('bone', 'black', 'sound.silent')
  expect(summaryWords(summaryOf(same, same))).toEqual([
    'first places changed: 0 of 2',
    'no score moved',
    'sentences gained: none; lost: none',
  ])
})
