import { describe, expect, it } from 'vitest'
import { TAP_OF, TRIP_ID, TRIP_OF, minute } from '../../tests/reference/log'
import { endedOf } from './ended'
import { LIGHT_BANDS, byLight, heldRods, hungOf, lightThrough, luxAt } from './today'

const asked = {
  ...TRIP_OF().asked,
  light: { sky: 'clear' as const, at: { time: minute(0), latitude: 34.9, longitude: -84.3 } },
}
const body = TRIP_OF({ asked, endedAt: null, crew: ['Maren', 'Jo'] })
const trip = { id: TRIP_ID, at: '', body }
const ms = (m: number) => Date.parse(minute(m))
const rain = { ...asked, light: { ...asked.light, sky: 'rain' as const } }
const taps = [
  TAP_OF(10, 'bite'),
  TAP_OF(20, 'landed', { rod: 1, who: 1 }),
  TAP_OF(25, 'follow'),
  TAP_OF(60, 'conditions', { asked: rain }),
  TAP_OF(90, 'rod', { rod: 1 }),
  TAP_OF(100, 'miss', { rod: 1 }),
]

describe('the light of a trip', () => {
  it('is that of the hour, in the conditions noted before it', () => {
    expect(luxAt(asked, ms(0) + 6 * 3_600_000)).not.toBe(luxAt(asked, ms(0)))
    const light = lightThrough(body, taps, ms(0), ms(120), 12)
    expect(light).toHaveLength(13)
    expect(light[5]!.lux).toBe(luxAt(asked, ms(50)))
    expect(light[7]!.lux).toBe(luxAt(rain, ms(70)))
    expect(light[7]!.lux).toBeLessThan(luxAt(asked, ms(70)))
  })
  it('is told in bands fixed beforehand, and says nothing before it has hours and bites enough', () => {
    const bands = byLight(trip, taps, ms(120))
    expect(bands.map(b => b.words)).toEqual(LIGHT_BANDS.map(b => b.words))
    expect(bands.reduce((s, b) => s + b.hours, 0)).toBeCloseTo(4, 6)
    expect(bands.reduce((s, b) => s + b.bites, 0)).toBe(3)
    expect(bands.every(b => b.perHour === null)).toBe(true)
    const many = Array.from({ length: 8 }, (_, i) => TAP_OF(200 + i, 'bite'))
    const said = byLight(trip, many, ms(400)).filter(b => b.perHour !== null)
    expect(said.reduce((s, b) => s + b.bites, 0)).toBe(8)
  })
  it('has its bites hang from it, and lanes of who held what', () => {
    expect(hungOf(taps).map(h => [h.what, h.rod])).toEqual([
      ['bite', 0],
      ['landed', 1],
      ['follow', 0],
      ['bite', 1],
    ])
    const held = heldRods(trip, taps, ms(120)).map(h => [h.who, h.rod, (h.fromMs - ms(0)) / 60_000])
    expect(held).toEqual([
      [0, 0, 0],
      [0, 0, 60],
      [0, 1, 90],
      [1, 1, 0],
      [1, 1, 60],
    ])
  })
})

describe('a trip that has ended', () => {
  it('comes to what happened, what counts, and what is still worth noting', () => {
    const over = { ...trip, body: { ...body, endedAt: minute(120) } }
    const e = endedOf(over, taps)
    expect(e).toMatchObject({ hours: 2, pausedHours: 0, bites: 3, landed: 1, follows: 1, unnamed: 1 })
    expect(e.anglers).toEqual([
      { name: 'Maren', bites: 2 },
      { name: 'Jo', bites: 1 },
    ])
    expect(e.best).toMatchObject({ rod: 1, bites: 2 })
    expect(e.compared).toBeLessThanOrEqual(e.bites)
    const alone = { ...over, body: { ...over.body, crew: undefined, rods: body.rods.slice(0, 1) } }
    expect(endedOf(alone as never, []).best).toBeNull()
  })
})
