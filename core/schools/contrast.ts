import { lengthWords, timesWords } from '#core/conditions/lengths'
import { type School, standing } from '#core/schools/school'
import { BACKGROUNDS } from '#core/sight/backgrounds'

/** Be seen from farthest off, against the background and by the lure's own edges; be unlike what is everywhere. */
export const contrast: School = {
  id: 'contrast',
  judge(m, moment) {
    const { conditions: c, facts } = moment
    const reach = standing(m, moment, 'reach')
    const far = Math.exp(moment.field.reach.middle)
    const points = [{
      effect: 0.55 * reach,
      text: () => reach >= 0
        ? `First seen at ${lengthWords(m.sightM, c.units)}${m.sightM / far > 1.06 ? `, ${timesWords(m.sightM / far)} as far as the middle of the box` : ''}.`
        : `Only seen from ${lengthWords(m.sightM, c.units)}; most show from ${lengthWords(far, c.units)}.`,
    }, {
      effect: 0.16 * standing(m, moment, 'internal'),
      text: () => 'Its own parts stand off each other: an edge holds when colour is gone.',
    }]
    // Against weed or bottom a fish looks close, so standing off it matters beyond range.
    const kind = BACKGROUNDS[c.background].kind
    if (kind !== 'open') {
      points.push({ effect: -0.3 * standing(m, moment, 'hidden'), text: () => `Cannot be taken for the ${BACKGROUNDS[c.background].words} behind it.` })
    }
    if (m.finish.traits.opacity === 'translucent') {
      points.push({ effect: -0.25, text: () => 'See-through: it takes on whatever is behind it.' })
    }
    if (facts.night > 0) {
      const dark = m.finish.traits.tone === 'dark' ? 1 : m.finish.traits.tone === 'mid' ? 0.1 : -0.7
      points.push({ effect: 0.5 * facts.night * dark, text: () => 'At night a dark belly cuts the hardest shape against the paler surface.' })
    }
    return points
  },
}
