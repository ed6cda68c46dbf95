import { describe, expect, it } from 'vitest'
import { check } from '#shared/faults'
import { brokenText, cutText, keptText } from '#shared/text'
import { eventSchema } from './sync'
import { cutLongLists } from './longLists'
import { readingsSchema, requestSchema } from './request'

const RIGHT = {
  lure: 'jerkbait',
  water: { visibilityM: 1, tint: 'green' },
  light: { sky: 'clear', sunElevationDeg: 3 },
}

describe('lists that are too long', () => {
  it('are cut to one too many, wherever they stand, and refused as before', () => {
    const reading = { kind: 'light', samples: Array.from({ length: 900 }, (_, i) => ({ depthM: i / 30, lux: 1 })) }
    const asked = { readings: Array.from({ length: 5000 }, () => reading) }
    const cut = cutLongLists(readingsSchema, asked) as typeof asked
    expect([cut.readings.length, cut.readings[0]!.samples.length]).toEqual([13, 41])
    expect([asked.readings.length, reading.samples.length]).toEqual([5000, 900])
    const result = check(readingsSchema, { readings: [reading] })
    expect(!result.ok && result.faults).toMatchObject([{ path: 'readings.0.samples', code: 'array.max' }])
  })
  it('are left alone, with everything else, where they are not', () => {
    const asked = { ...RIGHT, forage: [{ kind: 'shad', share: 1 }] }
    expect(cutLongLists(requestSchema, asked)).toBe(asked)
    expect(cutLongLists(requestSchema, 'text')).toBe('text')
  })
  it('of fields nobody knows are refused, and no more faults told than are read', () => {
    const many = Object.fromEntries(Array.from({ length: 4000 }, (_, i) => [`x${i}`, i]))
    const result = check(requestSchema, { ...RIGHT, ...many })
    expect(!result.ok && result.faults.length).toBe(20)
  })
})

describe('texts that cannot be kept', () => {
  it('are found where they stand: half an emoji, or a NUL', () => {
    expect(brokenText({ a: ['b', { c: 'x\ud83d' }] })).toEqual(['a', '1', 'c'])
    expect(brokenText({ 'a\0': 1 })).toEqual(['a\0'])
    expect(brokenText({ a: '🐟', b: 'ünïcode', c: 3, d: null })).toBeNull()
    expect(brokenText('\udc1f\ud83d')).toEqual([])
  })
  it('are refused with their path, and none of what was sent', () => {
    const id = '018f0000-0000-7000-8000-00000000000a'
    const body = { tripId: id, at: '2026-05-10T10:00:00Z', what: 'word', rod: 0, text: 'zqx\ud83d' }
    const result = check(eventSchema, { id, kind: 'tap', recordId: id, at: '2026-05-10T10:00:00Z', body })
    expect(!result.ok && result.faults).toMatchObject([{ path: 'body.text', code: 'text.broken' }])
    expect(JSON.stringify(result)).not.toContain('zqx')
  })
  it('are not made by cutting', () => {
    expect([cutText('a🐟b', 2), cutText('a🐟b', 3), cutText('ab', 9)]).toEqual(['a', 'a🐟', 'ab'])
    expect(keptText('a\0\ud83db🐟', 4)).toBe('ab🐟')
  })
})
