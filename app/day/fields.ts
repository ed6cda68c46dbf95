import { LURES, type LureId } from '#core/lure/types'
import type { Pin } from '#core/day/pins'
import type { LanePlace } from '#core/day/request'
import type { Wind } from '#core/sky/weather'
import type { SpotBank } from '#shared/schema/record'

/** A rod of the day: its lure, where it is fished, and how deep where the angler says so. */
export interface LaneSet {
  lure: LureId
  place: LanePlace
  depthM: number | null
}

/** An hour of the day's weather, as pulled by hand or taken from a forecast. */
export interface HourSet {
  cloud: number
  wind: Wind
  rain: boolean
  lightning: boolean
}

/** Everything an angler sets about a day beside the water, the place and the date. */
export interface DaySet {
  lanes: LaneSet[]
  /** The tide about its mean by the half hour of the place's clock, m, where a forecast told it. */
  tide: { atMin: number; heightM: number }[] | null
  /** Hours 0-23 of the place's clock; null: as the reading has it, all day. */
  hours: HourSet[] | null
  bank: SpotBank | null
  packMost: number
  /** What a change must win back, minutes of fishing. */
  changeMin: number
  minSpellMin: number
  /** Changes held at an hour by hand. */
  pins: Pin[]
}

export const FIRST_DAY: DaySet = {
  lanes: [
    { lure: 'walking-topwater', place: 'open', depthM: null },
    { lure: 'spinnerbait', place: 'open', depthM: null },
    { lure: 'jerkbait', place: 'open', depthM: null },
    { lure: 'stick-worm', place: 'open', depthM: null },
  ],
  hours: null,
  tide: null,
  bank: null,
  packMost: 7,
  changeMin: 8,
  minSpellMin: 60,
  pins: [],
}
/** A bank to begin with where there is to be one. */
export const FIRST_BANK: SpotBank = { facingDeg: 90, heightM: 11, acrossHeightM: 11, acrossM: 46 }
export const MOST_LANES = 8
export const HOURS = 24
/** A score that is neither good nor bad: what a minute of fishing is worth when a change is priced. */
export const USUAL_SCORE = 0.6

/** Rods a day begins with. */
const FIRST_LANES = 4
/** What else is fished where neither the water nor the box says: lures for the surface, the middle and the floor. */
const OTHERS: Record<'fresh' | 'salt', readonly LureId[]> = {
  fresh: ['walking-topwater', 'spinnerbait', 'jerkbait', 'stick-worm'],
  salt: ['inshore-twitchbait', 'inshore-paddletail', 'inshore-spoon', 'popper'],
}
/** The rods a day begins with: what is being fished, what the box holds, then what is usual on such water. */
export function usualLanes(lure: LureId, inBox: readonly LureId[], salt: boolean): LaneSet[] {
  const others = OTHERS[salt ? 'salt' : 'fresh']
  const fits = (l: LureId) => LURES[l].salt === salt || others.includes(l)
  const all = [lure, ...inBox.filter(fits), ...others]
  return [...new Set(all)].slice(0, FIRST_LANES).map(l => ({ lure: l, place: 'open', depthM: null }))
}
