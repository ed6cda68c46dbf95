import { strataOf } from '#core/season-learning/log'
import { byLight } from './today'
import { loggedTrip } from './seasonLog'
import { type Tap, type Trip, bitesOf, byAngler, byRod, crewOf, tallyOf } from './trip'

/** What a trip came to: figures for the words said of it as it ends. */
export interface Ended {
  hours: number
  pausedHours: number
  bites: number
  landed: number
  follows: number
  /** Bites by angler, where more than one was aboard. */
  anglers: { name: string; bites: number }[]
  /** The rod with the most bites an hour in hand, where one had two bites and half an hour. */
  best: { rod: number; finishId: string; bites: number; hours: number } | null
  /** The band of light with the most bites an hour, where that can be said. */
  light: { words: string; perHour: number } | null
  /** What it adds to the season: bites that came with another rod tried beside, of all. */
  compared: number
  asItHappened: boolean
  /** Landed fish whose kind was not noted. */
  unnamed: number
}

const HOUR_MS = 3_600_000
const LEAST = { bites: 2, hours: 0.5 } as const

export function endedOf(trip: Trip, taps: readonly Tap[]): Ended {
  const { body } = trip
  const endMs = Date.parse(body.endedAt ?? body.startedAt)
  const logged = loggedTrip(trip, taps, endMs)
  const all = tallyOf(taps)
  const names = crewOf(body)
  const rods = byRod(body, taps, endMs).map((tally, rod) => ({
    rod,
    finishId: body.rods[rod]!.finishId,
    bites: bitesOf(tally),
    hours: tally.minutes / 60,
  }))
  const telling = rods.filter(r => r.bites >= LEAST.bites && r.hours >= LEAST.hours)
  const bands = byLight(trip, taps, endMs).flatMap(b => (b.perHour === null ? [] : [{ ...b, perHour: b.perHour }]))
  const perHour = (a: { bites: number; hours: number }) => a.bites / a.hours
  return {
    hours: (endMs - Date.parse(body.startedAt)) / HOUR_MS,
    pausedHours: logged.stints.filter(s => s.who === 0).reduce((sum, s) => sum + s.pausedMin, 0) / 60,
    bites: bitesOf(all),
    landed: all.landed,
    follows: all.follow,
    anglers: names.length > 1 ? byAngler(body, taps).map((t, i) => ({ name: names[i]!, bites: bitesOf(t) })) : [],
    best: telling.reduce<Ended['best']>((a, b) => (a && perHour(a) >= perHour(b) ? a : b), null),
    light: bands.reduce<Ended['light']>((a, b) => (a && a.perHour >= b.perHour ? a : b), null),
    compared: strataOf(logged, 0)
      .filter(s => s.cells.length > 1)
      .reduce((sum, s) => sum + s.cells.reduce((n, c) => n + c.bites, 0), 0),
    asItHappened: logged.asItHappened,
    unnamed: taps.filter(t => t.body.what === 'landed' && !t.body.species).length,
  }
}
