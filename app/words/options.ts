import type { TintId } from '#core/water/tints'
import { COVERS } from '#core/cover/cover'
import { SPECIES, type SpeciesId, species } from '#core/eye/species'
import { LURES } from '#core/lure/types'
import { SCHOOLS } from '#core/words/schools'
import { FORAGE } from '#core/prey/forage'
import { PHASE_WORDS, type Phase, SEASONS, type SeasonWord, setSeason } from '#core/season/phase'
import { WATCHERS, type Watcher } from '#core/picture/underWater'
import { CLUES } from '#core/prey/odds'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import type { SunFacing } from '#core/sight/scene'
import { CANOPIES, WINDS } from '#core/sky/weather'
import type { ReadingKind } from '#core/water/readingKinds'
import { TINTS } from '#core/water/tints'
import { cap } from '#core/words/wording'
import type { Difference, Spoil } from '#shared/schema/record'
import { VOCABULARY } from '#shared/vocabulary'

/** Options for pickers: the contract's words with the angler's names. */
const options = <T extends string>(keys: readonly T[], words: (k: T) => string, note?: (k: T) => string) =>
  keys.map(value => ({ value, words: cap(words(value)), ...(note ? { note: note(value) } : {}) }))

/** Left to Piscator, or not known. */
export const AUTO = 'auto' as const

export { cap }

export const LURE_OPTIONS = options(VOCABULARY.lure, k => LURES[k].words)
export const SPECIES_OPTIONS = options(VOCABULARY.species, k => SPECIES[k].words)
export const SCHOOL_OPTIONS = options(
  VOCABULARY.school,
  k => (k === 'balanced' ? 'Balanced' : SCHOOLS[k].words),
  k => (k === 'balanced' ? 'all seven schools, weighed for today' : SCHOOLS[k].creed),
)
export const BACKGROUND_OPTIONS = options(VOCABULARY.background, k => BACKGROUNDS[k].words)
export const COVER_OPTIONS = options(VOCABULARY.cover, k => COVERS[k].words.replace(/^an? /, ''))
export const DENSITY_OPTIONS = options(VOCABULARY.density, k => k)
export const WIND_OPTIONS = options(VOCABULARY.wind, k => WINDS[k].words)
const FACING_WORDS: Record<SunFacing, [words: string, note: string]> = {
  'any': ['Sun: any way', 'the fish may look every way'],
  'sun-in-face': ['Sun in face', 'a following fish looks away from the sun'],
  'sun-at-back': ['Sun at back', 'a following fish looks into the sun'],
  'across': ['Sun across', 'the fish looks across it'],
}
export const FACING_OPTIONS = options(
  VOCABULARY.facing,
  k => FACING_WORDS[k][0],
  k => FACING_WORDS[k][1],
)
const WATCHER_WORDS: Record<Watcher, [words: string, note: string]> = {
  diver: ['as a diver sees it', 'what the eye just sees is just seen'],
  fish: ['as the fish sees it', 'false colour'],
  camera: ['as a camera would', 'contrasts as they are'],
}
export const WATCHER_OPTIONS = WATCHERS.map(value => ({
  value,
  words: WATCHER_WORDS[value][0],
  note: WATCHER_WORDS[value][1],
}))
export const CANOPY_OPTIONS = options(VOCABULARY.canopy, k => CANOPIES[k].words)
export const TINT_OPTIONS = options(
  VOCABULARY.tint,
  k => TINTS[k].name,
  k => TINTS[k].sign,
)
const NESTING = options(SEASONS, k => PHASE_WORDS[k])
/** Fish that keep no nests have spring where others have three phases: pre-spawn stands for it in a request. */
const NESTLESS = NESTING.filter(o => o.value !== 'spawn' && o.value !== 'postspawn').map(o =>
  o.value === 'prespawn' ? { ...o, words: PHASE_WORDS.spring } : o,
)
/** The seasons a fish has, as an angler may set them. */
export const seasonOptions = (id: SpeciesId) => (species(id).nests ? NESTING : NESTLESS)
/** The season to set for a phase, or for one set for another fish. */
export const seasonOptionOf = (phase: Phase, id: SpeciesId): SeasonWord => {
  const lived = phase === 'spring' ? phase : setSeason(phase, id)
  return lived === 'spring' ? 'prespawn' : lived
}
export const seasonWords = (phase: Phase, id: SpeciesId) =>
  seasonOptions(id).find(o => o.value === seasonOptionOf(phase, id))!.words
export const CLUE_OPTIONS = options(VOCABULARY.clue, k => CLUES[k].words)
export const FORAGE_OPTIONS = options(VOCABULARY.forage, k => FORAGE[k].plural)
export const SALINITY_OPTIONS = options(VOCABULARY.salinity, k => k)
export const PRESSURE_OPTIONS = options(
  VOCABULARY.pressure,
  k => ({ low: 'few boats', normal: 'usual pressure', high: 'much fished' })[k],
)
export const TIDE_OPTIONS = options(
  VOCABULARY.tide,
  k => ({ slack: 'slack water', rising: 'rising', falling: 'falling' })[k],
)
export const TREND_OPTIONS = options(VOCABULARY.trend, k => k)

/** Readings of the water as an angler calls them. */
export const READING_NAMES: Record<ReadingKind, string> = {
  'disc': 'Disc lost at',
  'target': 'Lure lost at',
  'seen-to': 'Last seen at',
  'turbidity': 'Gauge',
  'light': 'Light meter',
  'jar': 'Jar photo',
  'look': 'Looks like',
}

/** Short names for the season strip. */
export const PHASE_SHORT = {
  winter: 'Winter',
  prespawn: 'Pre-spawn',
  spawn: 'Spawn',
  postspawn: 'Post',
  summer: 'Summer',
  autumn: 'Autumn',
} as const
/** Short names for the jars. */
export const JAR_WORDS: Record<TintId, string> = {
  'blue-clear': 'Clear',
  'green': 'Green',
  'tea': 'Tea',
  'brown': 'Silt',
  'mixed': 'Mixed',
}
/** Short names for the lure picker. */
export const LURE_SHORT: Record<keyof typeof LURES, string> = {
  'shallow-crankbait': 'Square bill',
  'deep-crankbait': 'Deep crank',
  'lipless-crankbait': 'Lipless',
  'jerkbait': 'Jerkbait',
  'spinnerbait': 'Spinnerbait',
  'bladed-jig': 'Bladed jig',
  'swim-jig': 'Swim jig',
  'casting-jig': 'Casting jig',
  'stick-worm': 'Stick worm',
  'craw': 'Craw',
  'worm': 'Worm',
  'tube': 'Tube',
  'grub': 'Grub',
  'swimbait': 'Swimbait',
  'walking-frog': 'Frog',
  'popping-frog': 'Popping frog',
  'walking-topwater': 'Walker',
  'popper': 'Popper',
  'buzzbait': 'Buzzbait',
  'jigging-spoon': 'Jigging spoon',
  'crappie-jig': 'Crappie jig',
  'inshore-paddletail': 'Paddle tail',
  'inshore-twitchbait': 'Twitchbait',
  'inshore-spoon': 'Inshore spoon',
}

/** The three rods, by the role each has. */
export const ROD_WORDS = { first: 'First rod', switch: 'Switch rod', odd: 'Odd rod' } as const
/** The same in their order in the boat. */
export const ROD_NAMES = Object.values(ROD_WORDS)

/** What may differ in a fair test, and what spoils a spell of it. */
export const DIFFERENCE_OPTIONS: { value: Difference; words: string }[] = [
  { value: 'finish', words: 'Colour and finish' },
  { value: 'lure', words: 'Lure, in one colour' },
  { value: 'line', words: 'Line' },
  { value: 'size', words: 'Size' },
]
export const SPOIL_OPTIONS: { value: Spoil; words: string }[] = [
  { value: 'broken', words: 'Broken off' },
  { value: 'moved', words: 'Another spot' },
  { value: 'sky', words: 'Another sky' },
]

/** A kind of caution as an angler calls it. */
export const cautionName = (kind: string) => cap(kind.replace('-', ' '))
