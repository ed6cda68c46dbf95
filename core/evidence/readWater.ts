import type { ReadingsAnswer } from '#core/evidence/answer'
import { conflictsOf } from '#core/evidence/conflicts'
import { nextReading } from '#core/evidence/next'
import { type Posterior, discAt, posteriorOf, tintOdds } from '#core/evidence/whichWater'
import type { Request, Salinity } from '#core/request/request'
import { skyInputOf } from '#core/request/sky'
import type { Reading } from '#core/request/readings'
import { skyLight } from '#core/sky/light'
import type { UnitSystem } from '#core/units'
import { said } from '#core/words/sentence'

const [LOW, MIDDLE, HIGH] = [0.05, 0.5, 0.95] as const

/** What a posterior says of the water itself. */
export function waterOf(posterior: Posterior): Pick<ReadingsAnswer, 'visibilityM' | 'tints'> {
  const [low, best, high] = discAt(posterior, [LOW, MIDDLE, HIGH])
  return { visibilityM: { best: best!, low: low!, high: high! }, tints: tintOdds(posterior) }
}

/** What is said of casts that were thinned. */
const thinnedSaid = ({ thinned }: Posterior, units: UnitSystem): Pick<ReadingsAnswer, 'thinned'> =>
  thinned.length
    ? {
        thinned: thinned.map(({ index, kept, of }) => ({
          path: `readings.${index}`,
          ...said({ code: 'reading.thinned', params: { kept, of } }, units),
        })),
      }
    : {}

/** The answer of a posterior. */
export const answerOf = (posterior: Posterior, units: UnitSystem): ReadingsAnswer => ({
  ...waterOf(posterior),
  conflicts: conflictsOf(posterior, units),
  ...thinnedSaid(posterior, units),
  next: nextReading(posterior, units),
})

/**
 * Which water it is: readings of any kinds combined by Bayes over waters of every tint and clarity that stray from
 * their recipes as nature does.
 * @param light it was read in; without it depths are taken as read about noon, and what the sky does to them (up to
 * 5 %) is within their error. The disc depth that is answered is the one about noon either way.
 */
export const readWater = (
  readings: readonly Reading[],
  salinity: Salinity,
  units: UnitSystem,
  light?: Request['light'],
): ReadingsAnswer => answerOf(posteriorOf(readings, salinity === 'salt', light && skyLight(skyInputOf(light))), units)
