import type { LureId } from '#core/lure/types'
import type { When } from '#core/rules/custom'
import type { LureCustomId } from '#core/words/lures'

/**
 * What a custom of lures implies that the senses and the cover can check: that the lure is noticed from farther than
 * most, bears a look, comes through, or gets to where the fish are.
 */
export type LureClaim = 'found' | 'bears-look' | 'comes-through' | 'reaches' | 'none'

export interface LureCustom {
  id: LureCustomId
  lures: readonly LureId[]
  when: When
  /** 0.3 a habit, 0.6 a rule, 0.9 what everybody does. */
  strength: number
  claim: LureClaim
}

const BLACK_BASS = ['largemouth-bass', 'smallmouth-bass', 'spotted-bass'] as const

/** Practised rules of which lure goes where (field guide section 4); words and strengths ours. */
export const LURE_CUSTOMS: readonly LureCustom[] = [
  {
    id: 'grass-rip',
    lures: ['lipless-crankbait', 'bladed-jig'],
    when: { covers: ['grass'], densities: ['sparse', 'scattered'], phases: ['winter', 'prespawn', 'autumn'] },
    strength: 0.9,
    claim: 'found',
  },
  {
    id: 'grass-blade-stain',
    lures: ['bladed-jig'],
    when: { covers: ['grass'], densities: ['sparse', 'scattered'], visibilityM: [0.2, 1.3] },
    strength: 0.6,
    claim: 'found',
  },
  {
    id: 'grass-swim',
    lures: ['swim-jig'],
    when: {
      covers: ['grass', 'pads'],
      densities: ['scattered', 'thick'],
      visibilityM: [0.2, 4],
      temperatureC: [15, 24],
    },
    strength: 0.6,
    claim: 'comes-through',
  },
  {
    id: 'grass-worm',
    lures: ['stick-worm', 'worm', 'craw'],
    when: { covers: ['grass', 'pads'], densities: ['thick'] },
    strength: 0.3,
    claim: 'comes-through',
  },
  {
    id: 'frog-thick',
    lures: ['walking-frog'],
    when: { covers: ['mat', 'pads', 'grass'], densities: ['thick'], temperatureC: [18, 36] },
    strength: 0.9,
    claim: 'comes-through',
  },
  {
    id: 'frog-mat',
    lures: ['walking-frog'],
    when: { covers: ['mat', 'pads'], temperatureC: [18, 36] },
    strength: 0.6,
    claim: 'comes-through',
  },
  {
    id: 'frog-heard',
    lures: ['popping-frog'],
    when: {
      covers: ['grass', 'pads', 'wood'],
      densities: ['sparse', 'scattered'],
      windy: [0.3, 1],
      temperatureC: [18, 36],
    },
    strength: 0.6,
    claim: 'none',
  },
  {
    id: 'mat-punch',
    lures: ['casting-jig', 'craw'],
    when: { covers: ['mat'] },
    strength: 0.9,
    claim: 'comes-through',
  },
  {
    id: 'mat-front',
    lures: ['casting-jig', 'craw'],
    when: { covers: ['mat'], trends: ['falling'] },
    strength: 0.6,
    claim: 'none',
  },
  {
    id: 'wood-blades',
    lures: ['spinnerbait'],
    when: { covers: ['wood'], temperatureC: [10, 36], species: BLACK_BASS },
    strength: 0.6,
    claim: 'comes-through',
  },
  {
    id: 'wood-knock',
    lures: ['shallow-crankbait'],
    when: { covers: ['wood', 'rock', 'dock'], densities: ['sparse', 'scattered'] },
    strength: 0.6,
    claim: 'comes-through',
  },
  {
    id: 'rock-craw',
    lures: ['shallow-crankbait', 'casting-jig'],
    when: { covers: ['rock', 'ledge'], phases: ['winter', 'prespawn'], prey: { crawfish: 0.2 } },
    strength: 0.9,
    claim: 'none',
  },
  {
    id: 'rock-crawl',
    lures: ['tube'],
    when: { covers: ['rock', 'ledge'] },
    strength: 0.5,
    claim: 'bears-look',
  },
  {
    id: 'rock-smallmouth',
    lures: ['tube', 'grub', 'jerkbait'],
    when: { covers: ['rock', 'ledge', 'open'], species: ['smallmouth-bass', 'spotted-bass'] },
    strength: 0.6,
    claim: 'bears-look',
  },
  {
    id: 'flip',
    lures: ['casting-jig', 'craw'],
    when: { covers: ['wood', 'dock', 'pads'], densities: ['scattered', 'thick'] },
    strength: 0.7,
    claim: 'comes-through',
  },
  {
    id: 'flip-dirty',
    lures: ['casting-jig', 'craw'],
    when: { covers: ['wood', 'dock', 'pads', 'mat'], visibilityM: [0.04, 0.6] },
    strength: 0.6,
    claim: 'none',
  },
  {
    id: 'skip',
    lures: ['stick-worm', 'swim-jig'],
    when: { covers: ['dock'], visibilityM: [0.6, 30] },
    strength: 0.6,
    claim: 'comes-through',
  },
  {
    id: 'ledge',
    lures: ['deep-crankbait', 'worm', 'casting-jig'],
    when: { covers: ['ledge'], phases: ['postspawn', 'summer', 'autumn'] },
    strength: 0.9,
    claim: 'reaches',
  },
  {
    id: 'shad-wind',
    lures: ['spinnerbait', 'lipless-crankbait', 'shallow-crankbait'],
    when: { prey: { shad: 0.25, shiner: 0.3, herring: 0.3 }, windy: [0.3, 1], temperatureC: [11, 36] },
    strength: 0.7,
    claim: 'found',
  },
  {
    id: 'shad-autumn-lure',
    lures: ['spinnerbait', 'lipless-crankbait', 'shallow-crankbait'],
    when: { prey: { shad: 0.25 }, phases: ['autumn'] },
    strength: 0.5,
    claim: 'found',
  },
  {
    id: 'fry-lure',
    lures: ['popper', 'swim-jig', 'stick-worm', 'walking-frog'],
    when: { phases: ['postspawn'], depthM: [0, 1.5], prey: { fry: 0.08 }, visibilityM: [0.4, 36] },
    strength: 0.6,
    claim: 'none',
  },
  {
    id: 'jerk-cold',
    lures: ['jerkbait'],
    when: { temperatureC: [4, 15], visibilityM: [0.6, 36], phases: ['winter', 'prespawn', 'autumn'] },
    strength: 0.9,
    claim: 'bears-look',
  },
  {
    id: 'spoon-cold',
    lures: ['jigging-spoon'],
    when: { temperatureC: [6, 12] },
    strength: 0.9,
    claim: 'reaches',
  },
  {
    id: 'mud-search',
    lures: ['spinnerbait', 'bladed-jig', 'shallow-crankbait', 'lipless-crankbait'],
    when: { visibilityM: [0.04, 0.6], temperatureC: [14, 36] },
    strength: 0.6,
    claim: 'found',
  },
  {
    id: 'buzz',
    lures: ['buzzbait'],
    when: { temperatureC: [17, 36], dim: [0.2, 1], windy: [0, 0.7], canopies: ['open', 'bank-shade'] },
    strength: 0.5,
    claim: 'found',
  },
  {
    id: 'top-low-light',
    lures: ['walking-topwater', 'popper', 'buzzbait', 'walking-frog', 'popping-frog'],
    when: {
      temperatureC: [16, 36],
      dim: [0.25, 1],
      windy: [0, 0.7],
      visibilityM: [0.4, 36],
      canopies: ['open', 'bank-shade', 'mat'],
    },
    strength: 0.6,
    claim: 'none',
  },
  {
    id: 'wary-quiet',
    lures: ['stick-worm', 'worm', 'tube', 'grub', 'swimbait'],
    when: { pressures: ['high'], visibilityM: [1.8, 36] },
    strength: 0.6,
    claim: 'bears-look',
  },
  {
    id: 'spawn-bottom',
    lures: ['casting-jig', 'craw', 'stick-worm', 'worm', 'tube'],
    when: { phases: ['spawn'], species: BLACK_BASS },
    strength: 0.6,
    claim: 'bears-look',
  },
  {
    id: 'winter-bottom',
    lures: ['casting-jig', 'grub', 'tube', 'craw'],
    when: { phases: ['winter'], temperatureC: [2, 11] },
    strength: 0.5,
    claim: 'reaches',
  },
  {
    id: 'night-lure',
    lures: ['spinnerbait', 'buzzbait', 'worm', 'casting-jig', 'walking-topwater'],
    when: { night: [0.5, 1] },
    strength: 0.5,
    claim: 'none',
  },
  {
    id: 'flat-weedless',
    lures: ['inshore-paddletail', 'inshore-spoon'],
    when: { covers: ['grass'], salinities: ['brackish', 'salt'] },
    strength: 0.6,
    claim: 'comes-through',
  },
  {
    id: 'flat-edges',
    lures: ['walking-topwater', 'popper'],
    when: { salinities: ['brackish', 'salt'], dim: [0.1, 1], temperatureC: [16, 36] },
    strength: 0.6,
    claim: 'none',
  },
  {
    id: 'oyster-tail',
    lures: ['inshore-paddletail', 'inshore-twitchbait'],
    when: { covers: ['oyster'], salinities: ['brackish', 'salt'] },
    strength: 0.4,
    claim: 'none',
  },
  {
    id: 'crappie-small',
    lures: ['crappie-jig'],
    when: { species: ['crappie'] },
    strength: 0.9,
    claim: 'bears-look',
  },
]
