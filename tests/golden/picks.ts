import { LURE_IDS } from '#core/lure/types'
import { rank } from '#core/ranking/recommend'
import { SCENES } from './scenes'

/** How many of the best are pinned of each ranking, and which place of the rest. */
const BEST = 4
const OTHERS = [8, 13, 21]

/** Places of a ranking with their scores and ranges: "bone 0.812 1.93/2.41/1.20, …". */
export function picksOf(name: string): Record<string, string> {
  return Object.fromEntries(
    LURE_IDS.map(lure => {
      const { ranked } = rank({ ...SCENES[name]!, lure })
      const shown = ranked.filter((_, i) => i < BEST || OTHERS.includes(i))
      const text = shown.map(({ finish, score, sight, flash }) => {
        const ranges = [sight.level, sight.below, sight.above].map(s => s.sightM.toFixed(2)).join('/')
        return `${finish.id.split('.')[1]} ${score.toFixed(3)} ${ranges} ${flash.toFixed(2)}`
      })
      return [lure, text.join(', ')]
    }),
  )
}
