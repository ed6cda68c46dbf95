import { finishById } from '#core/lure/finish'
import { trialOrder } from '#core/trial/order'
import type { LoggedTrip, Stint } from '#core/season-learning/log'
import type { Rod } from '#shared/schema/record'
import type { Request } from '#core/request/request'
import { type Tap, type Trip, bitesOf, tallyOf } from './trip'

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
  const rods = [...body.rods]
  const now: InHand = { rod: 0, rig: rods[0]!, spot: null, asked: body.asked, depthM: body.asked.depthM ?? null }
  const drawn = body.trial !== null && trialOrder(body.trial.blocks, body.trial.seed).length > 0
  const stints: Stint[] = []
  let from = 0
  let mine: Tap[] = []
  const endAt = (at: number) => {
    const to = Math.max(from, Math.min(at, minute(endMs)))
    const tally = tallyOf(mine)
    if (to > from && finishById(now.rig.finishId)) {
      stints.push({
        who: 0,
        rod: now.rod,
        lure: now.rig.lure,
        finishId: now.rig.finishId,
        spot: now.spot,
        depthM: now.depthM,
        fromMin: from,
        toMin: to,
        pausedMin: 0,
        casts: tally.casts || null,
        bites: mine.filter(t => bitesOf(tallyOf([t])) > 0).map(t => minute(Date.parse(t.body.at))),
        landed: tally.landed,
        drawn,
        asked: now.asked,
      })
    }
    from = to
    mine = []
  }
  for (const tap of taps) {
    const { what, at, rod, rig, spotId, asked, depthM } = tap.body
    const cuts = what === 'rod' || what === 'rig' || what === 'spot' || what === 'conditions' || what === 'depth'
    if (!cuts) {
      mine.push(tap)
      continue
    }
    endAt(minute(Date.parse(at)))
    if (what === 'rig' && rig) rods[rod] = rig
    if (what === 'rod' && rods[rod]) now.rod = rod
    now.rig = rods[now.rod]!
    if (what === 'spot') now.spot = spotId ?? null
    if (what === 'conditions' && asked) now.asked = asked
    if (what === 'depth') now.depthM = depthM ?? null
  }
  endAt(minute(endMs))
  return {
    id: trip.id,
    water: body.waterId,
    startedAt: body.startedAt,
    endedAt: new Date(endMs).toISOString(),
    castsCounted: body.trial !== null,
    asItHappened: asItHappened(trip, taps),
    asked: body.asked,
    stints,
  }
}
