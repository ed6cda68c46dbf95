import { askedIn } from '#core/season-learning/prepared'
import type { SeasonAsk } from '#core/season-learning/season'
import type { Request } from '#core/request/request'
import type { Stands } from '#core/season-learning/stands'
import { type Asker, FaultyError, chunk } from '#server/ranking/chunks'
import type { LongWork } from '#server/ranking/longWork'
import { pieces } from '#shared/pieces'
import { SEASON_LIMITS } from '#shared/schema/season'

/** Rankings worked out between two others' requests: about a tenth of a second. */
const AT_ONCE = 10
type Ranked = { asked: Request; stands: Stands }
const MANY = `More than ${SEASON_LIMITS.rankings} half-hours in different conditions. Ask about fewer trips.`

/** What is asked about a log, checked; throws a `FaultyError` where it is wrong. */
export async function checkedSeason(input: unknown, asker: Asker): Promise<SeasonAsk> {
  const asked = await chunk<SeasonAsk>({ kind: 'check-season', asked: input }, asker)
  if (askedIn(asked.trips).length > SEASON_LIMITS.rankings)
    throw new FaultyError([{ path: 'trips', code: 'season.rankings', message: MANY }])
  return asked
}

/** The work of a season: its half-hours ranked, then held against what was bitten. */
export const seasonWork = (ask: SeasonAsk): LongWork => ({
  parts: pieces(askedIn(ask.trips), AT_ONCE).map(some => ({ kind: 'season-stands', asked: some })),
  whole: stands => ({ kind: 'season', asked: { ask, stands: stands.flat() as Ranked[] } }),
})
