import { describe, expect, it } from 'vitest'
import { barM, callShown } from './callShown'
import type { Row, ScreenModel } from './model'

const row = (finishId: string, place: number) => ({ finishId, place }) as Row
const screen = (groups: string[][]) =>
  ({
    rows: ['a', 'b', 'c', 'd', 'e'].map((id, i) => row(id, i + 1)),
    farthestM: 2,
    fishM: 0.4,
    answer: { lookAlikes: groups },
  }) as unknown as ScreenModel

describe('a call of the list', () => {
  it('has bars somewhat longer than the farthest is seen', () => {
    expect(barM(screen([]))).toBeCloseTo(2.08)
    expect(barM({ farthestM: 0 } as ScreenModel)).toBeCloseTo(0.104)
  })
  it('counts those it looks like', () => {
    const words = (groups: string[][]) => callShown(screen(groups), 0)!.alike
    expect(words([])).toBeNull()
    expect(words([['b', 'c']])).toBeNull()
    expect(words([['a', 'c']])).toBe('Looks like 1 other')
    expect(words([['c', 'a', 'b']])).toBe('Looks like 2 others')
    expect(words([['a', 'b', 'c', 'e']])).toBe('Looks like 3 others')
  })
  it('is joined by a bracket only to neighbours', () => {
    const s = screen([['a', 'b', 'c', 'e']])
    expect([0, 1, 2, 3, 4].map(i => callShown(s, i)!.joined)).toEqual(['start', 'middle', 'end', 'none', 'none'])
  })
  it('is the same object every time, and nothing past the end', () => {
    const s = screen([])
    expect(callShown(s, 1)).toBe(callShown(s, 1))
    expect(callShown(s, 1)).toMatchObject({ place: 2, fishM: 0.4 })
    expect(callShown(s, 9)).toBeUndefined()
  })
})
