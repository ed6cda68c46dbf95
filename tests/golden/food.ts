import { SPECIES, type SpeciesId } from '#core/eye/species'
import { CLUES, type Clue, preyOdds } from '#core/prey/odds'
import { SEASONS, setSeason } from '#core/season/phase'

const INSHORE: readonly SpeciesId[] = ['red-drum', 'seatrout', 'snook']

/** A water with little in it, so that what a clue speaks for most need not live there. */
const FEW = ['crawfish', 'sunfish', 'mullet', 'shad'] as const

/**
 * What every fish eats in every season, and what each clue makes of it in summer: shares of all, to three places; and
 * what it says was moved most where few live.
 */
export function foodOf(): Record<string, string> {
  const said = (species: SpeciesId, phase: (typeof SEASONS)[number], clues: readonly Clue[]) =>
    preyOdds({
      species,
      phases: { [setSeason(phase, species)]: 1 },
      salinity: INSHORE.includes(species) ? 'salt' : 'fresh',
      clues,
    })
      .shares.map(s => `${s.kind} ${s.share.toFixed(3)}`)
      .join(' ')
  const out: Record<string, string> = {}
  for (const species of Object.keys(SPECIES) as SpeciesId[]) {
    for (const phase of SEASONS) out[`${species} ${phase}`] = said(species, phase, [])
    for (const clue of Object.keys(CLUES) as Clue[]) out[`${species} summer ${clue}`] = said(species, 'summer', [clue])
  }
  for (const clue of Object.keys(CLUES) as Clue[]) {
    const scene = { species: 'largemouth-bass', phases: { summer: 1 }, salinity: 'fresh' } as const
    const { moved } = preyOdds({ ...scene, listed: FEW, clues: [clue] })
    const said = moved.map(m => `${m.kind} ${m.from.toFixed(3)} to ${m.to.toFixed(3)}`)
    out[`where few live, ${clue}`] = said.join() || 'nothing'
  }
  return out
}
