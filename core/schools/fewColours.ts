import { lureType } from '#core/lure/types'
import type { Family } from '#core/paintwork/families'
import type { School } from '#core/schools/school'
import { plainly } from '#core/words/sentence'

/** The tiny set: a white, a black (with blue), a green-brown natural and one bright. */
type Basic = 'white' | 'black' | 'natural' | 'bright' | 'gold' | 'dark'
type Basics = Partial<Record<Basic, readonly Family[]>>

const BASICS: Basics = {
  white: ['white', 'pearl', 'bone'],
  black: ['black', 'blue'],
  natural: ['olive', 'green', 'brown'],
  bright: ['chartreuse', 'orange', 'yellow'],
}

/** The set of the coast: a bone or white, a gold, a dark and a bright. */
const COAST_BASICS: Basics = {
  white: ['bone', 'white', 'pearl', 'silver'],
  gold: ['gold', 'copper'],
  dark: ['purple', 'black'],
  bright: ['chartreuse', 'pink', 'yellow'],
}

/** The group a leading family belongs to, and the group's members. */
type Group = readonly [basic: Basic, members: readonly Family[]]
const groupsOf = (basics: Basics) =>
  new Map(
    (Object.entries(basics) as [Basic, readonly Family[]][]).flatMap(g => g[1].map(f => [f, g as Group] as const)),
  )
const GROUPS = { inland: groupsOf(BASICS), coast: groupsOf(COAST_BASICS) }

/** How far each of the coast's four suits the moment, 0-1: gold where it colours up, the dark one at night. */
function coastWishes(
  tea: boolean,
  f: { sunny: number; clear: number; dirty: number; dim: number; night: number },
): Partial<Record<Basic, number>> {
  return {
    white: 0.45 + 0.4 * f.clear - 0.3 * f.night,
    gold: (tea ? 0.75 : 0.3) + 0.2 * f.sunny - 0.3 * f.clear - 0.4 * f.night,
    dark: 0.1 + 0.25 * f.dim + 0.75 * f.night,
    bright: 0.2 + 0.6 * f.dirty + 0.15 * f.dim - 0.3 * f.night,
  }
}

/** How far each of the four suits the moment, 0-1. */
function wishes(
  surface: boolean,
  bottom: boolean,
  f: { sunny: number; clear: number; dirty: number; dim: number; night: number },
): Partial<Record<Basic, number>> {
  if (surface) {
    // White under cloud and in cleaner water, black under sun and in dirtier water.
    const black = Math.min(1, 0.5 + 0.45 * f.sunny - 0.55 * f.clear + 0.4 * f.dirty + f.night)
    return { white: Math.max(0, 1.1 - black - 0.3 * f.night), black: Math.max(0, black), natural: 0.1, bright: 0.1 }
  }
  return bottom
    ? {
        natural: 0.35 + 0.6 * f.clear - 0.5 * f.dirty,
        black: 0.4 + 0.6 * f.dirty + 0.3 * f.dim - 0.3 * f.clear,
        white: 0.2,
        bright: 0.1 + 0.25 * f.dirty,
      }
    : {
        white: 0.95 - 0.45 * f.dirty - 0.4 * f.night,
        natural: 0.25 + 0.3 * f.clear,
        black: 0.2 + 0.5 * f.dirty + 0.6 * f.night,
        bright: 0.2 + 0.65 * f.dirty,
      }
}

/** Keep it simple: only plain members of four groups count, and the moment picks among them; the coast has its own. */
export const fewColours: School = {
  id: 'few-colours',
  judge(m, moment) {
    const type = lureType(m.finish.lure)
    const { salinity, tint } = moment.conditions
    const coast = type.salt || salinity === 'salt'
    const wish = coast
      ? coastWishes(tint === 'tea' || tint === 'mixed', moment.grades)
      : wishes(type.surface, type.bottom, moment.grades)
    const first = m.finish.families[0]!
    const group = GROUPS[coast ? 'coast' : 'inland'].get(first)
    if (!group) return [{ effect: -0.45, says: () => plainly('few-colours.not-one') }]
    const [basic, members] = group
    const exact = members[0] === first
    // A plain one-colour version is the one to own.
    const plain = m.finish.families.length === 1 ? 0.12 : m.finish.families.every(f => members.includes(f)) ? 0.06 : 0
    return [
      {
        effect: 0.9 * (wish[basic] ?? 0) - 0.35 + plain + (exact ? 0.08 : 0),
        says: () => plainly(`few-colours.${basic}`),
      },
    ]
  },
}
