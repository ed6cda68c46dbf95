import type { Stint } from '#core/season-learning/log'
import { skyInputOf } from '#core/request/sky'
import type { Request } from '#core/request/request'
import { skyLight } from '#core/sky/light'
import type { TripRecord } from '#shared/schema/record'
import { atTime } from '~/reading/reading'
import { loggedTrip } from './seasonLog'
import { type Tap, type Trip, conditionsNoted, isBite } from './trip'

/** Light above the water at a moment, lux. */
export interface LuxAt {
  ms: number
  lux: number
}

/** The light in conditions at another moment than they were noted. */
export const luxAt = (asked: Request, ms: number): number =>
  Math.max(0.01, skyLight(skyInputOf(atTime(asked, ms).light)).lux)

/** Notes of conditions alone: they are few among thousands of taps. */
const notesOf = (taps: readonly Tap[]) => taps.filter(t => t.body.what === 'conditions' && t.body.asked)
/** The light at a moment of a trip, in the conditions noted before it. */
const luxIn = (trip: TripRecord, notes: readonly Tap[], ms: number) =>
  luxAt(
    conditionsNoted(
      trip,
      notes.filter(t => Date.parse(t.body.at) <= ms),
    ),
    ms,
  )

/** Light through a day as it was noted, and from the last note on as it is foretold by that. */
export function lightThrough(
  trip: TripRecord,
  taps: readonly Tap[],
  fromMs: number,
  toMs: number,
  points = 72,
): LuxAt[] {
  const notes = notesOf(taps)
  return Array.from({ length: points + 1 }, (_, i) => {
    const ms = fromMs + ((toMs - fromMs) * i) / points
    return { ms, lux: luxIn(trip, notes, ms) }
  })
}

/** Bands of light, fixed before any bite: each from so many lux up. */
export const LIGHT_BANDS = [
  { fromLux: 0, words: 'Dark' },
  { fromLux: 10, words: 'First and last light' },
  { fromLux: 5_000, words: 'Low sun or heavy cloud' },
  { fromLux: 30_000, words: 'Full light' },
] as const
const bandOf = (lux: number) => LIGHT_BANDS.findLastIndex(b => lux >= b.fromLux)

/** Before a band has so many hours and bites, nothing is said of it. */
const LEAST = { hours: 2, bites: 5 } as const
const CUT_MS = 5 * 60_000

/** What was bitten in a band of light. */
export interface BandTally {
  words: string
  hours: number
  bites: number
  /** Bites an hour; null while it is too soon to say. */
  perHour: number | null
}

/** Hours in hand and bites by bands of light, over all anglers. */
export function byLight(trip: Trip, taps: readonly Tap[], nowMs: number): BandTally[] {
  const { stints } = loggedTrip(trip, taps, nowMs)
  const startMs = Date.parse(trip.body.startedAt)
  const sums = LIGHT_BANDS.map(() => ({ hours: 0, bites: 0 }))
  const notes = notesOf(taps)
  const lux = (ms: number) => luxIn(trip.body, notes, ms)
  for (const s of stints) {
    const fished = 1 - s.pausedMin / Math.max(1e-9, s.toMin - s.fromMin)
    const [from, to] = [startMs + s.fromMin * 60_000, startMs + s.toMin * 60_000]
    for (let ms = from; ms < to; ms += CUT_MS) {
      const length = Math.min(CUT_MS, to - ms)
      sums[bandOf(lux(ms + length / 2))]!.hours += (fished * length) / 3_600_000
    }
    for (const at of s.bites) sums[bandOf(lux(startMs + at * 60_000))]!.bites++
  }
  return sums.map(({ hours, bites }, i) => ({
    words: LIGHT_BANDS[i]!.words,
    hours,
    bites,
    perHour: hours >= LEAST.hours && bites >= LEAST.bites ? bites / hours : null,
  }))
}

/** A stretch of a rod in an angler's hand. */
export type Held = Pick<Stint, 'who' | 'rod' | 'finishId'> & { fromMs: number; toMs: number }
/** The rods' lanes: who held which when. */
export function heldRods(trip: Trip, taps: readonly Tap[], nowMs: number): Held[] {
  const startMs = Date.parse(trip.body.startedAt)
  return loggedTrip(trip, taps, nowMs).stints.map(({ who, rod, finishId, fromMin, toMin }) => ({
    who,
    rod,
    finishId,
    fromMs: startMs + fromMin * 60_000,
    toMs: startMs + toMin * 60_000,
  }))
}

/** What hangs from the light: a bite, landed or not, or a follow. */
export interface HungMark {
  id: string
  ms: number
  rod: number
  what: 'bite' | 'landed' | 'follow'
}
export const hungOf = (taps: readonly Tap[]): HungMark[] =>
  taps.flatMap((t): HungMark[] => {
    const { what, at, rod } = t.body
    if (!isBite(t) && what !== 'follow') return []
    return [{ id: t.id, ms: Date.parse(at), rod, what: what === 'follow' || what === 'landed' ? what : 'bite' }]
  })
