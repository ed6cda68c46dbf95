import type { LightField } from '#core/light-field/lightField'
import type { Side } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import { BANDS, type Spectrum } from '#core/spectrum/grid'

/**
 * How a part stands to the light and to the eye from one side: how much of it shows (0-1), and how its light is made
 * up of downward, sideways and upward irradiance. A lure is not a cube: seen level, the back is a strip lit half from
 * above.
 */
export interface Facing {
  shows: number
  up: number
  side: number
  down: number
}

const f = (shows: number, up: number, side: number, down: number): Facing => ({ shows, up, side, down })

const ROUND = { level: f(1, 0.2, 0.65, 0.15), below: f(1, 0, 0.35, 0.65), above: f(1, 0.65, 0.35, 0) }
const FACING: Record<Side, Partial<Record<Part, Facing>>> = {
  level: {
    back: f(0.6, 0.5, 0.5, 0),
    flank: f(1, 0, 1, 0),
    belly: f(0.5, 0, 0.5, 0.5),
    chin: f(0.6, 0, 0.6, 0.4),
    head: f(0.8, 0.15, 0.75, 0.1),
    blade: f(1, 0.15, 0.7, 0.15),
    tail: f(0.8, 0.1, 0.8, 0.1),
  },
  // Chop and roll bring a little side light to a belly.
  below: {
    back: f(0, 1, 0, 0),
    flank: f(0.35, 0, 0.6, 0.4),
    belly: f(1, 0, 0.12, 0.88),
    chin: f(0.9, 0, 0.2, 0.8),
    head: f(0.7, 0, 0.4, 0.6),
    blade: f(1, 0.1, 0.5, 0.4),
    tail: f(0.8, 0, 0.4, 0.6),
  },
  above: {
    back: f(1, 0.9, 0.1, 0),
    flank: f(0.7, 0.5, 0.5, 0),
    belly: f(0, 0, 0, 1),
    chin: f(0, 0, 0, 1),
    head: f(0.8, 0.7, 0.3, 0),
    blade: f(1, 0.5, 0.5, 0),
    tail: f(0.8, 0.5, 0.5, 0),
  },
}

/** Facing of a part from a side; skirts, trailers and anything round get a mixture. */
export const facing = (side: Side, part: Part): Facing => FACING[side][part] ?? ROUND[side]

/** What a mirror shows, as shares of the field looked at level, up and down: a flat flank shows the water it hides. */
const MIRRORED: Record<Side, { flank: readonly [number, number, number]; other: readonly [number, number, number] }> = {
  level: { flank: [0.985, 0.01, 0.005], other: [0.8, 0.12, 0.08] },
  below: { flank: [0.3, 0, 0.7], other: [0.2, 0, 0.8] },
  above: { flank: [0.5, 0.5, 0], other: [0.3, 0.7, 0] },
}

/** Irradiance on a part, written into `out`. */
export function lightOn(out: Spectrum, field: LightField, how: Facing): void {
  for (let i = 0; i < BANDS; i++) out[i] = how.up * field.ed[i]! + how.side * field.eSide[i]! + how.down * field.eu[i]!
}

/** Radiance a mirror on the part shows, written into `out`. */
export function mirroredBy(out: Spectrum, field: LightField, side: Side, part: Part): void {
  const [level, up, down] = MIRRORED[side][part === 'flank' ? 'flank' : 'other']
  for (let i = 0; i < BANDS; i++) out[i] = level * field.lh[i]! + up * field.lZen[i]! + down * field.lNad[i]!
}
