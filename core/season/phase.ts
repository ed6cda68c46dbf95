import { type SpeciesId, species } from '#core/eye/species'

export const PHASES = ['winter', 'prespawn', 'spawn', 'postspawn', 'summer', 'autumn'] as const
export type Phase = typeof PHASES[number]

export const PHASE_WORDS: Record<Phase, string> = {
  winter: 'winter', prespawn: 'pre-spawn', spawn: 'spawn', postspawn: 'post-spawn', summer: 'summer', autumn: 'autumn',
}

/** How much cooler a species moves through the spring than largemouth, °C (field guide section 6). */
const COOLER_C: Record<SpeciesId, number> = {
  'largemouth-bass': 0, 'smallmouth-bass': 2.5, 'spotted-bass': 1.2, 'striped-bass': 2, 'crappie': 2.5, 'red-drum': 0, 'seatrout': 0, 'snook': 0,
}

/** Spring steps of black bass by rising surface temperature, °C: each phase begins at its value. */
const SPRING: readonly { fromC: number, phase: Phase }[] = [
  { fromC: 24, phase: 'summer' }, { fromC: 20, phase: 'postspawn' }, { fromC: 15.5, phase: 'spawn' }, { fromC: 10, phase: 'prespawn' }, { fromC: -5, phase: 'winter' },
]
/** The same for inshore species, which have no beds: pre-spawn stands for spring. */
const INSHORE_SPRING: readonly { fromC: number, phase: Phase }[] = [
  { fromC: 26, phase: 'summer' }, { fromC: 23, phase: 'postspawn' }, { fromC: 16, phase: 'prespawn' }, { fromC: -5, phase: 'winter' },
]
/** Falling water after the year's peak. */
const FALL: readonly { fromC: number, phase: Phase }[] = [
  { fromC: 24.5, phase: 'summer' }, { fromC: 11, phase: 'autumn' }, { fromC: -5, phase: 'winter' },
]

export interface SeasonClues {
  species: SpeciesId
  temperatureC?: number | undefined
  trend?: 'rising' | 'steady' | 'falling' | undefined
  /** Day of the year, 1-366, and latitude; both or neither. */
  dayOfYear?: number | undefined
  latitudeDeg?: number | undefined
}

export interface Season { phase: Phase, because: string }

/** Day of the year as if in the northern hemisphere. */
const northernDay = (day: number, latitudeDeg: number) => latitudeDeg >= 0 ? day : (day + 182) % 365

/**
 * Usual surface temperature of a lake by day and latitude, °C: a cosine with its peak in early August. Rough (±4 °C);
 * only used where no reading is given.
 */
export function usualTemperatureC(day: number, latitudeDeg: number): number {
  const lat = Math.min(60, Math.abs(latitudeDeg))
  const mean = 30 - 0.38 * lat
  const swing = Math.min(13, 1.5 + 0.3 * lat)
  return Math.max(1, mean + swing * Math.cos(2 * Math.PI * (northernDay(day, latitudeDeg) - 215) / 365))
}

/** Which side of the year it is: the water warming towards summer, at its peak, or cooling. */
function sideOfYear(day: number, latitudeDeg: number): 'spring' | 'peak' | 'fall' {
  const d = northernDay(day, latitudeDeg)
  if (d >= 20 && d < 190) return 'spring'
  return d < 235 && d >= 190 ? 'peak' : 'fall'
}

const stepOf = (steps: readonly { fromC: number, phase: Phase }[], t: number) => steps.find(s => t >= s.fromC)!.phase

/**
 * Phase from temperature, trend, date and hemisphere. The date decides between spring and autumn; without one the trend
 * does; without either, warming is assumed and said so.
 */
export function inferPhase(c: SeasonClues): Season {
  const spring = species(c.species).salt ? INSHORE_SPRING : SPRING
  const dated = c.dayOfYear !== undefined && c.latitudeDeg !== undefined
  if (c.temperatureC === undefined && !dated) {
    return { phase: 'summer', because: 'no temperature or date was given, so a settled summer pattern is assumed' }
  }
  const usual = dated ? usualTemperatureC(c.dayOfYear!, c.latitudeDeg!) : 0
  const t = (c.temperatureC ?? usual) + COOLER_C[c.species]
  const how = c.temperatureC === undefined ? 'the usual water temperature for the date and latitude' : 'the water temperature'
  if (dated) {
    const side = sideOfYear(c.dayOfYear!, c.latitudeDeg!)
    if (side === 'peak') return { phase: t >= 20 ? 'summer' : 'postspawn', because: `${how} at the height of the warm season` }
    const phase = side === 'spring' ? stepOf(spring, t) : stepOf(FALL, t)
    return { phase, because: side === 'spring' ? `${how} and the date say the water is warming from winter` : `${how} and the date say the water is cooling after summer` }
  }
  if (c.trend === 'falling') return { phase: stepOf(FALL, t), because: `${how} is falling; no date was given` }
  return {
    phase: stepOf(spring, t),
    because: c.trend === 'rising' ? `${how} is rising` : `${how}, taken as warming because no date or trend was given`,
  }
}
