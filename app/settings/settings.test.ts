import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { effectScope } from 'vue'
import { useSettingsStore } from './store'
import { type KeyActions, KEY_MAP, useKeys } from './useKeys'
import { useUnits } from './useUnits'

beforeEach(() => setActivePinia(createPinia()))

describe('units', () => {
  it('are feet and Fahrenheit until the angler says otherwise', () => {
    const { length, temperature, lengthText, lengthNumber, temperatureText } = useUnits()
    expect([length.value.unit, temperature.value.unit]).toEqual(['ft', '°F'])
    expect([lengthText(0.3), lengthNumber(0.3), temperatureText(14.5)]).toEqual(['1 ft', 1, '58 °F'])
    useSettingsStore().units = 'metric'
    expect([length.value.unit, temperature.value.unit]).toEqual(['m', '°C'])
    expect([lengthText(0.3), lengthNumber(0.304), lengthNumber(12.34)]).toEqual(['30 cm', 0.3, 12.3])
    expect(temperatureText(14.5)).toBe('14.5 °C')
  })
  it('come back as they were typed', () => {
    for (const units of ['us', 'metric'] as const) {
      useSettingsStore().units = units
      const { length, temperature } = useUnits()
      for (const scale of [length.value, temperature.value]) {
        expect(scale.show(scale.read(3.5))).toBeCloseTo(3.5, 9)
        expect(scale.step).toBeGreaterThan(0)
      }
      expect(length.value.decimals).toBe(units === 'us' ? 1 : 2)
    }
  })
})

describe('single keys', () => {
  const names = 'undo redo keep next previous theme units watcher lure conditions food kept readings help'.split(' ')
  const setUp = () => {
    const done: string[] = []
    const actions = Object.fromEntries(names.map(n => [n, () => done.push(n)])) as unknown as KeyActions
    actions.rod = n => done.push(`rod ${n}`)
    const target = new EventTarget()
    const scope = effectScope()
    scope.run(() => useKeys(actions, target))
    const press = (key: string, over: object = {}, inside: string | null = null) => {
      const event = Object.assign(new Event('keydown', { cancelable: true }), { key, ...over })
      Object.defineProperty(event, 'target', { value: { closest: () => inside } })
      target.dispatchEvent(event)
      return event.defaultPrevented
    }
    return { done, press }
  }
  it('do nothing where they are turned off', () => {
    const { done, press } = setUp()
    useSettingsStore().singleKeys = false
    expect([press('z'), press('?'), done]).toEqual([false, false, []])
    useSettingsStore().singleKeys = true
    press('z')
    expect(done).toEqual(['undo'])
  })
  it('do what the map says', () => {
    const { done, press } = setUp()
    for (const key of ['z', 'y', 't', 'n', 'b', 'g', 'u', 'v', 'l', 'c', 'f', 'h', 'r', '?', '1', '2', '3']) press(key)
    expect(done).toEqual([...names, 'rod 0', 'rod 1', 'rod 2'])
    const shown = KEY_MAP.flatMap(k => k.keys.split(/\s+/))
    for (const key of ['z', 'y', 't', 'n', 'b', 'g', 'u', 'v', 'l', 'c', 'f', 'h', 'r', '?', '1'])
      expect(shown).toContain(key)
  })
  it('leave typing, chords and other keys alone', () => {
    const { done, press } = setUp()
    press('z', { ctrlKey: true })
    press('z', { metaKey: true })
    press('z', { altKey: true })
    press('z', {}, 'an input')
    expect(press('x')).toBe(false)
    expect(done).toEqual([])
    expect(press('z')).toBe(true)
  })
})
