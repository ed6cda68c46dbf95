import type { Answer } from '#core/ranking/answer'
import type { Moment } from '#core/schools/school'
import type { Measured } from '#core/sight/measure'
import { said } from '#core/words/sentence'

/** Scores below which colour matters little, and below which it matters some. */
const LITTLE = 0.22
const SOME = 0.62
const PRESSURE = { low: -0.1, normal: 0, high: 0.2 } as const

/**
 * How much colour matters today: a lot in clear, pressured water with a slow lure; little with a fast one in dirty
 * water or the dark. The share of the box that the fish can tell apart has its say too.
 */
export function colourMattersOf(
  finishes: number,
  lookAlikes: readonly Measured[][],
  moment: Moment,
): Answer['colourMatters'] {
  const { grades: g, conditions: c } = moment
  const alike = lookAlikes.reduce((s, group) => s + group.length - 1, 0)
  const told = 1 - alike / finishes
  const score = 0.45 * g.clear + 0.25 * g.slow + 0.3 * told + PRESSURE[c.pressure] - 0.35 * g.dirty - 0.4 * g.night
  const box = { finishes, distinct: finishes - alike }
  if (score < LITTLE) {
    return { level: 'little', ...said({ code: 'matters.little', params: { ...box, lure: c.lure } }, c.units) }
  }
  return score < SOME
    ? { level: 'some', ...said({ code: 'matters.some', params: box }, c.units) }
    : { level: 'much', ...said({ code: 'matters.much', params: box }, c.units) }
}
