import { MINUTE_MS } from '#core/units'
import type { TapRecord, TripRecord, WaterRecord } from '#shared/schema/record'

/** What one angler shows another, each step with all before it. */
export const SHARING_STEPS = ['nothing', 'days', 'lures', 'spots'] as const
export type SharingStep = (typeof SHARING_STEPS)[number]

/** Whether a step shows what is shown from another on: the one place where it is decided who sees what. */
export const maySee = (may: SharingStep, what: SharingStep): boolean =>
  SHARING_STEPS.indexOf(may) >= SHARING_STEPS.indexOf(what)

/** What counts as a bite: a fish that took, whether it stayed on or not. */
export const BITES: readonly TapRecord['what'][] = ['bite', 'miss', 'landed']

export interface SeenLure {
  finishId: string
  bites: number
  landed: number
}
export interface SeenSpot {
  water: string
  latitude: number | null
  longitude: number | null
}
/** A day out as somebody else sees it; what they may not see is not there. */
export interface SeenDay {
  id: string
  /** When it began: the day alone, until it is shown what was thrown. */
  date: string
  minutes: number
  bites: number
  landed: number
  lures?: SeenLure[]
  water?: { tint: string; visibilityM: number; temperatureC: number | null }
  spots?: SeenSpot[]
}

export interface DayOut {
  id: string
  trip: TripRecord
  taps: readonly TapRecord[]
  /** The water it was on, where it is one of the angler's own. */
  water: WaterRecord | null
}

const count = (taps: readonly TapRecord[], of: readonly TapRecord['what'][]) =>
  taps.filter(t => of.includes(t.what)).length

/** How an angler's own records of a day look at a step. */
export function dayAt(may: SharingStep, { id, trip, taps, water }: DayOut, nowMs: number): SeenDay | null {
  if (!maySee(may, 'days')) return null
  const ended = trip.endedAt ? Date.parse(trip.endedAt) : nowMs
  const day: SeenDay = {
    id,
    date: trip.startedAt.slice(0, 10),
    minutes: Math.max(0, Math.round((ended - Date.parse(trip.startedAt)) / MINUTE_MS)),
    bites: count(taps, BITES),
    landed: count(taps, ['landed']),
  }
  if (!maySee(may, 'lures')) return day
  const { tint, visibilityM, temperatureC = null } = trip.asked.water
  Object.assign(day, { lures: luresOf(trip, taps), water: { tint, visibilityM, temperatureC } })
  if (maySee(may, 'spots')) day.spots = spotsOf(trip, taps, water)
  return day
}

/** What was thrown and what came of it, in the order it was tied on. */
function luresOf(trip: TripRecord, taps: readonly TapRecord[]): SeenLure[] {
  const rods = trip.rods.map(r => r.finishId)
  const found = new Map<string, SeenLure>(rods.map(finishId => [finishId, { finishId, bites: 0, landed: 0 }]))
  for (const t of [...taps].sort((a, b) => a.at.localeCompare(b.at))) {
    if (t.what === 'rig' && t.rig) {
      rods[t.rod] = t.rig.finishId
      if (!found.has(t.rig.finishId)) found.set(t.rig.finishId, { finishId: t.rig.finishId, bites: 0, landed: 0 })
    }
    const lure = found.get(rods[t.rod] ?? '')
    if (!lure) continue
    if (BITES.includes(t.what)) lure.bites++
    if (t.what === 'landed') lure.landed++
  }
  return [...found.values()]
}

function spotsOf(trip: TripRecord, taps: readonly TapRecord[], water: WaterRecord | null): SeenSpot[] {
  const at = trip.asked.light.at
  const name = water?.name ?? trip.name
  const places = taps.flatMap(t => (t.place && BITES.includes(t.what) ? [t.place] : []))
  if (places.length) return places.map(p => ({ water: name, ...p }))
  return [{ water: name, latitude: at?.latitude ?? null, longitude: at?.longitude ?? null }]
}
