import { describe, expect, it } from 'vitest'
import { trialVerdict } from '#core/trial/verdict'
import { RECORDS, type TapRecord, type TripRecord } from '#shared/schema/record'
import { blocksOf, trialOf } from './trial'
import { loggedTrip } from './seasonLog'
import { type Tap, type Trip, tapsByTrip } from './trip'
import { MADE_UP, TRIAL } from '../../tests/season/madeUp'
import { madeUpRecords } from '~/records/made-up/records'

const all = madeUpRecords()
const trips = all.filter(r => r.kind === 'trip') as unknown as Trip[]
const of = tapsByTrip(all.filter(r => r.kind === 'tap') as unknown as Tap[])

describe('the made-up angler', () => {
  it('has records of every kind that an angler might have, the same each time', () => {
    for (const { kind, body } of all) expect(RECORDS[kind].validate(body).error, kind).toBeUndefined()
    expect(new Set(all.map(r => r.id)).size).toBe(all.length)
    expect(madeUpRecords()).toEqual(all)
    const count = (kind: string) => all.filter(r => r.kind === kind).length
    expect([count('plan'), count('lure'), count('trip')]).toEqual([3, 24, 25])
  })
  it('is read as the season it was drawn from: stretches, spots, light and bites', () => {
    const season = trips.filter(t => !t.body.trial)
    season.forEach((trip, i) => {
      const [read, drawn] = [loggedTrip(trip, of(trip.id), 0), MADE_UP.trips[i]!]
      expect(read.asItHappened).toBe(true)
      const bites = (t: typeof drawn) =>
        t.stints.flatMap(s => s.bites.map(b => [s.finishId, JSON.stringify(s.asked), b.toFixed(2)]))
      expect(bites(read)).toEqual(bites(drawn))
      const minutes = (t: typeof drawn) => {
        const sums: Record<string, number> = {}
        for (const s of t.stints) sums[s.finishId] = (sums[s.finishId] ?? 0) + s.toMin - s.fromMin
        return sums
      }
      for (const [id, min] of Object.entries(minutes(drawn))) expect(minutes(read)[id]).toBeCloseTo(min, 1)
    })
  })
  it('has a fair test whose pairs are those drawn, and which names the better', () => {
    const test = trips.find(t => t.body.trial)!
    const body = test.body as TripRecord
    const blocks = blocksOf(body, trialOf(body, of(test.id)).spells)
    expect(blocks).toEqual(TRIAL)
    expect(trialVerdict(blocks).verdict).toBe('a')
    expect(of(test.id).every(t => (t.body as TapRecord).at <= body.endedAt!)).toBe(true)
  })
})
