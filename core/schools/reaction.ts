import { type School, standing } from '#core/schools/school'
import type { Family } from '#core/finish/families'

const HOT: readonly Family[] = ['chartreuse', 'orange', 'pink', 'yellow']

/** Provoke: loud, multi-coloured, flashing; most when natural was refused, with fast lures and in colour. */
export const reaction: School = {
  id: 'reaction',
  judge(m, moment) {
    const { families, traits } = m.finish
    const hot = families.filter(f => HOT.includes(f)).length
    const clash = families.includes('chartreuse') && families.length > 1 || hot >= 2
    const points = [{
      effect: (traits.vivid ? 0.4 : -0.3) + 0.08 * hot - (traits.tone === 'dark' && hot === 0 ? 0.15 : 0),
      text: () => traits.vivid ? 'Loud enough to be struck before it is judged.' : 'Too tame to provoke.',
    }, {
      effect: 0.12 * standing(m, moment, 'reach'),
      text: () => 'Seen early, so it is met at a rush.',
    }]
    if (clash) points.push({ effect: 0.22, text: () => 'Clashing colours: nothing they have learned to refuse.' })
    if (m.finish.mimics) points.push({ effect: -0.18, text: () => 'Painted after prey, which is what they are refusing.' })
    if (traits.flash === 'high') points.push({ effect: 0.1 * (0.3 + moment.facts.sunny), text: () => 'Flash sets off a strike.' })
    return points
  },
}
