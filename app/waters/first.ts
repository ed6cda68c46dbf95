import type { ScreenReading } from '~/reading/reading'
import type { SpotBank, SpotRecord, WaterRecord } from '#shared/schema/record'

/** What a water of one's own starts as: the one on the screen. */
export const firstWater = (r: ScreenReading): WaterRecord => ({
  name: 'New water',
  kind: '',
  latitude: r.latitude,
  longitude: r.longitude,
  zone: r.zone,
  salinity: r.salinity,
  usualTint: r.tint,
  usualVisibilityM: r.visibilityM,
  prey: [...r.prey],
  note: '',
  archived: false,
})

/** What a spot starts as: the bottom, cover, depth and trees on the screen. */
export const firstSpot = (waterId: string, r: ScreenReading, bank: SpotBank | null): SpotRecord => ({
  waterId,
  name: 'New spot',
  latitude: null,
  longitude: null,
  background: r.background,
  cover: '',
  stands: r.cover && { kind: r.cover, density: r.density, ...(r.topM === null ? {} : { topM: r.topM }) },
  depthM: r.waterM,
  canopy: r.canopy,
  bank,
  note: '',
  archived: false,
})
