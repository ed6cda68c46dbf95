import { describe, expect, it } from 'vitest'
import { DAY_MIN, atMinute, clock, localTime, minuteOfDay, onDate, sameClockIn, sunThroughDay, sunWords } from './clock'
import { zoneAt } from './zone'

const NEW_YORK = 'America/New_York'
const APRIL = Date.UTC(2026, 3, 11, 14, 40)

describe("the place's own clock", () => {
  it('shows the hour with daylight saving as it is kept there', () => {
    expect(clock(minuteOfDay(APRIL, NEW_YORK))).toBe('10:40')
    expect(clock(minuteOfDay(Date.UTC(2026, 0, 11, 14, 40), NEW_YORK))).toBe('9:40')
    expect(clock(minuteOfDay(APRIL, 'America/Phoenix'))).toBe('7:40')
    expect(clock(minuteOfDay(APRIL, 'Asia/Kolkata'))).toBe('20:10')
  })
  it('sets the minute of the day to the minute', () => {
    const t = atMinute(APRIL, NEW_YORK, 5)
    expect([minuteOfDay(t, NEW_YORK), localTime(t, NEW_YORK).toISODate()]).toEqual([5, '2026-04-11'])
    expect(atMinute(APRIL, NEW_YORK, minuteOfDay(APRIL, NEW_YORK))).toBe(APRIL)
    expect(new Date(atMinute(APRIL + 12_345, NEW_YORK, 640)).toISOString()).toBe('2026-04-11T14:40:00.000Z')
  })
  it('leaps over the hour that is left out in spring', () => {
    const spring = Date.UTC(2026, 2, 8, 15)
    expect(minuteOfDay(atMinute(spring, NEW_YORK, 150), NEW_YORK)).toBe(210)
    expect(minuteOfDay(atMinute(spring, NEW_YORK, 60), NEW_YORK)).toBe(60)
  })
  it('goes to another date at the same hour', () => {
    expect(new Date(onDate(APRIL, NEW_YORK, '2026-12-01')!).toISOString()).toBe('2026-12-01T15:40:00.000Z')
    expect(onDate(APRIL, NEW_YORK, '2026-02-31')).toBeNull()
  })
  it('keeps the hour by the clock when the place changes', () => {
    const there = sameClockIn(APRIL, NEW_YORK, 'America/Denver')
    expect(clock(minuteOfDay(there, 'America/Denver'))).toBe('10:40')
    expect((there - APRIL) / 3_600_000).toBe(2)
  })
  it('finds the zone of a place', async () => {
    expect(await zoneAt(34.87, -84.3)).toBe(NEW_YORK)
    expect(await zoneAt(39.7, -105)).toBe('America/Denver')
    await expect(zoneAt(95, 0)).rejects.toThrow()
  })
})

describe('the sun through the day', () => {
  it('rises and sets once, highest about noon', () => {
    const path = sunThroughDay(APRIL, NEW_YORK, 34.87, -84.3)
    expect(path).toHaveLength(DAY_MIN / 10 + 1)
    expect([path[0]!.minute, path[1]!.minute, path.at(-1)!.minute]).toEqual([0, 10, 1439])
    const noon = path.reduce((a, b) => (b.deg > a.deg ? b : a))
    expect(Math.abs(noon.minute - 817)).toBeLessThanOrEqual(10)
    expect(noon.deg).toBeCloseTo(63.5, 0)
    expect(path.filter((p, i) => i > 0 && p.deg > 0 !== path[i - 1]!.deg > 0)).toHaveLength(2)
  })
  it.each([
    [46.2, 0, 'sun 46° up'],
    [-0.5, 0, 'sun 0° up'],
    [-3, 0, 'civil twilight'],
    [-6.1, 0.6, 'night, moon 60 % lit'],
  ])('is worded at %d degrees', (deg, moon, words) => expect(sunWords(deg, moon)).toBe(words))
})
