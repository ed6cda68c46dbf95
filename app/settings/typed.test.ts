import { describe, expect, it } from 'vitest'
import { metresOf } from '#core/units'
import { type TypedQuantity, readTyped, roundLimits } from './typed'

describe('what an angler types', () => {
  it.each<[string, TypedQuantity, number]>([
    ['3', 'length', 3],
    [' 3.5 ', 'length', 3.5],
    ['3,5', 'length', 3.5],
    ['.5', 'length', 0.5],
    ['½', 'length', 0.5],
    ['1½', 'length', 1.5],
    ['¼', 'length', 0.25],
    ['¾', 'length', 0.75],
    ['2⅓', 'length', 2 + 1 / 3],
    ['⅔', 'length', 2 / 3],
    ['⅛', 'length', 0.125],
    ['1 1/2', 'length', 1.5],
    ['3/4', 'length', 0.75],
    ['-1', 'temperature', -1],
    ['−2.5', 'temperature', -2.5],
    ['58°', 'temperature', 58],
    ['40 %', 'number', 40],
    ['34.87°', 'number', 34.87],
  ])('%s is a bare %s of %d', (text, of, n) => expect(readTyped(text, of)).toEqual({ bare: n }))
  it.each<[string, TypedQuantity, number]>([
    ['3 ft', 'length', metresOf(3)],
    ['3 feet', 'length', metresOf(3)],
    ["4'", 'length', metresOf(4)],
    ['5\'6"', 'length', metresOf(5.5)],
    ['5’6”', 'length', metresOf(5.5)],
    ['5 ft 6 in', 'length', metresOf(5.5)],
    ['½ ft', 'length', metresOf(0.5)],
    ['9 in', 'length', metresOf(0.75)],
    ['90 cm', 'length', 0.9],
    ['2.5m', 'length', 2.5],
    ['300 mm', 'length', 0.3],
    ['58°F', 'temperature', (26 * 5) / 9],
    ['14 C', 'temperature', 14],
    ['14.5 °c', 'temperature', 14.5],
  ])('%s is a %s with its unit', (text, of, metric) => {
    const got = readTyped(text, of)
    expect('metric' in got && got.metric).toBeCloseTo(metric, 9)
  })
  it.each<[string, TypedQuantity, string]>([
    ['', 'length', 'not-a-number'],
    ['murky', 'length', 'not-a-number'],
    ['0x10', 'length', 'not-a-number'],
    ['1e3', 'length', 'not-a-number'],
    ['3..4', 'length', 'not-a-number'],
    ['1/0', 'length', 'not-a-number'],
    ['1,234', 'length', 'ambiguous-comma'],
    ['12,500 ft', 'length', 'ambiguous-comma'],
    ['3 ft', 'temperature', 'other-unit'],
    ['58 F', 'length', 'other-unit'],
    ['3 ft', 'number', 'other-unit'],
  ])('%s as a %s is refused: %s', (text, of, fault) => expect(readTyped(text, of)).toEqual({ fault }))
})

it.each([
  [0.164, 98.4, 1, [0.2, 98]],
  [30.2, 104, 0, [31, 104]],
  [-1, 40, 1, [-1, 40]],
  [0.05, 30, 2, [0.05, 30]],
])('limits %d to %d are said in round numbers', (low, high, decimals, said) => {
  expect(roundLimits(low, high, decimals)).toEqual(said)
})
