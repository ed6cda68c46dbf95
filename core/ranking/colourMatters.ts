import { lureType } from '#core/lure/types'
import type { Answer } from '#core/ranking/answer'
import type { Moment } from '#core/schools/school'
import type { Measured } from '#core/sight/measure'
import { said } from '#core/words/sentence'

/** Scores below which colour matters little, and from which it matters a lot. */
const LITTLE = 0.3
const MUCH = 0.62
/** Shares of the box told apart below which it cannot matter more than a little, or than some. */
const TOLD = { some: 0.15, much: 0.45 } as const
/** Below so many times the disc depth only light and dark are left to look at. */
const DEEP = 3
const PRESSURE = { low: -0.06, normal: 0, high: 0.12 } as const

/**
 * How much colour matters today: as much as the fish can tell the box apart and as long as it looks; more where it has
 * seen many lures, less in the dark.
 */
export function colourMattersOf(
  finishes: number,
  lookAlikes: readonly Measured[][],
  moment: Moment,
): Answer['colourMatters'] {
  const { grades: g, conditions: c } = moment
  const distinct = finishes - lookAlikes.reduce((s, group) => s + group.length - 1, 0)
  const told = distinct / finishes
  const score = 0.6 * told + 0.2 * g.slow + 0.2 * g.clear + PRESSURE[c.pressure] - 0.3 * g.night
  const box = { finishes, distinct }
  if (score < LITTLE || told < TOLD.some) {
    return {
      level: 'little',
      ...said(
        {
          code: 'matters.little',
          params: { ...box, lure: c.lure, what: lureType(c.lure).powers.includes('spins') ? 'thump' : 'size' },
        },
        c.units,
      ),
    }
  }
  // Under a mat, or far below what the light reaches, nobody gets a long look at a colour.
  const hidden = c.canopy === 'mat' || c.depthM > DEEP * c.visibilityM
  return score < MUCH || told < TOLD.much || hidden
    ? { level: 'some', ...said({ code: 'matters.some', params: box }, c.units) }
    : { level: 'much', ...said({ code: 'matters.much', params: box }, c.units) }
}
