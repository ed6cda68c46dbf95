import type { Request } from '#core/request/request'
import type { LoggedTrip } from '#core/season-learning/log'
import { type SeasonAnswer, askedIn, seasonOf } from '#core/season-learning/season'
import { type Stands, standsIn } from '#core/season-learning/stands'
import type { UnitSystem } from '#core/units'
import { withLightTable } from '~/screen/lightTable'

/** How far the rankings of a log's half-hours have come. */
export interface Ranked {
  done: number
  total: number
}
/** Some more of the rankings a log asks for, or what all of them come to. */
export type SeasonAsk =
  | { kind: 'rank'; trips: readonly LoggedTrip[]; most: number }
  | { kind: 'season'; trips: readonly LoggedTrip[]; units: UnitSystem }
export type SeasonResult = Ranked | SeasonAnswer

/** Rankings worked out so far, by what was asked: a log that grows by a tap asks for one more. */
const known = new Map<string, Stands>()
function standsOf(asked: Request): Stands {
  const key = JSON.stringify(asked)
  let stands = known.get(key)
  if (!stands) known.set(key, (stands = standsIn(asked)))
  return stands
}

function rankSome(trips: readonly LoggedTrip[], most: number): Ranked {
  const all = askedIn(trips)
  const missing = all.filter(asked => !known.has(JSON.stringify(asked)))
  for (const asked of missing.slice(0, most)) standsOf(asked)
  return { done: all.length - Math.max(0, missing.length - most), total: all.length }
}

/** The season's heavy work, in a worker or, where none is to be had, on the page. */
export async function workSeason(ask: SeasonAsk): Promise<SeasonResult> {
  await withLightTable()
  const { trips } = ask
  if (ask.kind === 'rank') return rankSome(trips, ask.most)
  const stands = askedIn(trips).map(asked => ({ asked, stands: standsOf(asked) }))
  return seasonOf({ trips, units: ask.units }, stands)
}
