import type { Request } from '#core/request/request'
import { BITES } from '#shared/crew'
import type { ComingChange, Rod, TapKind, TripRecord } from '#shared/schema/record'
import type { Kept } from '~/records/store'

export type Tap = Kept<'tap'>
export type Trip = Kept<'trip'>

export const isBite = (t: Tap) => BITES.includes(t.body.what)

/** Whether a tap happened after another; of the same moment, whether it was made after it. */
const after = (a: Tap, b: Tap) => a.body.at > b.body.at || (a.body.at === b.body.at && a.id > b.id)

/** A trip's taps in the order they happened; of the same moment, as they were made. */
export function tapsOf(taps: readonly Tap[], tripId: string): Tap[] {
  const own = taps.filter(t => t.body.tripId === tripId)
  // They mostly come in their order: thousands are not sorted anew for every tap.
  return own.every((t, i) => !i || after(t, own[i - 1]!)) ? own : own.sort((a, b) => (after(a, b) ? 1 : -1))
}

/** The taps of every trip, each in its order: sorted out once for whoever looks at many. */
export function tapsByTrip(taps: readonly Tap[]): (tripId: string) => Tap[] {
  const by = new Map<string, Tap[]>()
  for (const t of taps) {
    const own = by.get(t.body.tripId)
    if (own) own.push(t)
    else by.set(t.body.tripId, [t])
  }
  return tripId => tapsOf(by.get(tripId) ?? [], tripId)
}

/** Whose a tap is, by the place in the crew. */
export const whoOf = (t: Tap): number => t.body.who ?? 0
/** The crew's names; one without a name where none was said. */
export const crewOf = (trip: TripRecord): readonly string[] => trip.crew ?? ['']

/** The rod in an angler's hand after some taps: until one was taken, that of the same number. */
export const rodNow = (taps: readonly Tap[], who = 0): number =>
  taps.findLast(t => t.body.what === 'rod' && whoOf(t) === who)?.body.rod ?? who

/** The rods as they are rigged after some taps. */
export const rodsNow = (trip: TripRecord, taps: readonly Tap[]): Rod[] =>
  trip.rods.map((rod, i) => taps.findLast(t => t.body.what === 'rig' && t.body.rod === i)?.body.rig ?? rod)

/** How deep a rod is fished after some taps, m: as told last of it, else as it began. */
export const depthNow = (trip: TripRecord, taps: readonly Tap[], rod: number): number | null =>
  taps.findLast(t => t.body.what === 'depth' && t.body.rod === rod)?.body.depthM ?? trip.asked.depthM ?? null
/** Where it is fished after some taps. */
export const spotNow = (taps: readonly Tap[]): string | null =>
  taps.findLast(t => t.body.what === 'spot')?.body.spotId ?? null
/** The conditions noted last. */
export const conditionsNoted = (trip: TripRecord, taps: readonly Tap[]): Request =>
  taps.findLast(t => t.body.what === 'conditions' && t.body.asked)?.body.asked ?? trip.asked

/** Each tap with the rod that is in its angler's hand from then on, and how it is rigged. */
export function inHand(trip: TripRecord, taps: readonly Tap[]): { tap: Tap; rod: number; rig: Rod }[] {
  const rods = [...trip.rods]
  const hands = crewOf(trip).map((_, who) => Math.min(who, rods.length - 1))
  return taps.map(tap => {
    const { what, rod: named, rig } = tap.body
    const who = whoOf(tap)
    if (what === 'rod' && rods[named]) hands[who] = named
    if (what === 'rig' && rig) rods[named] = rig
    const rod = hands[who] ?? 0
    return { tap, rod, rig: rods[rod]! }
  })
}

/** How one finish, or one rod, has done. */
export interface Tally {
  casts: number
  bite: number
  follow: number
  miss: number
  landed: number
  /** Minutes it was in hand. */
  minutes: number
}
const nothing = (): Tally => ({ casts: 0, bite: 0, follow: 0, miss: 0, landed: 0, minutes: 0 })
export const bitesOf = (t: Tally) => t.bite + t.miss + t.landed

function count(tally: Tally, what: TapKind): void {
  if (what === 'cast') tally.casts++
  else if (what === 'bite' || what === 'follow' || what === 'miss' || what === 'landed') tally[what]++
}
/** How often each thing was tapped, whatever was in hand; no minutes. */
export function tallyOf(taps: readonly Tap[]): Tally {
  const tally = nothing()
  for (const t of taps) count(tally, t.body.what)
  return tally
}

/** A stretch with one finish in hand. */
interface Stretch {
  rod: number
  finishId: string
  tally: Tally
}
/**
 * A trip as stretches of each angler with one rod rigged in one way; the last goes on until the end, or now. What is
 * fished between a pause and going on is not counted.
 */
function stretchesOf(trip: TripRecord, taps: readonly Tap[], nowMs: number): Stretch[] {
  return crewOf(trip).flatMap((_, who) => stretchesOfOne(trip, taps, who, nowMs))
}
function stretchesOfOne(trip: TripRecord, taps: readonly Tap[], who: number, nowMs: number): Stretch[] {
  const out: Stretch[] = []
  const rods = [...trip.rods]
  let rod = Math.min(who, rods.length - 1)
  let fromMs = Date.parse(trip.startedAt)
  let paused = false
  const begin = () => out.push({ rod, finishId: rods[rod]!.finishId, tally: nothing() })
  const endAt = (ms: number) => {
    if (!paused) out.at(-1)!.tally.minutes += Math.max(0, ms - fromMs) / 60_000
    fromMs = Math.max(fromMs, ms)
  }
  begin()
  for (const tap of taps) {
    const { what, at, rod: named, rig } = tap.body
    const mine = whoOf(tap) === who
    if (what === 'rig' && rig) rods[named] = rig
    if (what === 'pause' || what === 'resume') {
      endAt(Date.parse(at))
      paused = what === 'pause'
    } else if (what === 'rod' || what === 'rig') {
      const takes = what === 'rod' && mine && rods[named]
      if (!takes && !(what === 'rig' && named === rod)) continue
      endAt(Date.parse(at))
      if (takes) rod = named
      begin()
    } else if (mine) count(out.at(-1)!.tally, what)
  }
  endAt(trip.endedAt ? Date.parse(trip.endedAt) : nowMs)
  return out
}
function added<K>(into: Map<K, Tally>, key: K, t: Tally): void {
  const sum = into.get(key) ?? nothing()
  for (const k of Object.keys(sum) as (keyof Tally)[]) sum[k] += t[k]
  into.set(key, sum)
}

/** What each rod of a trip has done. */
export function byRod(trip: TripRecord, taps: readonly Tap[], nowMs: number): Tally[] {
  const sums = new Map<number, Tally>()
  for (const s of stretchesOf(trip, taps, nowMs)) added(sums, s.rod, s.tally)
  return trip.rods.map((_, i) => sums.get(i) ?? nothing())
}
/** What each angler of a trip has done. */
export const byAngler = (trip: TripRecord, taps: readonly Tap[]): Tally[] =>
  crewOf(trip).map((_, who) => tallyOf(taps.filter(t => whoOf(t) === who)))
/**
 * What a trip's plan is still to tie on, in its order: a change is done once its finish was rigged on its rod, since
 * it was planned.
 */
export function changesToCome(trip: TripRecord, taps: readonly Tap[]): ComingChange[] {
  const since = trip.plannedAt ?? ''
  const rigged = taps.filter(t => t.body.what === 'rig' && t.body.at >= since)
  return (trip.changes ?? [])
    .filter(c => !rigged.some(t => t.body.rod === c.rod && t.body.rig?.finishId === c.finishId))
    .sort((a, b) => a.at.localeCompare(b.at))
}

/** Whether fishing is paused after some taps. */
export const isPaused = (taps: readonly Tap[]): boolean =>
  taps.findLast(t => t.body.what === 'pause' || t.body.what === 'resume')?.body.what === 'pause'

/** What each finish has done over all trips, most fished first. */
export function byFinish(trips: readonly Trip[], taps: readonly Tap[], nowMs: number) {
  const sums = new Map<string, Tally>()
  const of = tapsByTrip(taps)
  for (const trip of trips) for (const s of stretchesOf(trip.body, of(trip.id), nowMs)) added(sums, s.finishId, s.tally)
  return [...sums].map(([finishId, tally]) => ({ finishId, tally })).sort((a, b) => b.tally.minutes - a.tally.minutes)
}
