import { finishById } from '#core/lure/finish'
import type { LoggedTrip, Stint } from '#core/season-learning/log'
import type { Rod } from '#shared/schema/record'
import type { Request } from '#core/request/request'
import { trialOf } from './trial'
import { type Tap, type Trip, bitesOf, crewOf, tallyOf, whoOf } from './trip'

/** A record's id says when it was made, in its first 48 bits (UUID version 7, RFC 9562, 5.7). */
const madeAtMs = (id: string) => Number.parseInt(id.replace('-', '').slice(0, 12), 16)
/** A tap that came this much later than it says was remembered, or brought from elsewhere, ms. */
const REMEMBERED_MS = 30 * 60_000

/** Whether a trip was noted as it happened: remembered days are good days. */
export function asItHappened(trip: Trip, taps: readonly Tap[]): boolean {
  const late = taps.filter(t => Math.abs(madeAtMs(t.id) - Date.parse(t.body.at)) > REMEMBERED_MS).length
  const begun = Math.abs(madeAtMs(trip.id) - Date.parse(trip.body.startedAt)) <= REMEMBERED_MS
  return begun && late * 10 <= taps.length
}

/** Whether no cast tapped means no cast made: in a fair test, or where the trip says so. */
const areCastsCounted = (body: Trip['body']) => body.castsCounted ?? body.trial !== null

/** What is in hand, where and in what, from a moment on. */
interface InHand {
  rod: number
  rig: Rod
  spot: string | null
  asked: Request
  depthM: number | null
}

/**
 * A trip as the season reads it: stretches with one rig in hand at one spot in one light, cut wherever one of them
 * changed. What is under way is read up to now.
 */
export function loggedTrip(trip: Trip, taps: readonly Tap[], nowMs: number): LoggedTrip {
  const { body } = trip
  const startMs = Date.parse(body.startedAt)
  const endMs = body.endedAt ? Date.parse(body.endedAt) : nowMs
  const minute = (at: number) => Math.max(0, (at - startMs) / 60_000)
  const begun = body.trial ? trialOf(body, taps).begun : []
  const stints = crewOf(body).flatMap((_, who) => stintsOf(trip, taps, begun, who, minute, minute(endMs)))
  return {
    id: trip.id,
    water: body.waterId,
    startedAt: body.startedAt,
    endedAt: new Date(endMs).toISOString(),
    castsCounted: areCastsCounted(body),
    asItHappened: asItHappened(trip, taps),
    asked: body.asked,
    stints,
  }
}

/**
 * One angler's stretches of a trip; minutes in a pause are told with the stretch they fall in.
 * @param blocks the tap of each block's first cast, where it is a fair test
 */
function stintsOf(
  { body }: Trip,
  taps: readonly Tap[],
  blocks: readonly string[],
  who: number,
  minute: (at: number) => number,
  endMin: number,
): Stint[] {
  const rods = [...body.rods]
  const depths = rods.map(() => body.asked.depthM ?? null)
  const first = Math.min(who, rods.length - 1)
  const now: InHand = { rod: first, rig: rods[first]!, spot: null, asked: body.asked, depthM: depths[first]! }
  const castsCounted = areCastsCounted(body)
  let drawn = body.trial !== null
  /** Blocks of the fair test that are begun; what was in hand before the first cast is of the first. */
  let block = body.trial ? 1 : null
  const stints: Stint[] = []
  let from = 0
  let mine: Tap[] = []
  /** Minutes of the stretch that were paused, and since when it is. */
  const pause = { min: 0, since: null as number | null }
  const endAt = (at: number) => {
    const to = Math.max(from, Math.min(at, endMin))
    const tally = tallyOf(mine)
    const pausedMin = pause.min + (pause.since === null ? 0 : to - pause.since)
    if (to > from && finishById(now.rig.finishId)) {
      stints.push({
        who,
        rod: now.rod,
        lure: now.rig.lure,
        finishId: now.rig.finishId,
        spot: now.spot,
        depthM: now.depthM,
        fromMin: from,
        toMin: to,
        pausedMin: Math.min(to - from, pausedMin),
        casts: castsCounted ? tally.casts : tally.casts || null,
        bites: mine.filter(t => bitesOf(tallyOf([t])) > 0).map(t => minute(Date.parse(t.body.at))),
        landed: tally.landed,
        drawn,
        block,
        asked: now.asked,
      })
    }
    from = to
    mine = []
    pause.min = 0
    if (pause.since !== null) pause.since = to
  }
  for (const tap of taps) {
    const { what, at, rod, rig, spotId, asked, depthM } = tap.body
    const own = whoOf(tap) === who
    const atMin = minute(Date.parse(at))
    if (block !== null && tap.id === blocks[block]) {
      endAt(atMin)
      block++
    }
    if (what === 'pause') pause.since ??= atMin
    if (what === 'resume' && pause.since !== null) {
      pause.min += atMin - pause.since
      pause.since = null
    }
    const taken = what === 'rod' && own && rods[rod]
    const rigged = what === 'rig' && rig
    const deeper = what === 'depth' && rod === now.rod
    const cuts = taken || (rigged && rod === now.rod) || what === 'spot' || what === 'conditions' || deeper
    if (cuts) endAt(atMin)
    else if (own) mine.push(tap)
    if (rigged) rods[rod] = rig
    if (what === 'depth') depths[rod] = depthM ?? null
    if (taken) now.rod = rod
    if (taken) drawn = tap.body.drawn ?? body.trial !== null
    now.rig = rods[now.rod]!
    now.depthM = depths[now.rod] ?? null
    if (what === 'spot') now.spot = spotId ?? null
    if (what === 'conditions' && asked) now.asked = asked
  }
  endAt(endMin)
  return stints
}
