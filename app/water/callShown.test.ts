import { describe, expect, it } from 'vitest'
import { barM, callShown, shows } from './callShown'
import type { Row, ScreenModel } from './model'

const row = (finishId: string, place: number) => ({ finishId, place }) as Row
const screen = () =>
  ({
    rows: ['a', 'b', 'c', 'd', 'e'].map((id, i) => row(id, i + 1)),
    farthestM: 2,
    fishM: 0.4,
  }) as unknown as ScreenModel

describe('a call of the list', () => {
  it('has bars somewhat longer than the farthest is seen', () => {
    expect(barM(screen())).toBeCloseTo(2.08)
    expect(barM({ farthestM: 0 } as ScreenModel)).toBeCloseTo(0.104)
  })
  it('shows a finish that is first of its look, or the same to the fish', () => {
    const of = { ...row('a', 1), same: ['b', 'c'] }
    expect(['a', 'b', 'c', 'd', null].map(id => shows(of, id))).toEqual([true, true, true, false, false])
  })
  it('is the same object every time, and nothing past the end', () => {
    const s = screen()
    expect(callShown(s, 1)).toBe(callShown(s, 1))
    expect(callShown(s, 1)).toMatchObject({ place: 2, fishM: 0.4 })
    expect(callShown(s, 9)).toBeUndefined()
  })
})
