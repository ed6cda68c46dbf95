import { askedIn } from '#core/season-learning/prepared'
import type { SeasonAsk } from '#core/season-learning/season'
import type { Request } from '#core/request/request'
import type { Stands } from '#core/season-learning/stands'
import { type Asker, FaultyError, inChunks, chunk, textOf } from '#server/ranking/chunks'
import { workInThread } from '#server/ranking/pool'
import { SEASON_LIMITS } from '#shared/schema/season'

/** Rankings worked out between two others' requests: about a tenth of a second. */
const AT_ONCE = 10
const MANY = `More than ${SEASON_LIMITS.rankings} half-hours in different conditions. Ask about fewer trips.`

/** What is asked about a log, checked; throws a `FaultyError` where it is wrong. */
export async function checkedSeason(input: unknown, asker: Asker): Promise<SeasonAsk> {
  const asked = await chunk<SeasonAsk>({ kind: 'check-season', asked: input }, asker)
  if (askedIn(asked.trips).length > SEASON_LIMITS.rankings)
    throw new FaultyError([{ path: 'trips', code: 'season.rankings', message: MANY }])
  return asked
}

/** What a log says, as JSON text: its half-hours ranked in chunks, then held against what was bitten. */
export async function seasonInChunks(ask: SeasonAsk, asker: Asker): Promise<string> {
  const asked = askedIn(ask.trips)
  const stands: { asked: Request; stands: Stands }[] = await inChunks(
    asked,
    AT_ONCE,
    some => ({ kind: 'season-stands', asked: some }),
    asker,
  )
  return textOf(await workInThread({ kind: 'season', asked: { ask, stands } }, asker.device, asker.signal))
}
