import { lureType } from '#core/lure/types'
import type { Family } from '#core/paintwork/families'
import type { School } from '#core/schools/school'
import { plainly } from '#core/words/sentence'

/** The tiny set: a white, a black (with blue), a green-brown natural and one bright. */
type Basic = 'white' | 'black' | 'natural' | 'bright'

const BASICS: Record<Basic, readonly Family[]> = {
  white: ['white', 'pearl', 'bone'],
  black: ['black', 'blue'],
  natural: ['olive', 'green', 'brown'],
  bright: ['chartreuse', 'orange', 'yellow'],
}

/** How far each of the four suits the moment, 0-1. */
function wishes(
  surface: boolean,
  bottom: boolean,
  f: { sunny: number; clear: number; dirty: number; dim: number; night: number },
): Record<Basic, number> {
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

/** Keep it simple: only the plain members of four groups count, and the moment picks among the four. */
export const fewColours: School = {
  id: 'few-colours',
  judge(m, moment) {
    const type = lureType(m.finish.lure)
    const wish = wishes(type.surface, type.bottom, moment.grades)
    const first = m.finish.families[0]!
    const basic = (Object.keys(BASICS) as Basic[]).find(b => BASICS[b].includes(first))
    if (!basic) return [{ effect: -0.45, says: () => plainly('few-colours.not-one') }]
    const exact = BASICS[basic][0] === first
    // A plain one-colour version is the one to own.
    const plain =
      m.finish.families.length === 1 ? 0.12 : m.finish.families.every(f => BASICS[basic].includes(f)) ? 0.06 : 0
    return [
      {
        effect: 0.9 * wish[basic] - 0.35 + plain + (exact ? 0.08 : 0),
        says: () => plainly(`few-colours.${basic}`),
      },
    ]
  },
}
