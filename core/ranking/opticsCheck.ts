import type { OpticsVerdict } from '#core/ranking/answer'
import { ramp } from '#core/request/grades'
import { type Custom, fitting } from '#core/rules/custom'
import { MEASURES, type Moment } from '#core/schools/school'
import type { Measured } from '#core/sight/measure'

/** How far apart the two groups' means must lie, beside the whole field's spread, before the optics take a side. */
const PLAIN_GAIN = 0.1
/** A finish counts as one a custom speaks for from this fit on. */
const PLAINLY_FAVOURED = 0.6

/**
 * Check a custom's claim: by how much do the finishes it favours show farther, look more like the food, hide or flash
 * here than the rest, as a share of the whole field's spread; 0 where it claims nothing or there is nothing to compare.
 */
export function opticsGain(custom: Custom, all: readonly Measured[], moment: Moment): number {
  if (custom.claim === 'none') return 0
  const measure = ({ shows: 'reach', natural: 'natural', hides: 'hidden', flash: 'flash' } as const)[custom.claim]
  const value = MEASURES[measure]
  const favoured = { sum: 0, count: 0 }
  const rest = { sum: 0, count: 0 }
  const fits = fitting(custom.favours)
  for (const m of all) {
    const fit = fits(m)
    const group = fit >= PLAINLY_FAVOURED ? favoured : fit === 0 ? rest : null
    if (!group) continue
    group.sum += value(m)
    group.count++
  }
  if (!favoured.count || !rest.count) return 0
  const { up, down } = moment.field[measure]
  const apart = favoured.sum / favoured.count - rest.sum / rest.count
  return (apart * Math.sign(custom.strength)) / Math.max(up, down)
}

export const verdictOf = (gain: number): OpticsVerdict =>
  gain > PLAIN_GAIN ? 'supports' : gain < -PLAIN_GAIN ? 'contradicts' : 'unexplained'

/** What a custom keeps of its strength where the optics contradict it: from all down to this, over this much gain. */
const CONTRADICTED = { keeps: 0.45, over: 0.25 }
/** The share of its strength that a custom keeps, by its gain. */
export const standingOf = (gain: number) => 1 - (1 - CONTRADICTED.keeps) * ramp(-gain, 0, CONTRADICTED.over)
