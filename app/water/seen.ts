import type { Seen } from '#core/picture/underWater'
import type { Part } from '#core/paintwork/parts'
import { hex } from '#core/spectrum/colour'

export type PartColours = Partial<Record<Part, string>>
export interface SeenOut {
  distanceM: number
  /** Whether its shape is still made out there. */
  shape: boolean
  /** How plainly its hooks and eyes are drawn, 0-1. */
  fine: number
  water: string
  parts: PartColours
}

/** A look through the water as it crosses from the worker; `sightM` is how far off its shape is made out, m. */
export const seenOut = (s: Seen, sightM: number): SeenOut => ({
  distanceM: s.distanceM,
  shape: s.distanceM <= sightM,
  fine: Number(s.fine.toFixed(2)),
  water: hex(s.water),
  parts: Object.fromEntries(Object.entries(s.parts).map(([p, c]) => [p, hex(c)])),
})
