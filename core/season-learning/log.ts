import type { LureId } from '#core/lure/types'
import type { Request } from '#core/request/request'

/** One rig in hand at one spot for a while. Minutes are counted from the trip's start. */
export interface Stint {
  who: number
  rod: number
  lure: LureId
  finishId: string
  spot: string | null
  depthM: number | null
  fromMin: number
  toMin: number
  pausedMin: number
  casts: number | null
  /** When there were bites, misses and landed fish. */
  bites: readonly number[]
  landed: number
  drawn: boolean
  /** The block of a fair test it was fished in, from 1. */
  block?: number | null | undefined
  /** What it was fished in, where it differs from the trip's. */
  asked: Request | null
}

export interface LoggedTrip {
  id: string
  water: string | null
  startedAt: string
  endedAt: string
  castsCounted: boolean
  asItHappened: boolean
  asked: Request
  stints: readonly Stint[]
}

/** What one rig did in a stretch of time compared: its bites, and its exposure in minutes in hand or in casts. */
export interface Cell {
  lure: LureId
  finishId: string
  bites: number
  exposure: number
  /** Minutes in hand, pauses left out: what a rate an hour is reckoned by. */
  minutes: number
  /** Requests it was fished in, with how long in each, minutes. */
  fished: { asked: Request; minutes: number }[]
}

/**
 * Rigs that were in hand in the same half-hour at the same spot by the same angler, or in one block of a fair test:
 * what is compared.
 */
export interface Stratum {
  trip: number
  spot: string | null
  cells: Cell[]
}

const HALF_HOUR_MIN = 30
/** What it takes to land a fish and let it go, min: it is no fishing. */
const LANDING_MIN = 3
/** A rig in hand for less, minutes or casts, tells nothing. */
const LEAST_EXPOSURE = 3
/** Bites nearer to each other on one rod are one, min. */
const ONE_BITE_MIN = 20 / 60

/** Bites, those within 20 s counted once. */
function counted(bites: readonly number[]): number[] {
  const out: number[] = []
  for (const at of [...bites].sort((a, b) => a - b)) if (!out.length || at - out.at(-1)! > ONE_BITE_MIN) out.push(at)
  return out
}

/** What a stint was fished in: the trip's conditions or its own, with this lure at its depth. */
export function askedOf(trip: LoggedTrip, { lure, depthM, asked }: Stint): Request {
  const { depthM: _d, limit: _l, ...base } = asked ?? trip.asked
  return depthM === null ? { ...base, lure } : { ...base, lure, depthM }
}

/** The rig of a stint: what of it can differ. */
const rigOf = ({ lure, finishId }: Stint) => `${lure} ${finishId}`

/**
 * A trip's stretches of comparison: its stints cut at the clock's half-hours, by spot and angler, each rig once. A
 * block of a fair test is one whatever the clock says, and whoever fished: its order was drawn, so that both cancel.
 * @param trip its place among the trips
 */
export function strataOf(logged: LoggedTrip, trip: number): Stratum[] {
  const startMin = Date.parse(logged.startedAt) / 60_000
  const strata = new Map<string, { spot: string | null; cells: Map<string, Cell> }>()
  for (const stint of logged.stints) {
    const bites = counted(stint.bites)
    const length = stint.toMin - stint.fromMin
    if (!(length > 0)) continue
    const isBlock = typeof stint.block === 'number'
    const first = isBlock ? 0 : Math.floor((startMin + stint.fromMin) / HALF_HOUR_MIN)
    const last = isBlock ? 0 : Math.ceil((startMin + stint.toMin) / HALF_HOUR_MIN) - 1
    for (let half = first; half <= last; half++) {
      const from = isBlock ? stint.fromMin : Math.max(stint.fromMin, half * HALF_HOUR_MIN - startMin)
      const to = isBlock ? stint.toMin : Math.min(stint.toMin, (half + 1) * HALF_HOUR_MIN - startMin)
      const share = (to - from) / length
      const isLast = half === last
      const mine = bites.filter(at => (at >= from && at < to) || (isLast && at >= to))
      const when = isBlock ? `block ${stint.block}` : `${half} ${stint.who}`
      const key = `${when} ${stint.spot ?? ''}`
      const stratum = strata.get(key) ?? { spot: stint.spot, cells: new Map<string, Cell>() }
      strata.set(key, stratum)
      const rig = rigOf(stint)
      const cell = stratum.cells.get(rig) ?? {
        lure: stint.lure,
        finishId: stint.finishId,
        bites: 0,
        exposure: 0,
        minutes: 0,
        fished: [],
      }
      stratum.cells.set(rig, cell)
      const minutes = Math.max(0, share * (length - stint.pausedMin - LANDING_MIN * stint.landed))
      cell.bites += mine.length
      cell.minutes += minutes
      cell.exposure += logged.castsCounted && stint.casts !== null ? share * stint.casts : minutes
      cell.fished.push({ asked: askedOf(logged, stint), minutes: to - from })
    }
  }
  return [...strata.values()].map(({ spot, cells }) => ({
    trip,
    spot,
    cells: [...cells.values()].filter(c => c.exposure >= LEAST_EXPOSURE),
  }))
}

/** Strata that say how rigs compare: two rigs and more, and a bite. */
export const compares = ({ cells }: Stratum): boolean => cells.length > 1 && cells.some(c => c.bites > 0)
