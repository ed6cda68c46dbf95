import { type School, standing } from '#core/schools/school'
import { BACKGROUNDS } from '#core/sight/backgrounds'

/** Melt into what is behind the lure, as real prey does; in dirty water nothing is gained by hiding, so it gives way to bold. */
export const blend: School = {
  id: 'blend',
  judge(m, moment) {
    const { clear, dirty, dim } = moment.facts
    const care = Math.max(0.15, clear) * (1 - 0.85 * dirty) * (1 - 0.4 * dim)
    const behind = BACKGROUNDS[moment.conditions.background].words
    const hidden = standing(m, moment, 'hidden')
    const points = [{
      effect: 0.85 * care * hidden,
      text: () => hidden >= 0 ? `Melts into the ${behind} behind it.` : `Stands off the ${behind} behind it.`,
    }]
    if (m.finish.traits.vivid) points.push({ effect: -0.35 * care, text: () => 'No prey here wears a colour this loud.' })
    if (dirty > 0) {
      points.push({ effect: 0.5 * dirty * standing(m, moment, 'reach'), text: () => 'In dirty water hiding gains nothing: boldness counts instead.' })
    }
    return points
  },
}
