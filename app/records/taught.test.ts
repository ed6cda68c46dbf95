import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Effect } from '#core/season-learning/effect'
import type { SeasonAnswer } from '#core/season-learning/season'
import { SCHOOL_IDS } from '#core/words/schools'
import { useSettingsStore } from '~/settings/store'
import { useTaughtStore } from './taught'

beforeEach(() => setActivePinia(createPinia()))
const effect = (id: string, over: Partial<Effect>) =>
  ({ level: 'finish', id, hours: 4, times: 1.4, low: 1.1, high: 1.9, chanceBetter: 0.95, says: {}, ...over }) as Effect
const answer = (leaned: number, shift: number, effects: Effect[] = []) =>
  ({
    effects,
    weights: { leaned, schools: SCHOOL_IDS.map((id, i) => ({ id, shift: i === 0 ? shift : 0 })) },
  }) as unknown as SeasonAnswer

describe('what the log has taught', () => {
  it('leans nothing until it is turned on, and never where the log is not let in', () => {
    const [taught, settings] = [useTaughtStore(), useSettingsStore()]
    taught.keep(answer(0.6, 0.1))
    expect([taught.mayLean, taught.lean, taught.leans]).toEqual([true, {}, false])
    settings.leanOnLog = true
    expect([taught.lean, taught.leans]).toEqual([{ [SCHOOL_IDS[0]!]: 0.1 }, true])
    expect(taught.leanedWords).toContain('60 %')
    taught.keep(answer(0, 0))
    expect([taught.mayLean, taught.lean]).toEqual([false, {}])
    settings.leanOnLog = false
  })
  it('marks finishes with hours enough and something to say, sure or not', () => {
    const taught = useTaughtStore()
    const effects = [
      effect('a.sure', {}),
      effect('a.even', { chanceBetter: 0.6 }),
      effect('a.short', { hours: 0.4 }),
      effect('a.silent', { says: null }),
      effect('jerkbait', { level: 'lure' }),
    ]
    taught.keep(answer(0, 0, effects))
    expect(['a.sure', 'a.even', 'a.short', 'a.silent', 'jerkbait'].map(id => taught.saidOf(id)?.sure ?? null)).toEqual([
      true,
      false,
      null,
      null,
      null,
    ])
  })
})
