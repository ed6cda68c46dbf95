import { askedIn } from '#core/season-learning/prepared'
import { seasonOf } from '#core/season-learning/season'
import { simulate } from '../season/anglers'

const WATERS = ['018f0000-0000-4000-8000-000000000002', '018f0000-0000-4000-8000-000000000004'] as const

/** What three made-up seasons say, to four figures: schools that mean something, none that do, and few trips. */
export function seasonsOf(): unknown {
  const rounded = (v: unknown): unknown =>
    JSON.parse(JSON.stringify(v, (_, x: unknown) => (typeof x === 'number' ? Number(x.toPrecision(4)) : x)))
  const ANGLERS = {
    'schools that mean something': [5, 24, true],
    'none that do': [6, 24, false],
    'few trips': [7, 6, true],
  }
  return Object.fromEntries(
    Object.entries(ANGLERS).map(([name, [seed, many, schools]]) => {
      const { trips, standsOf } = simulate(seed as number, many as number, schools as boolean)
      const on = trips.map((t, i) => ({ ...t, water: WATERS[i % 2]! }))
      const stands = askedIn(on).map(asked => ({ asked, stands: standsOf(asked) }))
      return [name, rounded(seasonOf({ trips: on }, stands))]
    }),
  )
}
