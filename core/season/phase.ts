import { type SpeciesId, species } from '#core/eye/species'

export const PHASES = ['winter', 'prespawn', 'spawn', 'postspawn', 'summer', 'autumn'] as const
export type Phase = (typeof PHASES)[number]

export const PHASE_WORDS: Record<Phase, string> = {
  winter: 'winter',
  prespawn: 'pre-spawn',
  spawn: 'spawn',
  postspawn: 'post-spawn',
  summer: 'summer',
  autumn: 'autumn',
}

/** Spring steps of black bass by rising surface temperature, °C: each phase begins at its value. */
const SPRING: readonly { fromC: number; phase: Phase }[] = [
  { fromC: 24, phase: 'summer' },
  { fromC: 20, phase: 'postspawn' },
  { fromC: 15.5, phase: 'spawn' },
  { fromC: 10, phase: 'prespawn' },
  { fromC: -5, phase: 'winter' },
]
/** The same for inshore species, which have no beds: pre-spawn stands for spring. */
const INSHORE_SPRING: readonly { fromC: number; phase: Phase }[] = [
  { fromC: 26, phase: 'summer' },
  { fromC: 23, phase: 'postspawn' },
  { fromC: 16, phase: 'prespawn' },
  { fromC: -5, phase: 'winter' },
]
/** Falling water after the year's peak. */
const FALL: readonly { fromC: number; phase: Phase }[] = [
  { fromC: 24.5, phase: 'summer' },
  { fromC: 11, phase: 'autumn' },
  { fromC: -5, phase: 'winter' },
]

/** At the height of the warm season water this warm is summer's, °C; cooler water is still after the spawn. */
const SETTLED_SUMMER_C = 20

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
  phase: Phase
  basis: SeasonBasis
}

/** Day of the year as if in the northern hemisphere. */
const northernDay = (day: number, latitudeDeg: number) => (latitudeDeg >= 0 ? day : (day + 182) % 365)

/**
 * Usual surface temperature of a lake by day and latitude, °C: a cosine with its peak in early August. Rough (±4 °C);
 * only used where no reading is given.
 */
export function usualTemperatureC(day: number, latitudeDeg: number): number {
  const lat = Math.min(60, Math.abs(latitudeDeg))
  const mean = 30 - 0.38 * lat
  const swing = Math.min(13, 1.5 + 0.3 * lat)
  return Math.max(1, mean + swing * Math.cos((2 * Math.PI * (northernDay(day, latitudeDeg) - 215)) / 365))
}

/** Which side of the year it is: the water warming towards summer, at its peak, or cooling. */
function sideOfYear(day: number, latitudeDeg: number): 'spring' | 'peak' | 'fall' {
  const d = northernDay(day, latitudeDeg)
  if (d >= 20 && d < 190) return 'spring'
  return d < 235 && d >= 190 ? 'peak' : 'fall'
}

const stepOf = (steps: readonly { fromC: number; phase: Phase }[], t: number) => steps.find(s => t >= s.fromC)!.phase

/**
 * Phase from temperature, trend, date and hemisphere. The date decides between spring and autumn; without one the trend
 * does; without either, warming is assumed and said so.
 */
export function inferPhase(c: SeasonClues): Season {
  const spring = species(c.species).salt ? INSHORE_SPRING : SPRING
  const cooler = species(c.species).springCoolerC
  if (c.dayOfYear !== undefined && c.latitudeDeg !== undefined) {
    const temperatureGiven = c.temperatureC !== undefined
    const t = (c.temperatureC ?? usualTemperatureC(c.dayOfYear, c.latitudeDeg)) + cooler
    const side = sideOfYear(c.dayOfYear, c.latitudeDeg)
    if (side === 'peak') {
      return { phase: t >= SETTLED_SUMMER_C ? 'summer' : 'postspawn', basis: { kind: 'peak', temperatureGiven } }
    }
    return side === 'spring'
      ? { phase: stepOf(spring, t), basis: { kind: 'warming', temperatureGiven } }
      : { phase: stepOf(FALL, t), basis: { kind: 'cooling', temperatureGiven } }
  }
  if (c.temperatureC === undefined) return { phase: 'summer', basis: { kind: 'nothing-given' } }
  const t = c.temperatureC + cooler
  if (c.trend === 'falling') return { phase: stepOf(FALL, t), basis: { kind: 'falling' } }
  return { phase: stepOf(spring, t), basis: { kind: c.trend === 'rising' ? 'rising' : 'undated' } }
}
