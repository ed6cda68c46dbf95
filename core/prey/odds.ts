import type { SpeciesId } from '#core/eye/species'
import { FORAGE, FORAGE_KINDS, type Forage, type Prey } from '#core/prey/forage'
import type { Phase, PhaseShares } from '#core/season/phase'

/** What an angler may have seen that says what they are eating; `pull` multiplies the odds of those kinds. */
export const CLUES = {
  'red-throats': { words: 'red around the mouth and throat of a caught fish', pull: { crawfish: 30, crab: 6 } },
  'sunfish-popping': { words: 'sunfish popping', pull: { sunfish: 30 } },
  'bait-flicker': {
    words: 'flickers of bait',
    pull: {
      'glass-minnow': 4,
      'shad': 5,
      'herring': 5,
      'shiner': 5,
      'golden-shiner': 4,
      'mullet': 5,
      'menhaden': 5,
      'pilchard': 5,
      'pinfish': 2,
    },
  },
  'birds': {
    words: 'birds working',
    pull: { shad: 5, herring: 6, mullet: 5, menhaden: 6, pilchard: 6, shiner: 2, shrimp: 3 },
  },
  'fry': { words: 'balls of fry', pull: { fry: 30 } },
  'frogs': { words: 'frogs calling or jumping', pull: { frog: 30 } },
  'bait-on-sounder': {
    words: 'bait on the sounder',
    pull: { shad: 5, herring: 6, menhaden: 5, pilchard: 4, mullet: 2 },
  },
  'mullet-jumping': { words: 'mullet jumping', pull: { mullet: 30 } },
  'shrimp-flicking': { words: 'shrimp flicking at the surface', pull: { shrimp: 30 } },
  'slicks': { words: 'oily slicks', pull: { menhaden: 12, mullet: 3, shad: 4 } },
  'nervous-water': {
    words: 'nervous water',
    pull: { 'mullet': 6, 'menhaden': 6, 'pilchard': 6, 'glass-minnow': 4, 'shad': 4, 'herring': 4 },
  },
} as const satisfies Record<string, { words: string; pull: Partial<Record<Forage, number>> }>
export type Clue = keyof typeof CLUES

type Odds = Partial<Record<Forage, number>>

/**
 * What black bass eat by phase in a common reservoir: relative weights, ours, after the field's rule of thumb
 * (section 6).
 */
const BASS: Record<Exclude<Phase, 'spring'>, Odds> = {
  winter: { 'shad': 4, 'crawfish': 4, 'shiner': 1, 'yellow-perch': 1, 'golden-shiner': 0.7 },
  prespawn: { 'crawfish': 5, 'shad': 3, 'shiner': 1, 'golden-shiner': 1, 'yellow-perch': 1, 'sunfish': 0.6 },
  spawn: { 'sunfish': 4, 'crawfish': 3, 'golden-shiner': 1, 'shiner': 1, 'shad': 1, 'fry': 0.5, 'frog': 0.4 },
  postspawn: { 'sunfish': 3.5, 'shad': 3.5, 'fry': 1.5, 'crawfish': 1.2, 'golden-shiner': 1, 'frog': 1, 'shiner': 0.8 },
  summer: { 'shad': 4, 'sunfish': 3, 'crawfish': 1.5, 'frog': 1, 'golden-shiner': 0.8, 'shiner': 0.8, 'insect': 0.3 },
  autumn: { 'shad': 7, 'shiner': 1.2, 'crawfish': 1, 'sunfish': 1, 'golden-shiner': 0.8, 'frog': 0.5, 'herring': 0.5 },
}
/** Where gobies live they are the half and more of what smallmouth eat (Lake Erie and Ontario diets; weight ours). */
const SMALLMOUTH_AT_LEAST: Odds = { goby: 14 }
const BASS_AT_LEAST: Odds = { goby: 1.5 }
const SMALLMOUTH_TILT: Odds = { 'crawfish': 1.8, 'sunfish': 0.5, 'frog': 0.2, 'yellow-perch': 1.6 }
const STRIPED_TILT: Odds = { shad: 2, herring: 8, crawfish: 0.1, sunfish: 0.1, frog: 0, insect: 0, fry: 0.2 }
const CRAPPIE: Odds = { shad: 4, shiner: 3, fry: 2, insect: 2.5 }
const INSHORE: Record<'red-drum' | 'seatrout' | 'snook', Odds> = {
  'red-drum': { mullet: 3, crab: 3, shrimp: 3, menhaden: 2, pinfish: 2, croaker: 1 },
  'seatrout': { 'shrimp': 4, 'mullet': 2, 'pilchard': 2, 'menhaden': 2, 'pinfish': 2, 'glass-minnow': 2, 'croaker': 1 },
  'snook': { mullet: 3, pilchard: 3, shrimp: 2, pinfish: 2, menhaden: 1 },
}
/** Inshore prey through the year: mullet run in autumn, shrimp in the warm half, crabs in the cold. */
const INSHORE_TILT: Record<'winter' | 'spring' | 'summer' | 'autumn', Odds> = {
  winter: { crab: 1.6, shrimp: 1.3, mullet: 0.7, pilchard: 0.6 },
  spring: { shrimp: 1.2, pilchard: 1.2 },
  summer: { pilchard: 1.4, shrimp: 1.2 },
  autumn: { mullet: 2.2, menhaden: 1.3 },
}

/** Fish that keep no nests have spring where others have three phases, and the other way round. */
const nestless = (phase: Phase) =>
  phase === 'prespawn' || phase === 'spawn' || phase === 'postspawn' ? 'spring' : phase
const nesting = (phase: Phase) => (phase === 'spring' ? 'postspawn' : phase)

function priorOf(species: SpeciesId, shares: PhaseShares): Odds {
  const out: Odds = {}
  for (const [phase, weight] of Object.entries(shares) as [Phase, number][]) {
    for (const [kind, odds] of Object.entries(priorIn(species, phase)) as [Forage, number][]) {
      out[kind] = (out[kind] ?? 0) + weight * odds
    }
  }
  return out
}

function priorIn(species: SpeciesId, phase: Phase): Odds {
  const bass = BASS[nesting(phase)]
  switch (species) {
    case 'largemouth-bass':
      return tilted(bass, {}, BASS_AT_LEAST)
    case 'spotted-bass':
      return tilted(bass, { herring: 2, frog: 0.4, sunfish: 0.7 }, { herring: 0.4 })
    case 'smallmouth-bass':
      return tilted(bass, SMALLMOUTH_TILT, SMALLMOUTH_AT_LEAST)
    case 'striped-bass':
      return tilted(bass, STRIPED_TILT, { herring: 1, menhaden: 0.5 })
    case 'crappie':
      return CRAPPIE
    case 'red-drum':
    case 'seatrout':
    case 'snook':
      return tilted(INSHORE[species], INSHORE_TILT[nestless(phase)])
  }
}

/** Multiply odds by a tilt; `at least` gives kinds a footing that the base leaves out. */
function tilted(base: Odds, tilt: Odds, atLeast: Odds = {}): Odds {
  const out: Odds = { ...base }
  for (const [k, v] of Object.entries(atLeast) as [Forage, number][]) out[k] = Math.max(out[k] ?? 0, v)
  for (const k of Object.keys(out) as Forage[]) out[k] = out[k]! * (tilt[k] ?? 1)
  return out
}

/** Kinds that can live in this water at all get a footing, so that evidence can outweigh the calendar. */
const FOOTING = 0.2

export interface PreyShare {
  kind: Forage
  share: number
}
export interface PreyOdds {
  shares: readonly PreyShare[]
  /** For each clue, how far it moved the share of the kind it speaks for most. */
  moved: readonly { clue: Clue; kind: Forage; from: number; to: number }[]
  /** Where the shares come from before the clues. */
  from: 'given' | 'listed' | 'season'
}

export interface PreyInput {
  species: SpeciesId
  phases: PhaseShares
  salinity: 'fresh' | 'brackish' | 'salt'
  /** Prey known to live in this water. */
  listed?: readonly Forage[] | undefined
  /** The angler's own shares, which replace the prior. */
  given?: readonly PreyShare[] | undefined
  clues: readonly Clue[]
}

function normalised(odds: Odds): PreyShare[] {
  const total = Object.values(odds).reduce((a, b) => a + b, 0)
  return FORAGE_KINDS.filter(k => (odds[k] ?? 0) > 0)
    .map(kind => ({ kind, share: odds[kind]! / total }))
    .sort((a, b) => b.share - a.share)
}

/** Whether a prey can live in water of a salinity at all. */
export const livesIn = (kind: Forage, salinity: PreyInput['salinity']) => {
  const salt = FORAGE[kind].salt
  return salt === null || salinity === 'brackish' || salt === (salinity === 'salt')
}

const isLocal = (kind: Forage) => (FORAGE[kind] as Prey).local === true

/**
 * Odds of each prey: a prior from species, phase, salinity and the water's own list, times what the clues say (a small
 * Bayesian update with the clues taken as independent). The angler's own shares replace the prior. Adding a clue never
 * lowers the kind it speaks for most.
 */
export function preyOdds(input: PreyInput): PreyOdds {
  const { species, phases, salinity, listed, given, clues } = input
  let odds: Odds = {}
  if (given?.length) {
    for (const g of given) odds[g.kind] = (odds[g.kind] ?? 0) + g.share
  } else {
    const prior = priorOf(species, phases)
    for (const kind of FORAGE_KINDS) {
      if (listed?.length ? listed.includes(kind) : livesIn(kind, salinity) && !isLocal(kind))
        odds[kind] = (prior[kind] ?? 0) + FOOTING
    }
  }
  const moved: PreyOdds['moved'][number][] = []
  for (const clue of clues) {
    const before = normalised(odds)
    const pull: Odds = CLUES[clue].pull
    odds = Object.fromEntries(Object.entries(odds).map(([k, v]) => [k, v * (pull[k as Forage] ?? 1)])) as Odds
    const after = normalised(odds)
    const strongest = (Object.entries(pull) as [Forage, number][])
      .filter(([k]) => (odds[k] ?? 0) > 0)
      .sort((a, b) => b[1] - a[1])[0]
    if (strongest)
      moved.push({ clue, kind: strongest[0], from: shareOf(before, strongest[0]), to: shareOf(after, strongest[0]) })
  }
  const shares = normalised(odds)
  const from = given?.length ? 'given' : listed?.length ? 'listed' : 'season'
  return { shares, moved, from }
}

/** Share of a kind, 0 where absent. */
export const shareOf = (shares: readonly PreyShare[], kind: Forage) => shares.find(s => s.kind === kind)?.share ?? 0
