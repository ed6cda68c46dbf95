import type { LightField } from '#core/light-field/lightField'
import type { Side } from '#core/lure/types'
import type { Part } from '#core/paintwork/parts'
import { OPPOSITE, type Way, sideOf } from '#core/sight/view'
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
    belly: f(1, 0, 0.04, 0.96),
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

/**
 * Irradiance on a part, written into `out`. The face a fish sees is lit from where the fish is: looking into the sun
 * it sees the shaded side.
 */
export function lightOn(out: Spectrum, field: LightField, way: Way, how: Facing): void {
  const side = way === 'below' || way === 'above' ? field.eSide.mean : field.eSide[OPPOSITE[way]]
  for (let i = 0; i < BANDS; i++) out[i] = how.up * field.ed[i]! + how.side * side[i]! + how.down * field.eu[i]!
}

/** Parts whose little mirrors stand alike, and so show the same. */
export type MirrorKind = 'flank' | 'other'
export const mirrorKind = (part: Part): MirrorKind => (part === 'flank' ? 'flank' : 'other')

/**
 * Slants of the little mirrors of a part seen level, degrees from upright and how many stand so: a flat flank is nearly
 * one mirror, a blade or a head turns every way. A mirror slanted by t sends the fish what comes from 2 t above or
 * below the level.
 */
const SLANTS: Record<MirrorKind, readonly [number, number][]> = {
  flank: [
    [-2.5, 0.25],
    [0, 0.5],
    [2.5, 0.25],
  ],
  other: [
    [-30, 0.15],
    [-12, 0.2],
    [0, 0.3],
    [12, 0.2],
    [30, 0.15],
  ],
}
/** What a mirror shows from below and above, as shares of the field looked at level, up and down. */
const MIRRORED: Record<'below' | 'above', Record<MirrorKind, readonly [number, number, number]>> = {
  below: { flank: [0.3, 0, 0.7], other: [0.2, 0, 0.8] },
  above: { flank: [0.5, 0.5, 0], other: [0.3, 0.7, 0] },
}

/**
 * Radiance a mirror of that kind shows, written into `out`. Seen level it shows the water on the fish's own side: a
 * fish that looks into the sun sees the dark water behind it in a bright flank, one with the sun at its back a lamp.
 * Between the level and straight up or down the field is taken as going over by the square of the height's sine, in
 * the logarithm.
 */
export function mirroredBy(out: Spectrum, field: LightField, way: Way, kind: MirrorKind): void {
  const side = sideOf(way)
  out.fill(0)
  if (side !== 'level') {
    const [level, up, down] = MIRRORED[side][kind]
    for (let i = 0; i < BANDS; i++) out[i] = level * field.lh.mean[i]! + up * field.lZen[i]! + down * field.lNad[i]!
    return
  }
  const level = field.lh[OPPOSITE[way as 'toward' | 'across' | 'away']]
  for (const [slantDeg, share] of SLANTS[kind]) {
    const tall = Math.sin((2 * slantDeg * Math.PI) / 180) ** 2
    const end = slantDeg < 0 ? field.lNad : field.lZen
    for (let i = 0; i < BANDS; i++) out[i]! += share * level[i]! * (end[i]! / level[i]!) ** tall
  }
}
