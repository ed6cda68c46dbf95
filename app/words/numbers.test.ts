import { describe, expect, it } from 'vitest'
import { counted, numberWord } from './numbers'

describe('numbers in sentences', () => {
  it.each([
    [0, 'None'],
    [1, 'One'],
    [2, 'Two'],
    [12, 'Twelve'],
    [13, '13'],
    [140, '140'],
  ])('begin one with %i as %s', (n, word) => expect(numberWord(n, 'none')).toBe(word))
  it('count one thing and many', () => {
    expect([0, 1, 2].map(n => counted(n, 'bite'))).toEqual(['0 bites', '1 bite', '2 bites'])
  })
})
