import type { ReadingRecord, SpotRecord, WaterRecord } from '#shared/schema/record'

/** Records of a made-up water for tests, changed where a test asks. */
export const WATER_OF = (patch: Partial<WaterRecord> = {}): WaterRecord => ({
  name: 'Fern Pond',
  kind: 'mill pond',
  latitude: 34.9,
  longitude: -84.3,
  zone: 'America/New_York',
  salinity: 'fresh',
  usualTint: 'tea',
  usualVisibilityM: 0.8,
  prey: ['sunfish', 'crawfish'],
  note: 'two\nlines',
  archived: false,
  ...patch,
})
export const SPOT_OF = (patch: Partial<SpotRecord> = {}): SpotRecord => ({
  waterId: '018f0000-0000-7000-8000-000000000001',
  name: 'Dam',
  latitude: null,
  longitude: null,
  background: 'rock',
  cover: 'brush',
  depthM: 2.5,
  canopy: 'open',
  bank: { facingDeg: 80, heightM: 12, acrossHeightM: 9, acrossM: 60 },
  note: '',
  archived: false,
  ...patch,
})
export const READING_OF = (patch: Partial<ReadingRecord> = {}): ReadingRecord => ({
  waterId: '018f0000-0000-7000-8000-000000000001',
  at: '2026-05-10T14:30:00.000Z',
  readings: [{ kind: 'disc', depthM: 0.8 }],
  visibilityM: { best: 0.8, low: 0.7, high: 0.95 },
  tint: 'tea',
  temperatureC: 17.5,
  note: '',
  ...patch,
})
