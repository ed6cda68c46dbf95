import { describe, expect, it } from 'vitest'
import { datedOf } from './sky'

const at = (time: string) => datedOf({ time, latitude: 34.9, longitude: -84.3 })

describe('the moment of a request', () => {
  it.each([
    ['2026-01-01T00:00:00Z', 1],
    ['2026-01-31T23:59:00Z', 31],
    ['2026-02-01T00:00:00Z', 32],
    ['2026-12-31T12:00:00Z', 365],
    ['2028-12-31T12:00:00Z', 366],
    // Where it is the day before, the year's days are still counted by the clock of the meridian.
    ['2025-12-31T20:00:00-05:00', 1],
  ])('%s is day %i of its year', (time, day) => expect(at(time)!.dayOfYear).toBe(day))
  it('is its time and place, and none where none is named', () => {
    const time = '2026-04-11T10:40:00-04:00'
    expect(at(time)!.at).toEqual({ timeMs: Date.parse(time), latitudeDeg: 34.9, longitudeDeg: -84.3 })
    expect(datedOf(undefined)).toBeNull()
  })
})
