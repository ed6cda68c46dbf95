import type { LoggedTrip } from '#core/season-learning/log'
import { type PoolShare, poolShare } from '#core/season-learning/pool'
import { askedIn, prepared } from '#core/season-learning/prepared'
import { type SeasonAnswer, seasonOf } from '#core/season-learning/season'
import type { Request } from '#core/request/request'
import { type Stands, standsIn } from '#core/season-learning/stands'
import { ENGINE_VERSION } from '#core/ranking/version'
import type { UnitSystem } from '#core/units'
import { NOTHING_KEPT, type RankingsKept, openRankings } from './rankingsKept'
import { withLightTable } from '~/common/lightTable'

/** How far the rankings of a log's half-hours have come. */
export interface RankingProgress {
  done: number
  total: number
}
export interface SeasonQuestion {
  trips: readonly LoggedTrip[]
  units: UnitSystem
  /** So many rankings at once, before whoever waits is told how far they are. */
  most: number
}

/** Rankings worked out so far, by what was asked: a log that grows by a tap asks for one more. */
const known = new Map<string, Stands>()
let kept: Promise<RankingsKept> | null = null

/** What the device keeps, read into what is known once. */
function keptHere(): Promise<RankingsKept> {
  kept ??= openRankings(ENGINE_VERSION)
    .then(async store => {
      for (const [key, stands] of await store.all()) known.set(key, stands)
      return store
    })
    .catch(() => NOTHING_KEPT)
  return kept
}

/** Some more of the rankings a log asks for, none of them twice. */
async function rankSome(all: readonly Request[], most: number): Promise<RankingProgress> {
  const store = await keptHere()
  const missing = all.map(asked => [JSON.stringify(asked), asked] as const).filter(([key]) => !known.has(key))
  if (missing.length) {
    await withLightTable()
    const fresh = new Map(missing.slice(0, most).map(([key, asked]) => [key, standsIn(asked)]))
    for (const [key, stands] of fresh) known.set(key, stands)
    // A device without room for them works them out again.
    await store.add(fresh).catch(() => {})
  }
  return { done: all.length - Math.max(0, missing.length - most), total: all.length }
}

/** What tells one log from another; null where the page may not digest (it came over plain HTTP from elsewhere). */
async function digestOf(trips: readonly LoggedTrip[], units: UnitSystem): Promise<string | null> {
  if (!globalThis.crypto?.subtle) return null
  const bytes = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(JSON.stringify([trips, units])))
  return [...new Uint8Array(bytes)].map(b => b.toString(16).padStart(2, '0')).join('')
}

/** The rankings of all the half-hours of a log. */
const standsOf = (all: readonly Request[]) => all.map(asked => ({ asked, stands: known.get(JSON.stringify(asked))! }))

/** What a log says, or how far its rankings have come. */
async function season({ trips, units, most }: SeasonQuestion): Promise<RankingProgress | SeasonAnswer> {
  const store = await keptHere()
  const digest = await digestOf(trips, units)
  const before = digest && (await store.answer(digest).catch(() => undefined))
  if (before) return before
  const all = askedIn(trips)
  const ranked = await rankSome(all, most)
  if (ranked.done < ranked.total) return ranked
  const answer = seasonOf({ trips, units }, standsOf(all))
  // What cannot be kept is worked out again.
  if (digest) await store.keepAnswer(digest, answer).catch(() => {})
  return answer
}

/** What a log may give to a pool. */
async function share(trips: readonly LoggedTrip[]): Promise<PoolShare> {
  const all = askedIn(trips)
  await rankSome(all, all.length)
  return poolShare(prepared(trips, standsOf(all)))
}

/** What the season's worker offers. */
export const seasonApi = { season, share }
