import { northernDay, usualTemperatureC } from '#core/season/usual'
import { type SpeciesId, species } from '#core/eye/species'

export const PHASES = ['winter', 'prespawn', 'spawn', 'postspawn', 'summer', 'autumn', 'spring'] as const
/** `spring` is what inshore fish have where fish with nests have pre-spawn, spawn and post-spawn. */
export type Phase = (typeof PHASES)[number]
/** The phases an angler may set, the contract's. */
export const SEASONS = ['winter', 'prespawn', 'spawn', 'postspawn', 'summer', 'autumn'] as const satisfies Phase[]
export type SeasonWord = (typeof SEASONS)[number]

export const PHASE_WORDS: Record<Phase, string> = {
  winter: 'winter',
  prespawn: 'pre-spawn',
  spawn: 'spawn',
  postspawn: 'post-spawn',
  summer: 'summer',
  autumn: 'autumn',
  spring: 'spring',
}

type Steps = readonly { fromC: number; phase: Phase }[]

/** Spring steps of black bass by rising surface temperature, °C: each phase begins at its value. */
const SPRING: Steps = [
  { fromC: 24, phase: 'summer' },
  { fromC: 20, phase: 'postspawn' },
  { fromC: 15.5, phase: 'spawn' },
  { fromC: 10, phase: 'prespawn' },
  { fromC: -5, phase: 'winter' },
]
/** The same for fish that keep no nests. */
const NESTLESS_SPRING: Steps = [
  { fromC: 23, phase: 'summer' },
  { fromC: 15, phase: 'spring' },
  { fromC: -5, phase: 'winter' },
]
/** Falling water after the year's peak. */
const FALL: Steps = [
  { fromC: 24.5, phase: 'summer' },
  { fromC: 11, phase: 'autumn' },
  { fromC: -5, phase: 'winter' },
]
/** The height of the warm season: cooler water is still after the spawn. */
const PEAK: Steps = [
  { fromC: 20, phase: 'summer' },
  { fromC: -5, phase: 'postspawn' },
]
const NESTLESS_PEAK: Steps = [{ fromC: -5, phase: 'summer' }]

/** Phases overlap: each gives way to the next over this much either side of its step, °C (field guide section 6). */
const OVERLAP_C = 2

/** How far each phase holds, 0-1, summing to 1; those that do not are left out. */
export type PhaseShares = Partial<Record<Phase, number>>

export interface SeasonClues {
  species: SpeciesId
  temperatureC?: number | undefined
  trend?: 'rising' | 'steady' | 'falling' | undefined
  /** Day of the year, 1-366, and latitude; both or neither. */
  dayOfYear?: number | undefined
  latitudeDeg?: number | undefined
}

/** What a phase was inferred from: which side of the year, and whether the temperature was read or is the usual one. */
export type SeasonBasis =
  | { kind: 'peak' | 'warming' | 'cooling'; temperatureGiven: boolean }
  | { kind: 'nothing-given' | 'falling' | 'rising' | 'undated' }

export interface Season {
  /** The phase that holds most. */
  phase: Phase
  shares: PhaseShares
  basis: SeasonBasis
}

/** Which side of the year it is: the water warming towards summer, at its peak, or cooling. */
function sideOfYear(day: number, latitudeDeg: number): 'spring' | 'peak' | 'fall' {
  const d = northernDay(day, latitudeDeg)
  if (d >= 20 && d < 190) return 'spring'
  return d < 235 && d >= 190 ? 'peak' : 'fall'
}

function sharesOf(steps: Steps, t: number): PhaseShares {
  const out: PhaseShares = {}
  let warmer = 0
  steps.forEach(({ fromC, phase }, i) => {
    const reached = i === steps.length - 1 ? 1 : Math.min(1, Math.max(0, (t - fromC) / (2 * OVERLAP_C) + 0.5))
    if (reached > warmer) out[phase] = reached - warmer
    warmer = Math.max(warmer, reached)
  })
  return out
}

function season(steps: Steps, t: number, basis: SeasonBasis): Season {
  const shares = sharesOf(steps, t)
  const [phase] = (Object.entries(shares) as [Phase, number][]).reduce((a, b) => (b[1] > a[1] ? b : a))
  return { phase, shares, basis }
}

/** A phase the angler has set, as this fish lives it: one that keeps no nests has spring instead of its three parts. */
export function setSeason(word: SeasonWord, of: SpeciesId): Phase {
  return !species(of).nests && (word === 'prespawn' || word === 'spawn' || word === 'postspawn') ? 'spring' : word
}

/**
 * Phase from temperature, trend, date and hemisphere. The date decides between spring and autumn; without one the trend
 * does; without either, warming is assumed and said so. Phases overlap, so that half a degree never turns a pick round.
 */
export function inferPhase(c: SeasonClues): Season {
  const { nests, springCoolerC } = species(c.species)
  const spring = nests ? SPRING : NESTLESS_SPRING
  if (c.dayOfYear !== undefined && c.latitudeDeg !== undefined) {
    const temperatureGiven = c.temperatureC !== undefined
    const t = (c.temperatureC ?? usualTemperatureC(c.dayOfYear, c.latitudeDeg)) + springCoolerC
    const side = sideOfYear(c.dayOfYear, c.latitudeDeg)
    if (side === 'peak') return season(nests ? PEAK : NESTLESS_PEAK, t, { kind: 'peak', temperatureGiven })
    return side === 'spring'
      ? season(spring, t, { kind: 'warming', temperatureGiven })
      : season(FALL, t, { kind: 'cooling', temperatureGiven })
  }
  if (c.temperatureC === undefined) {
    return { phase: 'summer', shares: { summer: 1 }, basis: { kind: 'nothing-given' } }
  }
  const t = c.temperatureC + springCoolerC
  if (c.trend === 'falling') return season(FALL, t, { kind: 'falling' })
  return season(spring, t, { kind: c.trend === 'rising' ? 'rising' : 'undated' })
}
