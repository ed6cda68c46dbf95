/** What colours the water: algae as chlorophyll (mg/m³), tannin as a440 (1/m), silt (g/m³). */
export interface Constituents {
  chlorophyll: number
  tannin: number
  silt: number
}

/**
 * A tint's recipe: each constituent at an amount of 1, and the power with which it grows as the water thickens. Silt
 * and tannin do not keep step in nature: even a clear creek carries some silt, and tannin has a ceiling.
 */
export type Recipe = Readonly<Record<keyof Constituents, { at1: number; power: number }>>

export interface Tint {
  id: string
  name: string
  /** How an angler knows it. */
  sign: string
  recipe: Recipe
  /**
   * A jar that shows its colour: the disc reading of the water in it, the light's path through it, m, and the colour
   * it has then, as `jarColour` works it out (picture.test.ts): to be drawn without light.
   */
  jar: { visibilityM: number; pathM: number; colour: string }
  /**
   * Disc depth below which water of this tint is a contradiction, the less likely the murkier, m; null where it may
   * be any.
   */
  clearFromM: number | null
  /** Whether it has a colour at all: clear water has none. */
  coloured: boolean
  /** Tannin that takes the blue and green: with other things, or all but alone, so that it stays clear and dark. */
  tannin: 'none' | 'some' | 'alone'
}

/** A tall jar before white paper: enough path to tell the tints apart. */
const TALL_JAR = { visibilityM: 0.7, pathM: 0.9 }
/** Clear water shows its colour only in a path eight times as long. */
const CLEAR_JAR = { visibilityM: 8 * TALL_JAR.visibilityM, pathM: 8 * TALL_JAR.pathM }

const recipe = (chlorophyll: [number, number], tannin: [number, number], silt: [number, number]): Recipe => ({
  chlorophyll: { at1: chlorophyll[0], power: chlorophyll[1] },
  tannin: { at1: tannin[0], power: tannin[1] },
  silt: { at1: silt[0], power: silt[1] },
})

/**
 * The tints as records. Proportions are ours, inside the spread of lake and estuary surveys: chlorophyll of green
 * water within a factor of three of Carlson's regression on the disc (1977, Limnol. Oceanogr. 22), tannin under the
 * ceiling of blackwaters, and what is darker yet made so by silt; Kd(550) Z of 0.4-5.1 and c(550) Z of 5-8.5 for disc
 * depths Z of 0.1-12 m (test P12).
 */
export const TINTS = {
  'blue-clear': {
    id: 'blue-clear',
    name: 'blue-clear',
    sign: 'a white object stays white, deep water looks blue',
    recipe: recipe([0.5, 0.8], [0.02, 0.7], [1.5, 1]),
    jar: { ...CLEAR_JAR, colour: '#44b6ac' },
    clearFromM: 2.5,
    coloured: false,
    tannin: 'none',
  },
  'green': {
    id: 'green',
    name: 'green (algae)',
    sign: 'a white object turns green; the jar settles to a green film',
    recipe: recipe([36, 0.95], [0.25, 0.8], [5, 0.9]),
    jar: { ...TALL_JAR, colour: '#c8cb8e' },
    clearFromM: null,
    coloured: true,
    tannin: 'none',
  },
  'tea': {
    id: 'tea',
    name: 'tea (tannin)',
    sign: 'a jar of it is clear but brown, like tea',
    recipe: recipe([2, 0.3], [16, 1], [2.4, 0.45]),
    jar: { ...TALL_JAR, colour: '#823000' },
    clearFromM: null,
    coloured: true,
    tannin: 'alone',
  },
  'brown': {
    id: 'brown',
    name: 'brown (silt)',
    sign: 'a jar of it is cloudy and settles to mud',
    recipe: recipe([1.5, 0.5], [2.4, 0.75], [24, 0.9]),
    jar: { ...TALL_JAR, colour: '#cbbf70' },
    clearFromM: null,
    coloured: true,
    tannin: 'none',
  },
  'mixed': {
    id: 'mixed',
    name: 'mixed',
    sign: 'green or brown and cloudy: algae, tannin and silt together',
    recipe: recipe([16, 0.8], [2, 0.8], [6, 0.9]),
    jar: { ...TALL_JAR, colour: '#c5a631' },
    clearFromM: null,
    coloured: true,
    tannin: 'some',
  },
} as const satisfies Record<string, Tint>
export type TintId = keyof typeof TINTS

/** Tints with a property: what a rule is about names that, so that a tint that is added finds its rules. */
export const tintsWhere = (fits: (tint: Tint) => boolean): TintId[] =>
  (Object.keys(TINTS) as TintId[]).filter(id => fits(TINTS[id]))

/** The darkest natural blackwaters absorb about this much at 440 nm, per metre; darker readings come from silt. */
const TANNIN_CEILING = 20

/** A recipe in a given amount (1 = as listed). Grows with the amount in every constituent. */
export function scaled(r: Recipe, amount: number): Constituents {
  const grown = (k: keyof Constituents) => r[k].at1 * amount ** r[k].power
  const tannin = grown('tannin')
  return { chlorophyll: grown('chlorophyll'), tannin: tannin / (1 + tannin / TANNIN_CEILING), silt: grown('silt') }
}
