import type { Request } from '#core/request/request'

/** Scenes whose whole answer is pinned: between them every lure group, tint, eye, phase, light and kind of advice. */
export const GOLDEN: Readonly<Record<string, Request>> = {
  'spring-crank-green-pond': {
    lure: 'shallow-crankbait',
    water: { visibilityM: 1.2, tint: 'green', temperatureC: 14, pressure: 'normal' },
    light: { sky: 'partly', sunElevationDeg: 45, wind: 'ripple' },
    clues: ['red-throats'],
    background: 'rock',
    limit: 60,
  },
  'gin-jerkbait-pressured': {
    lure: 'jerkbait',
    species: 'smallmouth-bass',
    water: { visibilityM: 7, tint: 'blue-clear', temperatureC: 12, pressure: 'high', trend: 'rising' },
    light: { sky: 'clear', sunElevationDeg: 58, wind: 'calm' },
    units: 'us',
    limit: 60,
  },
  'mud-jig-under-a-mat': {
    lure: 'casting-jig',
    water: { visibilityM: 0.22, tint: 'brown', temperatureC: 26 },
    light: { sky: 'overcast', sunElevationDeg: 40, canopy: 'mat', wind: 'chop' },
    background: 'dark-mud',
    fishedThrough: ['black'],
    limit: 60,
  },
  'tea-popper-at-dawn': {
    lure: 'popper',
    water: { visibilityM: 0.9, tint: 'tea', temperatureC: 21 },
    light: {
      sky: 'clear',
      cloud: 0.15,
      at: { time: '2026-05-10T10:20:00Z', latitude: 34.9, longitude: -84.3 },
      wind: 'calm',
    },
    units: 'us',
    limit: 60,
  },
  'night-snook-by-the-lamps': {
    lure: 'walking-topwater',
    species: 'snook',
    water: { visibilityM: 2, tint: 'green', temperatureC: 27, salinity: 'salt' },
    light: { sky: 'clear', sunElevationDeg: -30, moon: 0.7, lamps: true },
    limit: 60,
  },
  'winter-spoon-deep': {
    lure: 'jigging-spoon',
    species: 'spotted-bass',
    school: 'fish-eye',
    water: { visibilityM: 4, tint: 'mixed', temperatureC: 8, trend: 'falling', prey: ['shad', 'herring', 'crawfish'] },
    light: { sky: 'clear', sunElevationDeg: 28, wind: 'chop' },
    depthM: 12,
    limit: 60,
  },
  'refused-worm-over-weed': {
    lure: 'worm',
    water: { visibilityM: 3, tint: 'green', temperatureC: 24, pressure: 'high' },
    light: { sky: 'partly', sunElevationDeg: 62 },
    background: 'green-weed',
    bitesRefused: true,
    forage: [
      { kind: 'sunfish', share: 0.7 },
      { kind: 'fry', share: 0.3 },
    ],
    limit: 60,
  },
  'drum-spoon-in-tannin': {
    lure: 'inshore-spoon',
    species: 'red-drum',
    school: 'match',
    water: { visibilityM: 0.7, tint: 'tea', temperatureC: 19, salinity: 'brackish' },
    light: { sky: 'rain', sunElevationDeg: 30, wind: 'strong' },
    season: 'autumn',
    fishM: 0.6,
    limit: 60,
  },
}
