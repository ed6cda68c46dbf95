import { type Point, type School, standing } from '#core/schools/school'
import { lureType } from '#core/lure/types'
import { type PreyShare, shareOf } from '#core/prey/odds'
import { FELT_M } from '#core/sight/view'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import type { Sentence } from '#core/words/sentence'
import { plainly } from '#core/words/sentence'

/** Being seen this much farther than the median finish is worth a figure. */
const WORTH_SAYING = 1.06

/** Fish that go about in crowds. */
const SCHOOLING = ['shad', 'herring', 'mullet', 'menhaden', 'pilchard', 'glass-minnow', 'sand-eel'] as const
/** From this share of the food on it is a crowd. Ours. */
const CROWD = 0.6
const baitShare = (shares: readonly PreyShare[]) => SCHOOLING.reduce((sum, kind) => sum + shareOf(shares, kind), 0)

/** Be seen from farthest off, against the background and by the lure's own edges; be unlike what is everywhere. */
export const contrast: School = {
  id: 'contrast',
  judge(m, moment) {
    const { conditions: c, grades } = moment
    const reach = standing(m, moment, 'reach')
    const { sightM } = m
    const mostM = Math.exp(moment.field.reach.median)
    const from = { sightM, ...(c.facing === 'any' ? {} : { facing: c.facing }) }
    const seen = (): Sentence => {
      if (reach < 0) return { code: 'contrast.seen-late', params: { ...from, mostM } }
      return sightM / mostM > WORTH_SAYING && Math.min(sightM, mostM) >= FELT_M
        ? { code: 'contrast.seen-farther', params: { ...from, times: sightM / mostM } }
        : { code: 'contrast.seen-from', params: from }
    }
    const points: Point[] = [
      { effect: 0.55 * reach, says: seen },
      { effect: 0.16 * standing(m, moment, 'internal'), says: () => plainly('contrast.own-edges') },
    ]
    // Against weed or bottom a fish looks close, so standing off it matters beyond range.
    if (BACKGROUNDS[c.background].kind !== 'open') {
      points.push({
        effect: -0.3 * standing(m, moment, 'hidden'),
        says: () => ({ code: 'contrast.not-taken-for', params: { background: c.background } }),
      })
    }
    if (m.finish.traits.opacity === 'translucent') {
      points.push({ effect: -0.25, says: () => plainly('contrast.see-through') })
    }
    // Where all is bait, what looks like one more of it is lost in the crowd.
    const crowd = grades.night < 0.5 ? Math.max(0, baitShare(c.prey.shares) - CROWD) / (1 - CROWD) : 0
    if (crowd > 0) {
      points.push({
        effect: -0.3 * crowd * standing(m, moment, 'natural'),
        says: () => plainly('contrast.in-the-crowd'),
      })
    }
    if (grades.night > 0) {
      const dark = { dark: 1, mid: 0.1, light: -0.7 }[m.finish.traits.tone]
      // A dark shape stands against the surface, looked at from below; level, tea leaves nothing to be dark against.
      const { below } = lureType(c.lure).seen
      const against = below + (1 - below) * (c.tint === 'tea' ? 0 : 0.7)
      points.push({ effect: 0.5 * grades.night * against * dark, says: () => plainly('contrast.night-shape') })
    }
    return points
  },
}
