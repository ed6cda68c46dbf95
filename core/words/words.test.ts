import { describe, expect, it } from 'vitest'
import { celsiusOf, fahrenheitOf, feetOf, metresOf } from '#core/units'
import { CUSTOMS } from '#core/rules/customs/all'
import { CUSTOM_WORDS } from './customs'
import { lengthWords, temperatureWords, timesWords } from './quantities'
import { type Sentence, SENTENCE_CODES, codeOf, said, say } from './sentence'

describe('quantities', () => {
  it.each([
    [0.004, '1 cm', '1 in'],
    [0.126, '13 cm', '5 in'],
    [0.28, '28 cm', '11 in'],
    [0.3, '30 cm', '1 ft'],
    [0.3048, '30 cm', '1 ft'],
    [0.996, '100 cm', '3.3 ft'],
    [1, '1 m', '3.3 ft'],
    [1.84, '1.8 m', '6 ft'],
    [9.96, '10 m', '33 ft'],
    [12.4, '12 m', '41 ft'],
  ])('%d m is %s or %s', (m, metric, us) => {
    expect([lengthWords(m, 'metric'), lengthWords(m, 'us')]).toEqual([metric, us])
  })
  it.each([
    [0, '0 °C', '32 °F'],
    [14.5, '14.5 °C', '58 °F'],
    [-1, '-1 °C', '30 °F'],
    [21, '21 °C', '70 °F'],
  ])('%d degrees are %s or %s', (c, metric, us) => {
    expect([temperatureWords(c, 'metric'), temperatureWords(c, 'us')]).toEqual([metric, us])
  })
  it.each([
    [1.36, '1.4 times'],
    [1.94, '1.9 times'],
    [1.95, 'twice'],
    [2.04, 'twice'],
    [2.05, '2 times'],
    [2.96, '3 times'],
    [4.6, '5 times'],
  ])('%d is %s', (ratio, words) => expect(timesWords(ratio)).toBe(words))
  it('come back from their units', () => {
    expect([feetOf(metresOf(8)), celsiusOf(fahrenheitOf(17.5))]).toEqual([8, 17.5])
    expect([metresOf(1), fahrenheitOf(100), celsiusOf(50)]).toEqual([0.3048, 212, 10])
  })
})

describe('sentences', () => {
  it('have a custom for every custom, and none over', () => {
    expect(CUSTOMS.map(c => c.id).sort()).toEqual(Object.keys(CUSTOM_WORDS).sort())
  })
  it('are in the units asked for, their figures rounded for programs', () => {
    const seen: Sentence = { code: 'contrast.seen-farther', params: { sightM: 1.83456789, times: 1.41234567 } }
    expect(said(seen, 'metric')).toEqual({
      code: 'contrast.seen-farther',
      params: { sightM: 1.8346, times: 1.4123 },
      text: 'First seen at 1.8 m, 1.4 times as far as most of these.',
    })
    expect(say(seen, 'us')).toBe('First seen at 6 ft, 1.4 times as far as most of these.')
    expect(codeOf(seen).params).not.toBe(seen.params)
  })
  it.each<[Sentence, RegExp]>([
    [{ code: 'match.painted-after', params: { prey: 'crawfish', share: 0.456 } }, /^Painted after crawfish, 46 % of/],
    [{ code: 'blend.melts', params: { background: 'green-weed' } }, /^Melts into the green weed behind it\.$/],
    [
      { code: 'window.depth', params: { lure: 'jerkbait', fromM: 0.5, toM: 2.5, depthM: 6 } },
      /^A jerkbait runs 50 cm to 2\.5 m; you set 6 m\.$/,
    ],
    [
      { code: 'rod.unlike-both', params: { tone: 'mid', vivid: true, seeThrough: false, flashing: true } },
      /^Unlike both: loud, middling, flashing\.$/,
    ],
    [
      { code: 'rod.unlike-both', params: { tone: 'dark', vivid: false, seeThrough: true, flashing: false } },
      /^Unlike both: see-through\.$/,
    ],
    [
      { code: 'matters.some', params: { finishes: 30, distinct: 12 } },
      / Of 30 finishes the fish can tell 12 apart here\.$/,
    ],
    [{ code: 'matters.some', params: { finishes: 30, distinct: 30 } }, /Get those right first\.$/],
    [
      { code: 'assumed.forage', params: { from: 'season', clues: ['birds', 'fry'], rest: 0.13 } },
      /^from the season and the species, then birds working and balls of fry; the rest, 13 %, is many things$/,
    ],
    [{ code: 'assumed.forage', params: { from: 'given', clues: [], rest: 0 } }, /^from your own shares$/],
    [
      { code: 'assumed.season', params: { phase: 'prespawn', basis: { kind: 'cooling', temperatureGiven: false } } },
      /^pre-spawn: the usual water temperature for the date and latitude and the date say the water is cooling/,
    ],
    [
      { code: 'assumed.season', params: { phase: 'summer', basis: { kind: 'peak', temperatureGiven: true } } },
      /^summer: the water temperature at the height/,
    ],
  ])('say %j as meant', (sentence, words) => expect(say(sentence, 'metric')).toMatch(words))
  it('are worded once each', () => {
    expect(new Set(SENTENCE_CODES).size).toBe(SENTENCE_CODES.length)
    const texts = Object.values(CUSTOM_WORDS)
    expect(new Set(texts).size).toBe(texts.length)
    for (const text of texts) expect(text).toMatch(/^[A-Z].*[.]$/)
  })
})
