import { describe, expect, it } from 'vitest'
import type { DayHour } from '#core/day/request'
import { DAY_REQUEST } from '#core/day/request'
import { schemaOf } from '#shared/schema/fields'
import { TRIP_OF } from '../../tests/reference/log'
import { changesOfRest, heldPins, hoursToCome, plannedRods, restRequest, underSky } from './restOfDay'

const ZONE = 'America/New_York'
const noon = Date.parse('2026-06-10T12:10:00-04:00')
const at = (h: number, m = 0) => new Date(Date.parse('2026-06-10T00:00:00-04:00') + (60 * h + m) * 60_000).toISOString()
const body = TRIP_OF()
const noted = underSky(body.asked, { cloud: 0.9, wind: 'chop' })
const foretold: DayHour[] = [
  { at: '00:00', cloud: 0.2, wind: 'calm' },
  { at: '12:00', cloud: 0.2, wind: 'ripple' },
  { at: '18:00', cloud: 0.8, wind: 'calm' },
]

describe('the rest of a day', () => {
  it('is under the sky that is seen, and goes on from it as it was foretold to', () => {
    expect(noted.light).toMatchObject({ sky: 'overcast', cloud: 0.9, wind: 'chop' })
    expect(hoursToCome(noted, undefined, 720)).toEqual([{ at: '00:00', cloud: 0.9, wind: 'chop', rain: false }])
    const hours = hoursToCome(noted, foretold, 720)
    expect(hours[12]).toMatchObject({ cloud: 0.9, wind: 'chop' })
    // Calm was foretold to be a step less than now; cloud is never more than all of the sky.
    expect(hours[18]).toMatchObject({ cloud: 1, wind: 'ripple' })
  })
  it('is asked from the half-hour that is fished, with what the plan was asked with', () => {
    const rods = [{ lure: 'jerkbait', finishId: 'jerkbait.bone' }] as const
    const place = { latitude: 34.9, longitude: -84.3 }
    const rest = { noted, place, rods, planned: null, owned: () => ['jerkbait.white'], fromMs: noon, zone: ZONE }
    const asked = restRequest(rest)
    expect(asked).toMatchObject({ date: '2026-06-10', from: '12:00', place: { ...place, utcOffsetMin: -240 } })
    expect(asked.lures).toEqual([{ lure: 'jerkbait', finishIds: ['jerkbait.white', 'jerkbait.bone'] }])
    expect(schemaOf(DAY_REQUEST).validate(asked).error).toBeUndefined()
    const planned = { ...asked, packMost: 3, minSpellMin: 90, changeCost: 0.3, hours: foretold }
    expect(restRequest({ ...rest, planned })).toMatchObject({ packMost: 3, minSpellMin: 90, changeCost: 0.3 })
  })
  it('plans one rod of each lure', () => {
    const rod = (lure: 'jerkbait' | 'popper') => ({ lure, finishId: `${lure}.bone` })
    expect(plannedRods([rod('jerkbait'), rod('jerkbait'), rod('popper')])).toEqual([0, 2])
  })
  it('keeps held changes, from what is on the rod', () => {
    const rods = [{ lure: 'jerkbait', finishId: 'jerkbait.bone' }] as const
    const held = [
      { rod: 0, at: at(15), finishId: 'jerkbait.black' },
      { rod: 0, at: at(9), finishId: 'jerkbait.white' },
      { rod: 0, at: at(17), finishId: 'jerkbait.white' },
    ]
    expect(heldPins(held, rods, noon, ZONE).map(p => [p.fromMin, p.atMin, p.toMin, p.before, p.after])).toEqual([
      [0, 900, 1020, 'jerkbait.bone', 'jerkbait.black'],
      [900, 1020, 1080, 'jerkbait.black', 'jerkbait.white'],
    ])
  })
  it('changes at once only where that wins back what a change costs', () => {
    const steps = Array.from({ length: 4 }, (_, i) => ({ atMin: 720 + 30 * i, endMin: 750 + 30 * i }))
    const spell = (from: number, to: number, finishId: string) => ({ from, to, finishId, why: finishId, gain: 0 })
    const lanes = [[spell(0, 2, 'jerkbait.white'), spell(2, 4, 'jerkbait.black')]]
    const scored = (bone: number) => [
      steps.map(() => ({ scores: { 'jerkbait.white': 0.6, 'jerkbait.bone': bone, 'jerkbait.black': 0.6 } })),
    ]
    const rods = [{ lure: 'jerkbait', finishId: 'jerkbait.bone' }] as const
    const of = (bone: number) =>
      changesOfRest(
        { plan: { lanes } as never, light: { steps } as never, scored: scored(bone) as never },
        rods,
        [{ rod: 0, at: at(13), finishId: 'jerkbait.black', held: true }],
        noon,
        ZONE,
      ).map(c => [c.finishId, c.at, !!c.held])
    expect(of(0.3)).toEqual([
      ['jerkbait.white', new Date(noon).toISOString(), false],
      ['jerkbait.black', at(13), true],
    ])
    expect(of(0.58)).toEqual([['jerkbait.black', at(13), true]])
  })
})
