import { type Point, type School, standing } from '#core/schools/school'
import { colourShareOf } from '#core/sight/scene'
import { plainly } from '#core/words/sentence'

/** Colour that reads from less far than this is not told at all, m. */
const NO_COLOUR_M = 0.05

/** Only what the fish's own eye can make out at that depth and distance: shape from afar, colour from near. */
export const fishEye: School = {
  id: 'fish-eye',
  judge(m, moment) {
    const share = colourShareOf(moment.scene)
    const { sightM, colourM } = m
    const points: Point[] = [
      {
        effect: 0.7 * standing(m, moment, 'reach'),
        says: () => ({ code: 'fish-eye.shape', params: { sightM } }),
      },
    ]
    if (share > 0.1) {
      points.push({
        effect: 0.25 * share * standing(m, moment, 'colourReach'),
        says: () =>
          colourM > NO_COLOUR_M ? { code: 'fish-eye.colour', params: { colourM } } : plainly('fish-eye.no-colour'),
      })
    }
    return points
  },
}
