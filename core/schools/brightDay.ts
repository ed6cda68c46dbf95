import type { School } from '#core/schools/school'

/** Brightness follows the light: vivid in clear water under sun; darks and earth tones under cloud or in stain. */
export const brightDay: School = {
  id: 'bright-day',
  judge(m, { facts }) {
    const { tone, vivid } = m.finish.traits
    const brightness = Math.min(1, facts.sunny) * facts.clear
    const lure = (tone === 'light' ? 0.55 : tone === 'mid' ? -0.1 : -0.75) + (vivid ? 0.45 : 0)
    const wish = 2 * Math.min(1, brightness * 1.5) - 1
    return [{
      effect: 0.75 * wish * lure - (m.finish.traits.opacity === 'translucent' ? 0.1 : 0),
      text: () => wish > 0
        ? lure > 0 ? 'Bright sun and clear water carry a bright lure.' : 'Too dull for so much light.'
        : lure > 0 ? 'More brightness than this light supports.' : 'Little light: a dark or earthy shape is what is left to see.',
    }]
  },
}
