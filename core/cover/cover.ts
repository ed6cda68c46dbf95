import type { Surroundings } from '#core/lure/passage'
import type { BackgroundId } from '#core/sight/backgrounds'
import type { Canopy } from '#core/sky/weather'

export interface CoverKind {
  /** What it is called within a sentence. */
  words: string
  /** Which of a lure's ways of coming through counts in it; null where there is nothing to catch on. */
  passage: Surroundings | null
  /** What stands behind a lure in it, and what is over it, unless they are said. */
  background: BackgroundId
  canopy: Canopy | null
  /** How far down its top is, as a share of the water's depth, by how dense it is; 0 at the surface. */
  top: Readonly<Record<Density, number>>
  /** Where the fish in it hold, as a share of the water's depth. */
  fishAt: number
  /** How much of the fish about it holds to it when it is scattered, 0-1. */
  holds: number
  /** Whether fish are found at it and hardly above it. */
  onBed: boolean
}

export const DENSITIES = ['sparse', 'scattered', 'thick'] as const
export type Density = (typeof DENSITIES)[number]

const all = (share: number) => ({ sparse: share, scattered: share, thick: share })

/**
 * What stands in the water, apart from what is behind a lure. Where fish hold and how many of them are ours, after
 * what practised anglers say (field guide section 4).
 */
export const COVERS = {
  open: {
    words: 'open water',
    passage: null,
    background: 'open',
    canopy: null,
    top: all(1),
    fishAt: 0.5,
    holds: 0,
    onBed: false,
  },
  grass: {
    words: 'grass',
    passage: 'grass',
    background: 'green-weed',
    canopy: null,
    top: { sparse: 0.6, scattered: 0.5, thick: 0.25 },
    fishAt: 0.6,
    holds: 0.5,
    onBed: false,
  },
  mat: {
    words: 'a mat',
    passage: 'mat',
    background: 'green-weed',
    canopy: 'mat',
    top: all(0),
    fishAt: 0.5,
    holds: 0.8,
    onBed: false,
  },
  pads: {
    words: 'pads',
    passage: 'pads',
    background: 'green-weed',
    canopy: null,
    top: all(0),
    fishAt: 0.4,
    holds: 0.6,
    onBed: false,
  },
  wood: {
    words: 'wood',
    passage: 'wood',
    background: 'wood',
    canopy: null,
    top: { sparse: 0.4, scattered: 0.2, thick: 0 },
    fishAt: 0.5,
    holds: 0.7,
    onBed: false,
  },
  dock: {
    words: 'docks',
    passage: 'dock',
    background: 'wood',
    canopy: 'trees-or-dock',
    top: all(0),
    fishAt: 0.5,
    holds: 0.7,
    onBed: false,
  },
  rock: {
    words: 'rock',
    passage: 'rock',
    background: 'rock',
    canopy: null,
    top: { sparse: 0.85, scattered: 0.7, thick: 0.55 },
    fishAt: 0.8,
    holds: 0.5,
    onBed: true,
  },
  ledge: {
    words: 'a ledge',
    passage: 'rock',
    background: 'rock',
    canopy: null,
    top: all(0.95),
    fishAt: 0.9,
    holds: 0.5,
    onBed: true,
  },
  bed: {
    words: 'beds',
    passage: null,
    background: 'gravel',
    canopy: null,
    top: all(1),
    fishAt: 0.9,
    holds: 0.9,
    onBed: true,
  },
  oyster: {
    words: 'oyster',
    passage: 'rock',
    background: 'oyster',
    canopy: null,
    top: { sparse: 0.9, scattered: 0.8, thick: 0.7 },
    fishAt: 0.7,
    holds: 0.5,
    onBed: true,
  },
} as const satisfies Record<string, CoverKind>
export type CoverId = keyof typeof COVERS
export const COVER_IDS = Object.keys(COVERS) as CoverId[]
export const coverKind = (id: CoverId): CoverKind => COVERS[id]

/** Cover as it is in one place. */
export interface Cover {
  kind: CoverId
  density: Density
  /** How far down its top is, m; null where the depth of the water is not known either. */
  topM: number | null
}

/** Cover with what was left out of it filled in. */
export function coverOf(
  said: { kind: CoverId; density?: Density | undefined; topM?: number | undefined },
  waterM: number | null,
): Cover {
  const density = said.density ?? 'scattered'
  const share = COVERS[said.kind].top[density]
  const usualM = share === 0 ? 0 : waterM === null ? null : share * waterM
  const topM = said.topM ?? usualM
  return { kind: said.kind, density, topM: topM === null || waterM === null ? topM : Math.min(topM, waterM) }
}

/** Of the fish about it, how many hold to cover so dense, beside scattered cover. */
const DENSER: Readonly<Record<Density, number>> = { sparse: 0.5, scattered: 1, thick: 1.25 }
/** Share of the fish that are in this cover and not about it, 0-1. */
export const heldBy = ({ kind, density }: Cover) => Math.min(0.95, COVERS[kind].holds * DENSER[density])
