import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DayRequest } from '#core/day/request'
import type { Request } from '#core/request/request'
import { freezeBox, freezeCall, frozenDay, frozenRequest, titleOf } from './freeze'

const at = (time: string, latitude: number, longitude: number): Request => ({
  lure: 'jerkbait',
  water: { visibilityM: 1.2, tint: 'green', temperatureC: 14.5 },
  light: { sky: 'partly', at: { time, latitude, longitude } },
})

describe('what a link holds', () => {
  it('is the same for places that share their sun: it betrays neither', () => {
    // Ten degrees west the sun stands forty minutes later as it did.
    const here = freezeCall({ asked: at('2026-05-10T14:40:00Z', 34.87, -84.3), finishId: 'jerkbait.bone' })
    const west = freezeCall({ asked: at('2026-05-10T15:20:00Z', 34.87, -94.3), finishId: 'jerkbait.bone' })
    // Higher up by a degree it stands within the same five.
    const north = freezeCall({ asked: at('2026-05-10T14:40:00Z', 35.4, -84.3), finishId: 'jerkbait.bone' })
    expect(west).toEqual(here)
    expect(north).toEqual(here)
    expect(here).toMatchObject({ kind: 'call', date: '2026-05-10', lure: 'jerkbait', units: 'metric' })
    expect(titleOf(here!)).toBe('A call, 10 May')
  })
  it('has no place and no clock, and the sun to five degrees', () => {
    const moment = fc.date({ min: new Date('2026-01-01'), max: new Date('2026-12-31'), noInvalidDate: true })
    fc.assert(
      fc.property(moment, fc.double({ min: -60, max: 65 }), fc.double({ min: -179, max: 179 }), (time, lat, lon) => {
        if (Number.isNaN(lat) || Number.isNaN(lon)) return
        const { asked, date } = frozenRequest(at(time.toISOString(), lat, lon))
        expect(asked.light).not.toHaveProperty('at')
        expect(Math.abs(asked.light.sunElevationDeg! % 5)).toBe(0)
        expect(date).toMatch(/^\d{4}-\d\d-\d\d$/)
      }),
      { numRuns: 40, seed: 40 },
    )
  })
  it('has a plan’s place to two degrees, and nothing of a box but what is in it', () => {
    const day = { place: { latitude: 34.87, longitude: -84.3, utcOffsetMin: -240 } } as DayRequest
    expect(frozenDay(day).place).toEqual({ latitude: 34, longitude: -84, utcOffsetMin: -240 })
    const lure = { lure: 'jerkbait', finishId: 'jerkbait.bone', name: 'Secret', wear: 'new', note: 'x' } as const
    const box = freezeBox([
      { ...lure, count: 2, keptIn: 'barn', retired: false },
      { ...lure, count: 1, keptIn: '', retired: false },
      { ...lure, count: 1, keptIn: '', retired: true },
      { ...lure, count: 1, keptIn: '', retired: false, coats: { back: { colour: '#112233', material: 'matte' } } },
    ])
    expect(box.lures).toEqual([
      {
        lure: 'jerkbait',
        finishes: [
          { finishId: 'jerkbait.bone', name: 'Bone', count: 3, own: false },
          { finishId: 'jerkbait.bone', name: 'Bone', count: 1, own: true },
        ],
      },
    ])
  })
  it('is nothing of a finish that is not of the lure', () => {
    expect(freezeCall({ asked: at('2026-05-10T14:40:00Z', 34, -84), finishId: 'spinnerbait.white' })).toBe(null)
  })
})
