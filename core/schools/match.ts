import { lureType } from '#core/lure/types'
import { shareOf } from '#core/prey/odds'
import { type Point, type School, standing } from '#core/schools/school'
import { type Sentence, plainly } from '#core/words/sentence'

/** Being this much more like the food than the median finish is worth a figure. */
const WORTH_SAYING = 1.15
/** Likeness (0-1) from which what is not painted after the food is close to it all the same. */
const CLOSE = 0.55
/** A pattern painted after food rarer than this gains nothing by it. */
const RARE_SHARE = 0.04

/**
 * Match the prey as the fish sees it at biting distance; a pattern painted after a likely prey has that in its favour
 * too.
 */
export const match: School = {
  id: 'match',
  judge(m, moment) {
    const { prey, food } = moment.conditions
    const likely = food[0]
    if (!likely) return []
    const { mimics, traits } = m.finish
    // Likeness is said of what is painted after the food, or is close to it in the fish's eye; of a loud one never.
    const mayBeNamed =
      !traits.vivid &&
      lureType(m.finish.lure).imitates.includes(likely.kind) &&
      (mimics ? mimics === likely.kind : m.natural > CLOSE)
    const likeness = (): Sentence => {
      const times = m.natural / Math.max(1e-6, moment.field.natural.median)
      if (times < 1) return { code: 'match.unlike-prey', params: { prey: likely.kind } }
      if (!mayBeNamed) return plainly('match.tone')
      return times > WORTH_SAYING
        ? { code: 'match.more-like-prey', params: { prey: likely.kind, times } }
        : { code: 'match.like-prey', params: { prey: likely.kind } }
    }
    const points: Point[] = [{ effect: 0.62 * standing(m, moment, 'natural'), says: likeness }]
    const kind = m.finish.mimics
    const share = kind ? shareOf(prey.shares, kind) : 0
    if (kind && share > RARE_SHARE) {
      points.push({
        effect: 0.55 * share,
        says: () => ({ code: 'match.painted-after', params: { prey: kind, share } }),
      })
    }
    return points
  },
}
