import type { Chromophore } from '#core/eye/pigment'

export interface Species {
  words: string
  salt: boolean
  /** How much cooler it moves through the spring than largemouth, °C (field guide section 6). */
  springCoolerC: number
  /** Whether it keeps a nest on a bed. */
  nests: boolean
  /** Surface water warmer than this, °C, in which a played fish often dies; rounded, ours after agency advice. */
  weakOverC: number
  /** Surface water colder than this, °C, that stuns it; null where it does not. */
  stunnedUnderC: number | null
  /** Cone peaks, nm, short to long; the last are the twin cones that carry lightness. */
  conesNm: readonly number[]
  rodNm: number
  chromophore: Chromophore
  /** Smallest angle resolved, radians. */
  acuityRad: number
  source: string
  /** True where no measurement of this species is known to us and a near relative stands in. */
  assumed: boolean
}

/**
 * A diver's eye beside the fish's: human cones (Stockman & Sharpe 2000: 420, 534, 563 nm) and rods, and an acuity that
 * allows for a mask and moving water (ours; ten times coarser than a chart in air).
 */
export const DIVER: Species = {
  words: 'diver',
  salt: true,
  springCoolerC: 0,
  nests: false,
  weakOverC: 0,
  stunnedUnderC: null,
  conesNm: [420, 534, 563],
  rodNm: 498,
  chromophore: 'A1',
  acuityRad: 0.0005,
  assumed: false,
  source: 'Stockman & Sharpe 2000, Vision Research 40; acuity ours',
}

/**
 * Eyes of the contract's species. Peaks in nm; acuity from anatomy or a relative of the same size (about 7-10 arc
 * minutes).
 */
export const SPECIES = {
  'largemouth-bass': {
    words: 'largemouth bass',
    salt: false,
    springCoolerC: 0,
    nests: true,
    weakOverC: 29,
    stunnedUnderC: null,
    conesNm: [535, 614],
    rodNm: 528,
    chromophore: 'A2',
    acuityRad: 0.0023,
    assumed: false,
    source: 'Mitchem et al. 2019, Current Zoology 65: single cones 535 nm, twin cones 614 nm',
  },
  'smallmouth-bass': {
    words: 'smallmouth bass',
    salt: false,
    springCoolerC: 2.5,
    nests: true,
    weakOverC: 25,
    stunnedUnderC: null,
    conesNm: [535, 614],
    rodNm: 528,
    chromophore: 'A2',
    acuityRad: 0.0022,
    assumed: true,
    source: 'no measurement known; largemouth values stand in',
  },
  'spotted-bass': {
    words: 'spotted bass',
    salt: false,
    springCoolerC: 1.2,
    nests: true,
    weakOverC: 28,
    stunnedUnderC: null,
    conesNm: [535, 614],
    rodNm: 528,
    chromophore: 'A2',
    acuityRad: 0.0023,
    assumed: true,
    source: 'no measurement known; largemouth values stand in',
  },
  'striped-bass': {
    words: 'striped bass',
    salt: true,
    springCoolerC: 2,
    nests: false,
    weakOverC: 22,
    stunnedUnderC: null,
    conesNm: [542, 612],
    rodNm: 528,
    chromophore: 'A2',
    acuityRad: 0.0021,
    assumed: true,
    source: 'after microspectrophotometry of the genus (green and red-orange cones); rounded',
  },
  'crappie': {
    words: 'crappie',
    salt: false,
    springCoolerC: 2.5,
    nests: true,
    weakOverC: 28,
    stunnedUnderC: null,
    conesNm: [530, 605],
    rodNm: 525,
    chromophore: 'A2',
    acuityRad: 0.0027,
    assumed: true,
    source: 'after related sunfishes (two cone classes); rounded',
  },
  'red-drum': {
    words: 'red drum',
    salt: true,
    springCoolerC: 0,
    nests: false,
    weakOverC: 31,
    stunnedUnderC: 6,
    conesNm: [444, 489, 568],
    rodNm: 505,
    chromophore: 'A1',
    acuityRad: 0.0026,
    assumed: true,
    source: 'after electroretinography of drums (Horodysky et al. 2008, J. Exp. Biol. 211); peaks rounded',
  },
  'seatrout': {
    words: 'seatrout',
    salt: true,
    springCoolerC: 0,
    nests: false,
    weakOverC: 28,
    stunnedUnderC: 8,
    conesNm: [450, 542],
    rodNm: 505,
    chromophore: 'A1',
    acuityRad: 0.0024,
    assumed: true,
    source: 'after electroretinography of drums (Horodysky et al. 2008, J. Exp. Biol. 211); peaks rounded',
  },
  'snook': {
    words: 'snook',
    salt: true,
    springCoolerC: 0,
    nests: false,
    weakOverC: 31,
    stunnedUnderC: 13,
    conesNm: [450, 535, 565],
    rodNm: 505,
    chromophore: 'A1',
    acuityRad: 0.0022,
    assumed: true,
    source: 'no measurement known; a coastal perch-like fish of shallow green water stands in',
  },
} as const satisfies Record<string, Species>
export type SpeciesId = keyof typeof SPECIES
export const species = (id: SpeciesId): Species => SPECIES[id]
