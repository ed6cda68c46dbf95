import type { TapKind, TapRecord, TripRecord } from '#shared/schema/record'

export const TRIP_ID = '018f0000-0000-7000-8000-0000000000c1'
/** A moment of the made-up trip, minutes from its start. */
export const minute = (m: number) => new Date(Date.UTC(2026, 4, 10, 12, m)).toISOString()

/** A made-up trip of an hour for tests, changed where a test asks. */
export const TRIP_OF = (patch: Partial<TripRecord> = {}): TripRecord => ({
  name: 'Tallow Pond',
  waterId: null,
  startedAt: minute(0),
  endedAt: minute(60),
  rods: [
    { lure: 'jerkbait', finishId: 'jerkbait.bone' },
    { lure: 'jerkbait', finishId: 'jerkbait.black' },
  ],
  asked: { lure: 'jerkbait', water: { visibilityM: 1, tint: 'green' }, light: { sky: 'clear', sunElevationDeg: 40 } },
  trial: null,
  note: '',
  ...patch,
})

let made = 0
/** A tap on that trip. */
export const TAP_OF = (at: number, what: TapKind, rest: Partial<TapRecord> = {}) => ({
  id: `018f0000-0000-7000-8000-${String(++made).padStart(12, '0')}`,
  at: '',
  body: { tripId: TRIP_ID, at: minute(at), what, rod: 0, ...rest } satisfies TapRecord as TapRecord,
})
