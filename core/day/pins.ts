import type { Step } from '#core/day/clock'
import type { Lane } from '#core/day/spells'

/**
 * A change an angler holds at an hour: one finish from `fromMin` until it, the other from it until `toMin`; minutes of
 * the day. Before and after those the plan is free.
 */
export interface Pin {
  lane: number
  fromMin: number
  atMin: number
  toMin: number
  before: string
  after: string
}

/** So far above any score that a plan breaks a pin only where there is no way to keep it, score × hours. */
const KEPT = 100

/**
 * A lane's worth with its pins held: while one holds a finish, keeping to it outweighs everything. Plans found with it
 * are worth what they are without. A pin that names a finish the lane does not have is none.
 * @param ids the lane's finishes in the order of its worth
 */
export function heldWorth(
  { worth }: Lane,
  ids: readonly string[],
  steps: readonly Step[],
  pins: readonly Pin[],
): Lane['worth'] {
  const held = steps.map(({ atMin }) => {
    const pin = pins.find(p => atMin >= p.fromMin && atMin < p.toMin && ids.includes(p.before) && ids.includes(p.after))
    return pin ? (atMin < pin.atMin ? pin.before : pin.after) : null
  })
  if (held.every(id => id === null)) return worth
  return worth.map((of, f) => of.map((w, t) => (held[t] === ids[f] ? w + KEPT : w)))
}

/** Pins with one more, or with one moved: those it reaches into give way to it. */
export function withPin(pins: readonly Pin[], pin: Pin, wasAtMin: number): Pin[] {
  const others = pins.filter(p => p.lane !== pin.lane || p.atMin !== wasAtMin)
  return [
    ...others.flatMap(p => {
      if (p.lane !== pin.lane) return [p]
      const cut =
        p.atMin < pin.atMin
          ? { ...p, toMin: Math.min(p.toMin, pin.fromMin < p.atMin ? p.atMin : pin.atMin) }
          : { ...p, fromMin: Math.max(p.fromMin, pin.toMin > p.atMin ? p.atMin : pin.atMin) }
      return cut.fromMin < cut.atMin && cut.atMin < cut.toMin ? [cut] : []
    }),
    pin,
  ]
}
