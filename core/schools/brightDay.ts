import { type School, standing } from '#core/schools/school'
import { plainly } from '#core/words/sentence'

/** Brightness follows the light: vivid in clear water under sun; darks and earth tones under cloud or in stain. */
export const brightDay: School = {
  id: 'bright-day',
  judge(m, moment) {
    const { grades } = moment
    const { tone, vivid, opacity } = m.finish.traits
    const brightness = Math.min(1, grades.sunny) * grades.clear
    const lure = { light: 0.55, mid: -0.1, dark: -0.75 }[tone] + (vivid ? 0.45 : 0)
    const wish = 2 * Math.min(1, brightness * 1.5) - 1
    const says = () => {
      if (wish > 0) return plainly(lure > 0 ? 'bright-day.bright-in-sun' : 'bright-day.dull-in-sun')
      return plainly(lure > 0 ? 'bright-day.bright-in-gloom' : 'bright-day.dark-in-gloom')
    }
    const follows = wish * lure > 0
    return [
      { effect: 0.75 * wish * lure - (opacity === 'translucent' ? 0.1 : 0), says },
      // Of those as bright as the day wants, the one that keeps its shape.
      {
        effect: follows ? 0.22 * standing(m, moment, 'reach') : 0,
        says: () => plainly('bright-day.shows'),
      },
    ]
  },
}
