import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { recommend } from '#core/ranking/recommend'
import { type Case, misses } from './meets'

/** Share of the practised picks the engine must meet; raised as it gets better, never lowered. */
const FLOOR = 0.97

/**
 * The agreed cases, and more of our own in the same form, written from what the field does, not from what the engine
 * gave.
 */
it.each(['open.json', 'field.json'])('meets the common ground of practised anglers in %s', file => {
  const cases = JSON.parse(readFileSync(new URL(`./${file}`, import.meta.url), 'utf8')) as Case[]
  const missed = cases.filter(c => misses(c, recommend({ ...c.request, school: c.school })).length)
  expect(1 - missed.length / cases.length, missed.map(c => c.id).join(', ')).toBeGreaterThanOrEqual(FLOOR)
})

it('would notice a miss', () => {
  const answer = recommend({
    lure: 'jerkbait',
    water: { visibilityM: 4, tint: 'green' },
    light: { sky: 'clear', sunElevationDeg: 40 },
  })
  const first = answer.ranked[0]!.finish.families[0]!
  expect(
    misses({ id: 'x', school: 'balanced', request: {} as never, expect: { notTop: [first] } }, answer),
  ).not.toEqual([])
  expect(
    misses(
      { id: 'y', school: 'balanced', request: {} as never, expect: { topAny: ['no such'], seasonIs: 'spawn' } },
      answer,
    ),
  ).toHaveLength(2)
})
