import { lengthWords } from '#core/conditions/lengths'
import { type School, standing } from '#core/schools/school'

/** Only what the fish's own eye can make out at that depth and distance: shape from afar, colour from near. */
export const fishEye: School = {
  id: 'fish-eye',
  judge(m, moment) {
    const { units } = moment.conditions
    const share = moment.scene.stage.views.level.seen.colourShare
    const points = [{
      effect: 0.7 * standing(m, moment, 'reach'),
      text: () => `To this fish the shape shows from ${lengthWords(m.sightM, units)}.`,
    }]
    if (share > 0.1) {
      points.push({
        effect: 0.25 * share * standing(m, moment, 'colourReach'),
        text: () => m.colourM > 0.05 ? `Its colour can be told from ${lengthWords(m.colourM, units)} in.` : 'Its colour cannot be told at any distance here.',
      })
    }
    return points
  },
}
