import { askedIn } from '#core/season-learning/prepared'
import { seasonOf } from '#core/season-learning/season'
import type { Request } from '#core/request/request'
import type { Stands } from '#core/season-learning/stands'
import { simulate } from '../../tests/season/anglers'
import { medianMs, table } from './timing'

/** Anglers without an effect of schools, looked at after each of so many trips; and anglers drawn from the prior. */
const NULLS = { anglers: 200, trips: 100, every: 10 } as const
const PRIOR = { anglers: 60, trips: 24 } as const

const stood = (trips: Parameters<typeof askedIn>[0], standsOf: (a: Request) => Stands) =>
  askedIn(trips).map(asked => ({ asked, stands: standsOf(asked) }))

/** How honest the season is: false changes of weight, how often the truth lies within, and how long it thinks. */
export function benchSeason(): void {
  let earned = 0
  let most = 0
  for (let a = 0; a < NULLS.anglers; a++) {
    const { trips, standsOf } = simulate(a + 1, NULLS.trips, false)
    let once = false
    for (let n = NULLS.every; n <= NULLS.trips && !once; n += NULLS.every) {
      const { weights } = seasonOf({ trips: trips.slice(0, n), levels: [] }, stood(trips.slice(0, n), standsOf))
      most = Math.max(most, weights.evidence)
      once = weights.earned
    }
    if (once) earned++
  }
  let [within, told, better, right] = [0, 0, 0, 0]
  for (let a = 0; a < PRIOR.anglers; a++) {
    const { truth, trips, standsOf } = simulate(1000 + a, PRIOR.trips, true)
    for (const e of seasonOf({ trips, levels: ['finish'] }, stood(trips, standsOf)).effects) {
      const shift = Math.log(e.priorTimes)
      // The slope's part is in what is told; held against the truth of the finish alone where it hardly counts.
      if (Math.abs(shift) > 0.03) continue
      told++
      const v = truth[e.id]!
      if (Math.log(e.low) <= v && v <= Math.log(e.high)) within++
      if (e.chanceBetter >= 0.9) {
        better++
        if (v > 0) right++
      }
    }
  }
  table(
    'What a season says (targets: earned under 5 %, within 75-92 %)',
    ['', 'found'],
    [
      [
        `"earned" among ${NULLS.anglers} without an effect, looked at every ${NULLS.every} of ${NULLS.trips} trips`,
        `${((100 * earned) / NULLS.anglers).toFixed(1)} %`,
      ],
      ['largest evidence among them', most.toFixed(1)],
      [
        `truth within eight in ten, ${told} finishes of ${PRIOR.anglers} anglers`,
        `${((100 * within) / told).toFixed(0)} %`,
      ],
      ['"better" said, and true', `${right} of ${better}`],
    ],
  )
  const { trips, standsOf } = simulate(7, 100, true)
  const stands = stood(trips, standsOf)
  table(
    'A fit, its rankings kept (target: under 50 ms warm)',
    ['trips', 'stints', 'ms'],
    [24, 100].map(n => {
      const some = trips.slice(0, n)
      return [
        String(n),
        String(some.reduce((s, t) => s + t.stints.length, 0)),
        medianMs(() => void seasonOf({ trips: some }, stands), 9, 6),
      ]
    }),
  )
}
