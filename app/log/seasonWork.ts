import type { LoggedTrip } from '#core/season-learning/log'
import { type PoolShare, poolShare } from '#core/season-learning/pool'
import { askedIn, prepared } from '#core/season-learning/prepared'
import { type SeasonAnswer, seasonOf } from '#core/season-learning/season'
import { type Stands, standsIn } from '#core/season-learning/stands'
import { ENGINE_VERSION } from '#core/ranking/version'
import type { UnitSystem } from '#core/units'
import { NOTHING_KEPT, type RankingsKept, openRankings } from './rankingsKept'
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
  | { kind: 'pool'; trips: readonly LoggedTrip[] }
export type SeasonResult = Ranked | SeasonAnswer | PoolShare

/** Rankings worked out so far, by what was asked: a log that grows by a tap asks for one more. */
const known = new Map<string, Stands>()
let kept: Promise<RankingsKept> | null = null

/** What the device keeps, read into what is known once. */
function keptHere(): Promise<RankingsKept> {
  kept ??= openRankings(ENGINE_VERSION)
    .then(async shelf => {
      for (const [key, stands] of await shelf.all()) known.set(key, stands)
      return shelf
    })
    .catch(() => NOTHING_KEPT)
  return kept
}

async function rankSome(trips: readonly LoggedTrip[], most: number): Promise<Ranked> {
  const shelf = await keptHere()
  const all = askedIn(trips)
  const missing = all.filter(asked => !known.has(JSON.stringify(asked)))
  const fresh = new Map(missing.slice(0, most).map(asked => [JSON.stringify(asked), standsIn(asked)]))
  for (const [key, stands] of fresh) known.set(key, stands)
  // A device without room for them works them out again.
  await shelf.add(fresh).catch(() => {})
  return { done: all.length - Math.max(0, missing.length - most), total: all.length }
}

/** The season's heavy work, in a worker or, where none is to be had, on the page. */
export async function workSeason(ask: SeasonAsk): Promise<SeasonResult> {
  await withLightTable()
  const { trips } = ask
  if (ask.kind === 'rank') return rankSome(trips, ask.most)
  const stands = askedIn(trips).map(asked => ({ asked, stands: known.get(JSON.stringify(asked)) ?? standsIn(asked) }))
  if (ask.kind === 'pool') return poolShare(prepared(trips, stands))
  return seasonOf({ trips, units: ask.units }, stands)
}
