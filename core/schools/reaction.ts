import type { Family } from '#core/paintwork/families'
import { type Point, type School, standing } from '#core/schools/school'
import { plainly } from '#core/words/sentence'

const HOT: readonly Family[] = ['chartreuse', 'orange', 'pink', 'yellow']

/** Provoke: loud, multi-coloured, flashing; most when natural was refused, with fast lures and in colour. */
export const reaction: School = {
  id: 'reaction',
  judge(m, moment) {
    const { families, traits } = m.finish
    const hot = families.filter(f => HOT.includes(f)).length
    const clash = (families.includes('chartreuse') && families.length > 1) || hot >= 2
    const drab = traits.tone === 'dark' && hot === 0
    const points: Point[] = [
      {
        effect: (traits.vivid ? 0.4 : -0.3) + 0.08 * hot - (drab ? 0.15 : 0),
        says: () => plainly(traits.vivid ? 'reaction.loud' : 'reaction.tame'),
      },
      { effect: 0.12 * standing(m, moment, 'reach'), says: () => plainly('reaction.seen-early') },
    ]
    if (clash) points.push({ effect: 0.22, says: () => plainly('reaction.clash') })
    if (m.finish.mimics) points.push({ effect: -0.18, says: () => plainly('reaction.painted-after-prey') })
    if (traits.flash === 'high') {
      points.push({ effect: 0.1 * (0.3 + moment.grades.sunny), says: () => plainly('reaction.flash') })
    }
    return points
  },
}
