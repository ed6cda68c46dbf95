import type { Request } from '#core/request/request'

type Scene = Omit<Request, 'lure'>

/** A clear bright day on open water; each scene below changes it where it says so. */
const DAY: Scene = {
  water: { visibilityM: 2.4, tint: 'green', temperatureC: 17, pressure: 'normal' },
  light: { sky: 'clear', sunElevationDeg: 55, wind: 'calm' },
}
const scene = (
  change: Omit<Partial<Scene>, 'water' | 'light'> & {
    water?: Partial<Scene['water']>
    light?: Partial<Scene['light']>
  },
): Scene => ({
  ...DAY,
  ...change,
  water: { ...DAY.water, ...change.water },
  light: { ...DAY.light, ...change.light },
})

/** Scenes in which the rules are pinned: which customs hold, how strongly, and what advice is given. */
export const SCENES: Readonly<Record<string, Scene>> = {
  'clear calm sun': scene({}),
  'gin under sun, much fished': scene({ water: { visibilityM: 7, tint: 'blue-clear', pressure: 'high' } }),
  'stained and much fished': scene({ water: { visibilityM: 1.3, pressure: 'high' } }),
  'sun and chop': scene({ water: { visibilityM: 1.6 }, light: { wind: 'chop' } }),
  'whitecaps': scene({ light: { wind: 'strong' } }),
  'overcast in a light stain': scene({ water: { visibilityM: 0.8 }, light: { sky: 'overcast', sunElevationDeg: 40 } }),
  'dull cool spring': scene({
    season: 'prespawn',
    water: { visibilityM: 0.6, temperatureC: 13 },
    light: { sky: 'overcast', sunElevationDeg: 30 },
    background: 'gravel',
  }),
  'dirty silt': scene({ water: { visibilityM: 0.3, tint: 'brown', temperatureC: 22 } }),
  'mud in the rain': scene({
    water: { visibilityM: 0.18, tint: 'brown' },
    light: { sky: 'rain', sunElevationDeg: 35 },
  }),
  'tea in calm sun': scene({ water: { visibilityM: 1, tint: 'tea', temperatureC: 24 }, background: 'wood' }),
  'tea gone dull': scene({ water: { visibilityM: 0.8, tint: 'tea' }, light: { sky: 'overcast', sunElevationDeg: 25 } }),
  'first light': scene({ water: { visibilityM: 1.4 }, light: { sunElevationDeg: 2 } }),
  'moonlit night': scene({ light: { sunElevationDeg: -30, moon: 0.9 } }),
  'winter gloom': scene({
    season: 'winter',
    water: { visibilityM: 2.8, temperatureC: 7 },
    light: { sky: 'overcast', sunElevationDeg: 20 },
  }),
  'spawn over green weed': scene({
    season: 'spawn',
    water: { temperatureC: 19 },
    background: 'green-weed',
    fishedThrough: ['olive'],
  }),
  'spawn said in cold water': scene({ season: 'spawn', water: { temperatureC: 6 } }),
  'winter said in warm water': scene({ season: 'winter', water: { temperatureC: 24 } }),
  'autumn shad': scene({ season: 'autumn', forage: [{ kind: 'shad', share: 1 }], water: { visibilityM: 1.1 } }),
  'crawfish on rock': scene({
    season: 'prespawn',
    forage: [{ kind: 'crawfish', share: 1 }],
    water: { visibilityM: 1.1, temperatureC: 13 },
    background: 'rock',
  }),
  'golden shiners under cloud': scene({
    forage: [{ kind: 'golden-shiner', share: 1 }],
    water: { visibilityM: 0.8 },
    light: { sky: 'overcast' },
  }),
  'perch and fry': scene({
    forage: [
      { kind: 'yellow-perch', share: 0.5 },
      { kind: 'fry', share: 0.5 },
    ],
  }),
  'herring for spotted bass': scene({
    species: 'spotted-bass',
    forage: [{ kind: 'herring', share: 1 }],
    water: { visibilityM: 5, tint: 'blue-clear' },
  }),
  'smallmouth in sun': scene({ species: 'smallmouth-bass', background: 'sand' }),
  'striped bass': scene({ species: 'striped-bass' }),
  'insects': scene({ species: 'crappie', forage: [{ kind: 'insect', share: 1 }] }),
  'sunfish beds': scene({ season: 'postspawn', forage: [{ kind: 'sunfish', share: 1 }] }),
  'under a mat': scene({ light: { canopy: 'mat' }, background: 'dark-mud', water: { visibilityM: 0.9 } }),
  'under a dock': scene({ light: { canopy: 'trees-or-dock' }, background: 'brown-weed', water: { visibilityM: 1 } }),
  'natural refused': scene({ bitesRefused: true }),
  'mullet on the flat': scene({
    species: 'snook',
    water: { salinity: 'salt', temperatureC: 26 },
    forage: [{ kind: 'mullet', share: 1 }],
  }),
  'shrimp and crab in tannin': scene({
    species: 'red-drum',
    water: { salinity: 'brackish', tint: 'tea', visibilityM: 0.7 },
    forage: [
      { kind: 'shrimp', share: 0.5 },
      { kind: 'crab', share: 0.5 },
    ],
  }),
  'seatrout at dawn, dirty': scene({
    species: 'seatrout',
    water: { salinity: 'salt', visibilityM: 0.45 },
    light: { sunElevationDeg: 3 },
  }),
  'night inshore': scene({
    species: 'snook',
    water: { salinity: 'salt' },
    light: { sunElevationDeg: -25, lamps: true },
  }),
  'drum along oyster on a falling tide': scene({
    species: 'red-drum',
    season: 'autumn',
    water: { salinity: 'salt', visibilityM: 0.5, tide: 'falling', temperatureC: 5 },
    light: { sunElevationDeg: 1 },
    forage: [
      { kind: 'mullet', share: 0.4 },
      { kind: 'menhaden', share: 0.6 },
    ],
    background: 'oyster',
  }),
  'drum in a sand hole in tea': scene({
    species: 'red-drum',
    water: { salinity: 'salt', visibilityM: 1.2, tint: 'tea' },
    background: 'pothole',
  }),
  'seatrout on shrimp over winter mud': scene({
    species: 'seatrout',
    season: 'winter',
    water: { salinity: 'salt', visibilityM: 1.5, tide: 'rising' },
    forage: [{ kind: 'shrimp', share: 0.8 }],
    background: 'dark-mud',
  }),
  'snook on pilchards in hot tannin': scene({
    species: 'snook',
    season: 'summer',
    water: { salinity: 'salt', visibilityM: 0.4, tint: 'tea', temperatureC: 33 },
    forage: [{ kind: 'pilchard', share: 1 }],
    light: { sky: 'partly' },
  }),
  'snook along pale sand': scene({ species: 'snook', water: { salinity: 'salt' }, background: 'sand' }),
  'striped bass at first light on herring': scene({
    species: 'striped-bass',
    water: { salinity: 'brackish', visibilityM: 1.1 },
    light: { sunElevationDeg: 1 },
    forage: [
      { kind: 'herring', share: 0.5 },
      { kind: 'sand-eel', share: 0.5 },
    ],
  }),
  'striped bass at night': scene({
    species: 'striped-bass',
    water: { salinity: 'salt' },
    light: { sunElevationDeg: -30 },
  }),
  'winter over deep water': scene({ season: 'winter', water: { temperatureC: 8 } }),
  'fast water too shallow for a spoon': scene({ depthM: 0.02, water: { temperatureC: 10 } }),
  'nothing said of the temperature': { ...DAY, water: { visibilityM: 2.4, tint: 'green' } },
  'after a front': scene({ water: { temperatureC: 14, trend: 'falling', visibilityM: 1.2 } }),
  'seatrout in warm coloured water, a breeze on it': scene({
    species: 'seatrout',
    water: { salinity: 'salt', visibilityM: 1.2, temperatureC: 26 },
    light: { wind: 'ripple' },
  }),
  'bladed jigs in warming tea': scene({
    season: 'prespawn',
    water: { tint: 'tea', visibilityM: 0.9, temperatureC: 14 },
  }),
  'wary fish on clear flats': scene({
    species: 'red-drum',
    water: { salinity: 'salt', visibilityM: 3, pressure: 'high' },
  }),
  'thick grass in shallow water': scene({
    water: { temperatureC: 27, visibilityM: 1.2, depthM: 1.2, cover: { kind: 'grass', density: 'thick' } },
  }),
  'a deep ledge': scene({ water: { depthM: 9, cover: { kind: 'ledge' } } }),
  'beds on gravel': scene({ season: 'spawn', water: { temperatureC: 19, depthM: 1, cover: { kind: 'bed' } } }),
  'noon over open water': scene({
    water: { temperatureC: 27, depthM: 4, cover: { kind: 'open' } },
    light: { sunElevationDeg: 70, sky: 'clear' },
  }),
}
