import { lureType } from '#core/finish/lures'
import type { Answer } from '#core/ranking/answer'
import type { Moment } from '#core/schools/school'
import type { Measured } from '#core/sight/measure'

/**
 * How much colour matters today: a lot in clear, pressured water with a slow lure; little with a fast one in dirty water or the dark.
 * The share of the box that the fish can tell apart has its say too.
 */
export function colourMattersOf(finishes: number, lookAlikes: readonly Measured[][], moment: Moment): Answer['colourMatters'] {
  const { facts: f, conditions: c } = moment
  const alike = lookAlikes.reduce((s, g) => s + g.length - 1, 0)
  const told = 1 - alike / finishes
  const pressure = c.pressure === 'high' ? 0.2 : c.pressure === 'low' ? -0.1 : 0
  const score = 0.45 * f.clear + 0.25 * f.slow + 0.3 * told + pressure - 0.35 * f.dirty - 0.4 * f.night
  const distinct = finishes - alike
  const box = alike > 0 ? ` Of ${finishes} finishes the fish can tell ${distinct} apart here.` : ''
  const what = lureType(c.lure).words
  if (score < 0.22) return { level: 'little', text: `Colour matters little: place, depth, thump and speed decide with a ${what} in this water.${box}` }
  if (score < 0.62) return { level: 'some', text: `Colour matters some, after where and how deep. Get those right first.${box}` }
  return { level: 'much', text: `Colour matters a lot: the fish get a long, clear look. Place and lure still come first.${box}` }
}
