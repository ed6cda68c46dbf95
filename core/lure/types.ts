import { BODIES } from '#core/lure/catalogue/bodies'
import { CRAPPIES } from '#core/lure/catalogue/crappies'
import { FROGS } from '#core/lure/catalogue/frogs'
import { SKIRTED } from '#core/lure/catalogue/skirted'
import { SOFTS } from '#core/lure/catalogue/softs'
import { SPOONS } from '#core/lure/catalogue/spoons'
import type { Part } from '#core/paintwork/parts'
import type { Forage } from '#core/prey/forage'
import type { PatternSet } from '#core/lure/pattern'

/** Directions a fish may look from. */
export const SIDES = ['level', 'below', 'above'] as const
export type Side = (typeof SIDES)[number]

/** How the lure behaves, which decides how long a fish looks at it. */
export type Pace = 'slow' | 'steady' | 'fast'

export interface LureType {
  words: string
  /** Plural or mass name in a sentence. */
  group: 'hard-bait' | 'skirted' | 'soft-plastic' | 'surface' | 'spoon' | 'crappie' | 'inshore'
  salt: boolean
  surface: boolean
  /** Fished on or near the bottom. */
  bottom: boolean
  pace: Pace
  /** Usual running depth, m: shallowest, deepest, and the default. */
  runsM: readonly [number, number]
  depthM: number
  /** Share of looks from each side. */
  seen: Readonly<Record<Side, number>>
  /** Parts with their share of what the fish sees, and their height in mm as a target. */
  parts: Readonly<Partial<Record<Part, { share: number; mm: number }>>>
  /** From nose to tail, mm. */
  lengthMm: number
  /** How lively it flashes: 0 dead steady, 1 wild. */
  action: number
  /** What can be chosen or must be minded about it beside its colour. */
  powers: readonly Power[]
  /** What it can be taken for: the food its shape and way of moving allow. */
  imitates: readonly Forage[]
  patterns: PatternSet
}

/**
 * `rattles`: sold loud, knocking or silent; `trebles`: hangs on treble hooks; `lead`: a head or body usually cast of
 * lead; `dips`: soft enough to take dye. What has blades says so by its parts and `spins`.
 */
export type Power = 'rattles' | 'trebles' | 'lead' | 'dips' | 'spins'

const pick = (set: PatternSet, ids: string): PatternSet =>
  Object.fromEntries(
    ids
      .trim()
      .split(/\s+/)
      .map(id => {
        const p = set[id]
        if (!p) throw new Error(`unknown pattern "${id}"`)
        return [id, p]
      }),
  )
const drop = (set: PatternSet, ids: string): PatternSet => {
  const out = new Set(ids.trim().split(/\s+/))
  return Object.fromEntries(Object.entries(set).filter(([id]) => !out.has(id)))
}

const CRANKS = `chrome-blue chrome-black silver-shad holo-shad pearl-shad matte-pearl bone white
  white-black-back ghost-shad ghost-blue ghost-olive
  blue-herring chartreuse-blue chartreuse-black lemon-shad gold-black gold-shiner gold-orange copper red-craw
  dark-red-craw brown-craw olive-craw
  fire-bright orange-chartreuse sunfish dark-sunfish perch fry-green black dark-purple
  black-orange hot-pink olive-white pearl-chartreuse-stripe chartreuse-brown metal-red ghost-purple goby-brown`
const TOPS = `chrome-blue chrome-chin silver-shad bone bone-chin bone-silver white
  white-chartreuse red-head ghost-shad ghost-blue smoke-shad clear pearl-shad
  chartreuse chartreuse-black chartreuse-blue gold-black gold-shiner gold-orange copper black-gold-hot black
  black-silver dark-brown black-orange dark-purple hot-pink pink-chartreuse blue-back-white
  frog-green sunfish mullet perch blue-herring pink-silver spotted-trout`
const INSHORE = `bone bone-silver white white-chartreuse pearl-chartreuse-tail red-head mullet pilchard menhaden
  pinfish shrimp-amber shrimp-pale
  chrome-blue gold-black gold-shiner gold-orange copper chartreuse hot-pink pink-chartreuse
  dark-purple black black-silver olive-white
  olive-chartreuse-tail red-gold-tail root-beer-chartreuse plum-chartreuse crab-olive clear glass-minnow sand-eel
  pink-silver spotted-trout smoke-pearl`

const INLAND_BAIT = ['shad', 'herring', 'shiner', 'golden-shiner', 'yellow-perch', 'fry'] as const
const COAST_BAIT = ['mullet', 'menhaden', 'pilchard', 'pinfish', 'glass-minnow', 'croaker', 'sand-eel'] as const
const BAIT = [...INLAND_BAIT, ...COAST_BAIT] as const
/** What creeps, digs or hides at the bottom. */
const BOTTOM_FOOD = ['crawfish', 'goby', 'crab'] as const

const level = { level: 0.75, below: 0.25, above: 0 }
const fromBelow = { level: 0.15, below: 0.85, above: 0 }
const lowDown = { level: 0.65, below: 0, above: 0.35 }

/**
 * The contract's lure types as records: which parts count, where it runs, from where it is seen.
 * Shares and sizes are ours for a common mid-size lure of each type.
 */
export const LURES = {
  'shallow-crankbait': {
    words: 'shallow crankbait',
    group: 'hard-bait',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'fast',
    runsM: [0.5, 2],
    depthM: 1,
    seen: level,
    lengthMm: 55,
    action: 0.8,
    powers: ['rattles', 'trebles'],
    imitates: [...BAIT, 'sunfish', 'crawfish', 'goby'],
    patterns: pick(BODIES, CRANKS),
    parts: {
      back: { share: 0.24, mm: 10 },
      flank: { share: 0.41, mm: 18 },
      belly: { share: 0.24, mm: 10 },
      chin: { share: 0.08, mm: 7 },
      hook: { share: 0.03, mm: 2 },
    },
  },
  'deep-crankbait': {
    words: 'deep crankbait',
    group: 'hard-bait',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'fast',
    runsM: [3, 7],
    depthM: 4,
    seen: level,
    lengthMm: 70,
    action: 0.75,
    powers: ['rattles', 'trebles'],
    imitates: [...BAIT, 'sunfish', 'crawfish', 'goby'],
    patterns: pick(BODIES, CRANKS),
    parts: {
      back: { share: 0.24, mm: 11 },
      flank: { share: 0.41, mm: 20 },
      belly: { share: 0.24, mm: 11 },
      chin: { share: 0.08, mm: 8 },
      hook: { share: 0.03, mm: 2 },
    },
  },
  'lipless-crankbait': {
    words: 'lipless crankbait',
    group: 'hard-bait',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'fast',
    runsM: [0.5, 4],
    depthM: 1.5,
    seen: level,
    lengthMm: 70,
    action: 0.9,
    powers: ['rattles', 'trebles'],
    imitates: [...BAIT, 'sunfish', 'crawfish'],
    patterns: pick(BODIES, CRANKS),
    parts: {
      back: { share: 0.22, mm: 10 },
      flank: { share: 0.47, mm: 24 },
      belly: { share: 0.22, mm: 9 },
      chin: { share: 0.06, mm: 6 },
      hook: { share: 0.03, mm: 2 },
    },
  },
  'jerkbait': {
    words: 'jerkbait',
    group: 'hard-bait',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'slow',
    runsM: [0.5, 2.5],
    depthM: 1.2,
    seen: { level: 0.85, below: 0.15, above: 0 },
    lengthMm: 110,
    action: 0.7,
    powers: ['rattles', 'trebles'],
    imitates: BAIT,
    patterns: drop(
      pick(BODIES, CRANKS),
      'red-craw dark-red-craw brown-craw olive-craw metal-red black-orange goby-brown',
    ),
    parts: {
      back: { share: 0.26, mm: 7 },
      flank: { share: 0.47, mm: 14 },
      belly: { share: 0.24, mm: 7 },
      hook: { share: 0.03, mm: 2 },
    },
  },
  'spinnerbait': {
    words: 'spinnerbait',
    group: 'skirted',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'fast',
    runsM: [0.2, 3],
    depthM: 0.9,
    seen: { level: 0.6, below: 0.4, above: 0 },
    lengthMm: 80,
    action: 0.95,
    powers: ['spins', 'lead'],
    imitates: [...BAIT, 'sunfish'],
    patterns: drop(SKIRTED, 'all-white black-blue-silver bone'),
    parts: {
      skirt: { share: 0.5, mm: 26 },
      blade: { share: 0.3, mm: 20 },
      head: { share: 0.1, mm: 12 },
      trailer: { share: 0.1, mm: 12 },
    },
  },
  'bladed-jig': {
    words: 'bladed jig',
    group: 'skirted',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'fast',
    runsM: [0.3, 3],
    depthM: 1,
    seen: { level: 0.8, below: 0.2, above: 0 },
    lengthMm: 85,
    action: 0.8,
    powers: ['spins', 'lead'],
    imitates: [...BAIT, 'sunfish', 'crawfish'],
    patterns: drop(SKIRTED, 'white-gold white-mixed chartreuse-white-painted copper-brown bone'),
    parts: {
      skirt: { share: 0.5, mm: 24 },
      blade: { share: 0.18, mm: 20 },
      trailer: { share: 0.24, mm: 18 },
      head: { share: 0.08, mm: 10 },
    },
  },
  'swim-jig': {
    words: 'swim jig',
    group: 'skirted',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'steady',
    runsM: [0.1, 1.5],
    depthM: 0.5,
    seen: { level: 0.6, below: 0.4, above: 0 },
    lengthMm: 85,
    action: 0.4,
    powers: ['lead'],
    imitates: [...BAIT, 'sunfish'],
    patterns: drop(
      SKIRTED,
      `white-gold white-mixed chartreuse-white-painted sunfish-gold chartreuse-white-gold all-white
      black-blue-silver copper-brown chartreuse-blue`,
    ),
    parts: { skirt: { share: 0.6, mm: 24 }, trailer: { share: 0.3, mm: 16 }, head: { share: 0.1, mm: 11 } },
  },
  'casting-jig': {
    words: 'casting jig',
    group: 'skirted',
    salt: false,
    surface: false,
    bottom: true,
    pace: 'slow',
    runsM: [0.5, 8],
    depthM: 2,
    seen: lowDown,
    lengthMm: 70,
    action: 0.25,
    powers: ['lead'],
    imitates: [...BOTTOM_FOOD, 'sunfish'],
    patterns: drop(
      SKIRTED,
      `white-gold white-mixed chartreuse-white-painted sunfish-gold all-white black-blue-silver copper-brown
      chartreuse-blue chartreuse-white-gold gold-shiner blue-shad`,
    ),
    parts: { skirt: { share: 0.6, mm: 22 }, trailer: { share: 0.32, mm: 20 }, head: { share: 0.08, mm: 11 } },
  },
  'stick-worm': {
    words: 'stick worm',
    group: 'soft-plastic',
    salt: false,
    surface: false,
    bottom: true,
    pace: 'slow',
    runsM: [0.3, 4],
    depthM: 1.2,
    seen: { level: 0.7, below: 0.1, above: 0.2 },
    lengthMm: 125,
    action: 0.2,
    powers: ['dips'],
    imitates: [...BOTTOM_FOOD, 'fry', 'insect', 'sunfish'],
    patterns: drop(SOFTS, 'grass blue-smoke orange tan-craw orange-craw yellow'),
    parts: { flank: { share: 0.8, mm: 10 }, tail: { share: 0.2, mm: 8 } },
  },
  'craw': {
    words: 'craw',
    group: 'soft-plastic',
    salt: false,
    surface: false,
    bottom: true,
    pace: 'slow',
    runsM: [0.3, 6],
    depthM: 1.8,
    seen: lowDown,
    lengthMm: 90,
    action: 0.35,
    powers: ['dips'],
    imitates: ['crawfish', 'crab'],
    patterns: drop(SOFTS, 'two-tone blue-smoke clear-silver yellow pearl-silver'),
    parts: { flank: { share: 0.7, mm: 16 }, tail: { share: 0.3, mm: 12 } },
  },
  'worm': {
    words: 'worm',
    group: 'soft-plastic',
    salt: false,
    surface: false,
    bottom: true,
    pace: 'slow',
    runsM: [0.5, 8],
    depthM: 2,
    seen: lowDown,
    lengthMm: 180,
    action: 0.25,
    powers: ['dips'],
    imitates: [...BOTTOM_FOOD, 'fry', 'insect', 'sunfish'],
    patterns: drop(SOFTS, 'blue-smoke orange tan-craw orange-craw pearl-silver'),
    parts: { flank: { share: 0.78, mm: 9 }, tail: { share: 0.22, mm: 10 } },
  },
  'tube': {
    words: 'tube',
    group: 'soft-plastic',
    salt: false,
    surface: false,
    bottom: true,
    pace: 'slow',
    runsM: [1, 8],
    depthM: 3,
    seen: lowDown,
    lengthMm: 90,
    action: 0.35,
    powers: ['dips'],
    imitates: BOTTOM_FOOD,
    patterns: drop(SOFTS, 'blue-smoke yellow grass'),
    parts: { flank: { share: 0.7, mm: 15 }, tail: { share: 0.3, mm: 12 } },
  },
  'grub': {
    words: 'grub',
    group: 'soft-plastic',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'steady',
    runsM: [0.5, 6],
    depthM: 2,
    seen: { level: 0.7, below: 0.15, above: 0.15 },
    lengthMm: 75,
    action: 0.4,
    powers: ['dips'],
    imitates: [...BAIT, ...BOTTOM_FOOD, 'shrimp'],
    patterns: drop(SOFTS, 'tan-craw orange-craw'),
    parts: { flank: { share: 0.65, mm: 13 }, tail: { share: 0.35, mm: 12 } },
  },
  'swimbait': {
    words: 'swimbait',
    group: 'soft-plastic',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'steady',
    runsM: [0.3, 8],
    depthM: 1.5,
    seen: { level: 0.65, below: 0.35, above: 0 },
    lengthMm: 110,
    action: 0.45,
    powers: ['dips'],
    imitates: [...BAIT, 'sunfish', 'goby'],
    patterns: pick(
      BODIES,
      `silver-shad holo-shad pearl-shad bone white white-chartreuse ghost-shad ghost-blue ghost-olive
      smoke-shad blue-herring chartreuse-black chartreuse-blue lemon-shad gold-shiner sunfish pale-sunfish perch
      fry-green black dark-purple hot-pink olive-white pearl-chartreuse-tail olive-chartreuse-tail fire-bright
      smoke-pearl goby-brown pearl-chartreuse-stripe`,
    ),
    parts: {
      back: { share: 0.26, mm: 12 },
      flank: { share: 0.44, mm: 22 },
      belly: { share: 0.22, mm: 12 },
      tail: { share: 0.08, mm: 14 },
    },
  },
  'walking-frog': {
    words: 'walking frog',
    group: 'surface',
    salt: false,
    surface: true,
    bottom: false,
    pace: 'steady',
    runsM: [0, 0.05],
    depthM: 0.03,
    seen: { level: 0.05, below: 0.95, above: 0 },
    lengthMm: 65,
    action: 0.3,
    powers: [],
    imitates: ['frog', 'sunfish', 'shad'],
    patterns: FROGS,
    parts: { belly: { share: 0.7, mm: 22 }, skirt: { share: 0.3, mm: 14 }, back: { share: 0, mm: 20 } },
  },
  'popping-frog': {
    words: 'popping frog',
    group: 'surface',
    salt: false,
    surface: true,
    bottom: false,
    pace: 'steady',
    runsM: [0, 0.05],
    depthM: 0.03,
    seen: { level: 0.05, below: 0.95, above: 0 },
    lengthMm: 65,
    action: 0.35,
    powers: [],
    imitates: ['frog', 'sunfish', 'shad'],
    patterns: FROGS,
    parts: { belly: { share: 0.7, mm: 22 }, skirt: { share: 0.3, mm: 14 }, back: { share: 0, mm: 20 } },
  },
  'walking-topwater': {
    words: 'walking topwater',
    group: 'surface',
    salt: false,
    surface: true,
    bottom: false,
    pace: 'steady',
    runsM: [0, 0.1],
    depthM: 0.05,
    seen: fromBelow,
    lengthMm: 115,
    action: 0.6,
    powers: ['rattles', 'trebles'],
    imitates: [...BAIT, 'sunfish', 'frog'],
    patterns: pick(BODIES, TOPS),
    parts: {
      belly: { share: 0.46, mm: 14 },
      flank: { share: 0.26, mm: 16 },
      chin: { share: 0.1, mm: 9 },
      back: { share: 0.06, mm: 8 },
      head: { share: 0.04, mm: 10 },
      tail: { share: 0.05, mm: 10 },
      hook: { share: 0.03, mm: 2 },
    },
  },
  'popper': {
    words: 'popper',
    group: 'surface',
    salt: false,
    surface: true,
    bottom: false,
    pace: 'slow',
    runsM: [0, 0.1],
    depthM: 0.05,
    seen: fromBelow,
    lengthMm: 70,
    action: 0.5,
    powers: ['trebles'],
    imitates: [...BAIT, 'sunfish', 'frog', 'insect', 'shrimp'],
    patterns: pick(BODIES, TOPS),
    parts: {
      belly: { share: 0.44, mm: 13 },
      flank: { share: 0.26, mm: 15 },
      chin: { share: 0.12, mm: 10 },
      back: { share: 0.06, mm: 8 },
      head: { share: 0.04, mm: 9 },
      tail: { share: 0.05, mm: 12 },
      hook: { share: 0.03, mm: 2 },
    },
  },
  'buzzbait': {
    words: 'buzzbait',
    group: 'surface',
    salt: false,
    surface: true,
    bottom: false,
    pace: 'fast',
    runsM: [0, 0.1],
    depthM: 0.05,
    seen: fromBelow,
    lengthMm: 90,
    action: 0.9,
    powers: ['spins'],
    imitates: [...BAIT, 'sunfish', 'frog'],
    patterns: pick(
      SKIRTED,
      `all-white white white-gold white-chartreuse chartreuse chartreuse-white-gold chartreuse-orange fire-bright
      all-black black-blue black-blue-silver black-red black-chartreuse brown-orange green-pumpkin
      sunfish pearl-grey bone hot-pink gold-shiner red-craw`,
    ),
    parts: {
      skirt: { share: 0.68, mm: 26 },
      blade: { share: 0.2, mm: 26 },
      trailer: { share: 0.06, mm: 12 },
      head: { share: 0.06, mm: 10 },
    },
  },
  'jigging-spoon': {
    words: 'jigging spoon',
    group: 'spoon',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'slow',
    runsM: [5, 20],
    depthM: 10,
    seen: { level: 0.7, below: 0, above: 0.3 },
    lengthMm: 65,
    action: 0.85,
    powers: ['trebles', 'lead'],
    imitates: BAIT,
    patterns: drop(SPOONS, 'red-white'),
    parts: { blade: { share: 0.74, mm: 15 }, back: { share: 0.14, mm: 6 }, trailer: { share: 0.12, mm: 9 } },
  },
  'crappie-jig': {
    words: 'crappie jig',
    group: 'crappie',
    salt: false,
    surface: false,
    bottom: false,
    pace: 'slow',
    runsM: [0.5, 8],
    depthM: 2,
    seen: { level: 0.6, below: 0.4, above: 0 },
    lengthMm: 40,
    action: 0.25,
    powers: ['lead', 'dips'],
    imitates: ['shad', 'shiner', 'fry', 'insect', 'glass-minnow', 'shrimp'],
    patterns: CRAPPIES,
    parts: { flank: { share: 0.5, mm: 7 }, tail: { share: 0.32, mm: 7 }, head: { share: 0.18, mm: 5 } },
  },
  'inshore-paddletail': {
    words: 'inshore paddle tail',
    group: 'inshore',
    salt: true,
    surface: false,
    bottom: false,
    pace: 'steady',
    runsM: [0.2, 2],
    depthM: 0.8,
    seen: { level: 0.6, below: 0.2, above: 0.2 },
    lengthMm: 100,
    action: 0.4,
    powers: ['lead', 'dips'],
    imitates: [...BAIT, 'shrimp', 'crab'],
    patterns: pick(BODIES, INSHORE),
    parts: {
      flank: { share: 0.38, mm: 16 },
      back: { share: 0.2, mm: 9 },
      belly: { share: 0.16, mm: 9 },
      head: { share: 0.12, mm: 14 },
      tail: { share: 0.14, mm: 12 },
    },
  },
  'inshore-twitchbait': {
    words: 'inshore twitchbait',
    group: 'inshore',
    salt: true,
    surface: false,
    bottom: false,
    pace: 'slow',
    runsM: [0.2, 1.5],
    depthM: 0.6,
    seen: { level: 0.75, below: 0.25, above: 0 },
    lengthMm: 100,
    action: 0.65,
    powers: ['rattles', 'trebles'],
    imitates: [...BAIT, 'shrimp'],
    patterns: drop(
      pick(BODIES, INSHORE),
      `pearl-chartreuse-tail olive-chartreuse-tail red-gold-tail root-beer-chartreuse plum-chartreuse crab-olive
      smoke-pearl`,
    ),
    parts: {
      flank: { share: 0.42, mm: 16 },
      back: { share: 0.22, mm: 9 },
      belly: { share: 0.22, mm: 9 },
      head: { share: 0.14, mm: 14 },
    },
  },
  'inshore-spoon': {
    words: 'inshore spoon',
    group: 'inshore',
    salt: true,
    surface: false,
    bottom: false,
    pace: 'fast',
    runsM: [0.2, 2],
    depthM: 0.6,
    seen: { level: 0.6, below: 0.25, above: 0.15 },
    lengthMm: 70,
    action: 0.9,
    powers: [],
    imitates: BAIT,
    patterns: drop(SPOONS, 'nickel'),
    parts: { blade: { share: 0.8, mm: 18 }, back: { share: 0.12, mm: 7 }, trailer: { share: 0.08, mm: 9 } },
  },
} as const satisfies Record<string, LureType>

export type LureId = keyof typeof LURES
export const LURE_IDS = Object.keys(LURES) as LureId[]
export const lureType = (id: LureId): LureType => LURES[id]
