import { type CoverId, coverKind } from '#core/cover/cover'
import { SPECIES, type SpeciesId } from '#core/eye/species'
import { LURES, type LureId } from '#core/lure/types'
import { CLUES, type Clue } from '#core/prey/odds'
import { PHASE_WORDS, type Phase, type SeasonBasis } from '#core/season/phase'
import { type None, withArticle } from '#core/words/wording'

const temperature = (given: boolean) =>
  given ? 'the water temperature' : 'the usual water temperature for the date and latitude'

function seasonBecause(b: SeasonBasis): string {
  switch (b.kind) {
    case 'nothing-given':
      return 'no temperature or date was given, so a settled summer pattern is assumed'
    case 'peak':
      return `${temperature(b.temperatureGiven)} at the height of the warm season`
    case 'warming':
      return `${temperature(b.temperatureGiven)} and the date say the water is warming from winter`
    case 'cooling':
      return `${temperature(b.temperatureGiven)} and the date say the water is cooling after summer`
    case 'falling':
      return `${temperature(true)} is falling; no date was given`
    case 'rising':
      return `${temperature(true)} is rising`
    case 'undated':
      return `${temperature(true)}, taken as warming because no date or trend was given`
  }
}

const PREY_FROM = {
  given: 'your own shares',
  listed: 'the season and what lives in this water',
  season: 'the season and the species',
} as const

/** What was taken for granted, and why; each continues "… is assumed: ". */
export const ASSUMPTION_WORDS = {
  'assumed.season': ({ phase, basis }: { phase: Phase; basis: SeasonBasis }) =>
    `${PHASE_WORDS[phase]}: ${seasonBecause(basis)}`,
  'assumed.forage': (p: { from: keyof typeof PREY_FROM; clues: readonly Clue[]; rest: number }) => {
    const clues = p.clues.length ? `, then ${p.clues.map(c => CLUES[c].words).join(' and ')}` : ''
    const rest = p.rest > 0 ? `; the rest, ${Math.round(100 * p.rest)} %, is many things` : ''
    return `from ${PREY_FROM[p.from]}${clues}${rest}`
  },
  'assumed.by-cover': ({ cover }: { cover: CoverId }) => `it goes with ${coverKind(cover).words}`,
  'assumed.eye': ({ species }: { species: SpeciesId }) =>
    `the eye of the ${SPECIES[species].words} has not been measured closely: ${SPECIES[species].source}`,
  'assumed.depth': ({ lure }: { lure: LureId }) =>
    `the usual running depth of ${withArticle(LURES[lure].words)} in water as clear and deep as this`,
  'assumed.species': ({ species }: { species: SpeciesId }) => `no fish was named, so ${SPECIES[species].words}`,
  'assumed.salinity': (_: None) => 'nothing was said of salt, so fresh water',
  'assumed.pressure': (_: None) => 'nothing was said of other boats, so the usual pressure',
  'assumed.temperature': (_: None) => 'no temperature was given, so nothing is said that hangs on it',
  'assumed.tide': (_: None) => 'nothing was said of the tide, so slack water',
  'assumed.wind': (_: None) => 'nothing was said of the wind, so calm',
  'assumed.canopy': (_: None) => 'nothing was said of shade, so open water',
  'assumed.water-depth': (_: None) => 'nothing was said of the bottom, so deep open water under the lure',
  'assumed.facing': (_: None) => 'nothing was said of where the sun is, so the fish may look any way',
  'assumed.background': (_: None) => 'nothing was said of what lies behind the lure, so open water',
  'assumed.fish': (_: None) => 'a fish usually decides at a quarter of the visibility',
  'assumed.moon-by-date': (_: None) => 'the moon of that night at that place',
  'assumed.moon': (_: None) => 'nothing was said of the moon, so half of it lit, half way up',
  'assumed.lamps': (_: None) => 'nothing was said of lamps, so none near by',
} as const
