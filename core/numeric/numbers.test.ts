import { describe, expect, it } from 'vitest'
import { numbers } from '#core/numeric/numbers'

describe('a row of numbers', () => {
  it('has as many as asked for, each of the value, and is nobody else’s', () => {
    const a = numbers(3, 0)
    expect(a).toEqual([0, 0, 0])
    a[1] = 0.25
    expect(numbers(3, 0)).toEqual([0, 0, 0])
    expect(numbers(5, 0)).toHaveLength(5)
    expect(numbers(2, Number.NaN)).toEqual([Number.NaN, Number.NaN])
    expect(numbers(0, 1)).toEqual([])
  })
})
