import { describe, expect, it } from 'vitest'
import { ADVISORY_WORDS } from '#core/words/advisories'
import { CUSTOM_WORDS } from '#core/words/customs'
import { PINNED, pinnedText } from './pinned'

/** Every field, unit, verdict and sentence of these answers. Changed on purpose only: `npm run golden -- "why"`. */
it.each(Object.keys(PINNED))('%s is as pinned', name => {
  expect(PINNED[name]!()).toEqual(JSON.parse(pinnedText(name)))
})

describe('the pinned scenes', () => {
  const rules = JSON.parse(pinnedText('rules')) as Record<string, Record<string, string>>
  const said = Object.values(rules).flatMap(byLure => Object.values(byLure).map(line => line.split(/[ ,|]+/)))
  it.each([...Object.keys(CUSTOM_WORDS), ...Object.keys(ADVISORY_WORDS)])('have %s said and left unsaid', code => {
    const times = said.filter(words => words.includes(code)).length
    expect(times).toBeGreaterThan(0)
    expect(times).toBeLessThan(said.length)
  })
})
