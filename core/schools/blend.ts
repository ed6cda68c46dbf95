import { type Point, type School, standing } from '#core/schools/school'
import { plainly } from '#core/words/sentence'

/**
 * Melt into what is behind the lure, as real prey does; in dirty water nothing is gained by hiding, so it gives way
 * to bold.
 */
export const blend: School = {
  id: 'blend',
  judge(m, moment) {
    const { clear, dirty, dim } = moment.grades
    const care = Math.max(0.15, clear) * (1 - 0.85 * dirty) * (1 - 0.4 * dim)
    const { background } = moment.conditions
    const hidden = standing(m, moment, 'hidden')
    const points: Point[] = [
      {
        effect: 0.85 * care * hidden,
        says: () => ({ code: hidden >= 0 ? 'blend.melts' : 'blend.stands-off', params: { background } }),
      },
    ]
    if (m.finish.traits.vivid) points.push({ effect: -0.35 * care, says: () => plainly('blend.too-loud') })
    if (dirty > 0) {
      points.push({
        effect: 0.5 * dirty * standing(m, moment, 'reach'),
        says: () => plainly('blend.bold-in-dirty'),
      })
    }
    return points
  },
}
