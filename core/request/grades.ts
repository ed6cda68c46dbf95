import type { Conditions } from '#core/request/resolve'
import { lureType } from '#core/lure/types'
import type { SkyLight } from '#core/sky/light'

/**
 * The moment in the grades that schools and customs speak of. Each runs 0-1 and moves smoothly, so that dragging a
 * reading never makes a pick jump for no reason.
 */
export interface Grades {
  /** Direct sun on the water. */
  sunny: number
  /** Low light of any cause: first and last light, storm cloud, deep shade. 1 at night. */
  dim: number
  /** Too dark for colour vision. */
  night: number
  /** Clear water: 0 at 0.5 m of visibility and less, 1 from 3 m. */
  clear: number
  /** Dirty water: 0 from 0.9 m, 1 at 0.3 m and less. */
  dirty: number
  /** Wind on the water: 0 calm, 1 from a chop up. */
  windy: number
  /** How long a fish looks before it decides: slow lures 1, fast 0. */
  slow: number
}

/** 0 at `from`, 1 at `to`, straight between (either way round). */
export const ramp = (x: number, from: number, to: number) => Math.min(1, Math.max(0, (x - from) / (to - from)))

const WINDY = { calm: 0, ripple: 0.4, chop: 1, strong: 1 } as const
const SLOW = { slow: 1, steady: 0.5, fast: 0 } as const

export function gradesOf(c: Conditions, sky: SkyLight): Grades {
  const lux = Math.max(1e-4, sky.lux)
  const v = Math.log(c.visibilityM)
  return {
    sunny: ramp(sky.directLux, 3000, 26000),
    dim: ramp(Math.log10(lux), 4.25, 3.1),
    // Near lamps it is still night: fish hunt from the dark side of the light.
    night: ramp(Math.log10(Math.max(1e-4, sky.lux - sky.lampLux)), 1.2, 0),
    clear: ramp(v, Math.log(0.5), Math.log(3)),
    dirty: ramp(v, Math.log(0.9), Math.log(0.3)),
    windy: WINDY[c.wind],
    slow: SLOW[lureType(c.lure).pace],
  }
}
