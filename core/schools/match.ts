import { FORAGE } from '#core/finish/forage'
import { timesWords } from '#core/conditions/lengths'
import { type School, standing } from '#core/schools/school'
import { shareOf } from '#core/season/prey'

/** Match the prey as the fish sees it at biting distance; a pattern painted after a likely prey has that in its favour too. */
export const match: School = {
  id: 'match',
  judge(m, moment) {
    const { prey } = moment.conditions
    const top = prey.shares[0]
    if (!top) return []
    const points = [{
      effect: 0.62 * standing(m, moment, 'natural'),
      text: () => {
        const ratio = m.natural / Math.max(1e-6, moment.field.natural.middle)
        return ratio >= 1
          ? `Looks ${ratio > 1.15 ? `${timesWords(ratio)} as` : 'as'} much like ${FORAGE[top.kind].words} at biting distance ${ratio > 1.15 ? 'as the middle of the box' : 'as most'}.`
          : `Does not look like ${FORAGE[top.kind].words} up close in this water.`
      },
    }]
    const kind = m.finish.mimics
    const share = kind ? shareOf(prey.shares, kind) : 0
    if (kind && share > 0.04) {
      points.push({ effect: 0.55 * share, text: () => `Painted after ${FORAGE[kind].words}, ${Math.round(share * 100)} % of what they are likely eating.` })
    }
    return points
  },
}
