import type { Family } from '#core/paintwork/families'
import { ramp } from '#core/request/grades'
import { type Moment, type Point, type School, standing } from '#core/schools/school'
import type { Measured } from '#core/sight/measure'
import { plainly } from '#core/words/sentence'

const HOT: readonly Family[] = ['chartreuse', 'orange', 'pink', 'yellow']

const has = (m: Measured, ...families: Family[]) => families.every(f => m.finish.families.includes(f))

/**
 * How far a loud finish is the one the field reaches for in a moment, 0-1: orange with chartreuse in gin-clear and tea
 * water, chartreuse with blue over ledges in summer, fire-bright in mud, pink in the cold and at the edges of the day.
 */
function calledFor(m: Measured, { conditions: c, grades: g }: Moment): number {
  const cold = c.temperatureC === null ? 0 : ramp(c.temperatureC, 14, 7)
  const wishes = [
    has(m, 'chartreuse', 'orange') ? Math.max(ramp(c.visibilityM, 2.5, 4.5), c.tint === 'tea' ? 0.8 : 0, g.dirty) : 0,
    has(m, 'chartreuse', 'blue') ? ((c.phases.summer ?? 0) + (c.phases.postspawn ?? 0)) * (1 - g.dirty) : 0,
    has(m, 'chartreuse', 'white') ? 0.7 * (1 - g.clear) * (1 - g.dirty) : 0,
    has(m, 'pink') ? Math.max(cold, g.dim * (1 - g.night)) * (1 - g.dirty) : 0,
  ]
  return Math.max(...wishes)
}

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
    const today = traits.vivid ? calledFor(m, moment) : 0
    if (today > 0) points.push({ effect: 0.3 * today, says: () => plainly('reaction.today') })
    if (clash) points.push({ effect: 0.22, says: () => plainly('reaction.clash') })
    if (m.finish.mimics) points.push({ effect: -0.18, says: () => plainly('reaction.painted-after-prey') })
    if (traits.flash === 'high') {
      points.push({ effect: 0.1 * (0.3 + moment.grades.sunny), says: () => plainly('reaction.flash') })
    }
    return points
  },
}
