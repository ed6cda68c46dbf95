import { describe, expect, it } from 'vitest'
import { type DrillTopic, TOPICS } from '#core/words/drills'
import type { AnswerRecord } from '#shared/schema/record'
import { seenAt } from './between'
import { nextTopic, topicsOf, worstFirst } from './learner'

const answer = (topic: DrillTopic, minute: number, right: boolean): AnswerRecord => ({
  topic,
  seed: minute,
  level: 0.2,
  at: new Date(Date.UTC(2026, 4, 10, 8, minute)).toISOString(),
  right,
})
const of = (answers: AnswerRecord[], topic: DrillTopic) => topicsOf(answers).find(t => t.topic === topic)!

describe('what was learnt', () => {
  it('is the same in whatever order the answers came', () => {
    const answers = [
      answer('phase', 1, true),
      answer('phase', 3, false),
      answer('phase', 2, true),
      answer('food', 4, true),
    ]
    expect(topicsOf(answers.toReversed())).toEqual(topicsOf(answers))
    expect(of(answers, 'phase').answers).toEqual([true, true, false])
  })
  it('makes questions finer with every right answer and plainer with every wrong one', () => {
    const level = (rights: boolean[]) =>
      of(
        rights.map((r, i) => answer('food', i, r)),
        'food',
      ).level
    expect(level([])).toBe(0.2)
    expect(level([true, true])).toBeCloseTo(0.44, 9)
    expect(level([true, true, false])).toBeCloseTo(0.19, 9)
    expect(level([false])).toBe(0)
    expect(level(Array(20).fill(true))).toBe(1)
  })
  it('brings back what was wrong sooner than what was right', () => {
    const now = new Date(Date.UTC(2026, 4, 10, 9))
    const wrong = of([answer('food', 0, true), answer('food', 30, false)], 'food').card!
    const right = of([answer('phase', 0, true), answer('phase', 30, true)], 'phase').card!
    expect(wrong.due.getTime()).toBeLessThan(right.due.getTime())
    const often = (t: DrillTopic) => [0, 11, 22, 33].map(m => answer(t, m, t !== 'food' || m < 33))
    const topics = topicsOf(TOPICS.flatMap(often))
    expect(nextTopic(topics, now, null).topic).toBe('food')
    expect(nextTopic(topics, now, 'food').topic).not.toBe('food')
  })
  it('asks what was never asked before what is not due yet', () => {
    const at = new Date(Date.UTC(2026, 4, 10, 8, 1))
    expect(nextTopic(topicsOf([]), at, null).topic).toBe(TOPICS[0])
    expect(nextTopic(topicsOf([answer(TOPICS[0]!, 0, true)]), at, null).topic).toBe(TOPICS[1])
  })
  it('lists the worst first, and nothing that was not asked', () => {
    const answers = [
      answer('food', 0, true),
      answer('food', 1, false),
      answer('phase', 2, false),
      answer('same.far', 3, true),
    ]
    expect(worstFirst(topicsOf(answers)).map(t => t.topic)).toEqual(['phase', 'food', 'same.far'])
  })
})

describe('a look between two distances', () => {
  const at = (m: number, grey: string, fine: number) => ({
    distanceM: m,
    shape: true,
    fine,
    water: '#000000',
    parts: { flank: grey },
  })
  const list = [at(1, '#000000', 1), at(2, '#646464', 0.5), at(4, '#c8c8c8', 0)]
  it.each([
    [0.5, '#000000', 1],
    [1, '#000000', 1],
    [Math.SQRT2, '#323232', 0.75],
    [4, '#c8c8c8', 0],
    [9, '#c8c8c8', 0],
  ])('at %s m is mixed', (m, colour, fine) => {
    const seen = seenAt(list, [1, 2, 4], m, 3)
    expect(seen.parts.flank).toBe(colour)
    expect(seen.fine).toBeCloseTo(fine, 6)
    expect(seen.shape).toBe(m <= 3)
  })
})
