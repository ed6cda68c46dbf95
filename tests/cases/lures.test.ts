import { expect, it } from 'vitest'
import { luresHere } from '#core/which-lure/answer'
import { type LureCase, asked, lureCases, missed } from './lures'

it.each(['lures-open.json', 'lures-field.json'])('knows which lure goes where in %s', file => {
  const cases = lureCases(file)
  expect(cases.length).toBeGreaterThan(10)
  expect(cases.flatMap(c => missed(c, luresHere(asked(c))).map(m => `${c.id}: ${m}`))).toEqual([])
})

it('would notice a miss', () => {
  const [c] = lureCases('lures-open.json') as [LureCase]
  const answer = luresHere(asked(c))
  const wrong = { ...c, expectAny: [answer.here.at(-1)!.lure], notFirst: [answer.here[0]!.lure] }
  expect(missed(wrong, answer)).toHaveLength(2)
})
