import { LIGHT_TABLE } from '#core/data/lightTable'
import { backscatterShare } from '#core/water/backscatter'

/**
 * Look-up of the light table: linear in optical depth, in the square root of 1 - albedo (in which the decay is nearly
 * straight), in the beam's angle (its secant for Ed, whose path that is) and in the backscatter share. Between grid
 * points it stays within 3 % of the solver for Ed and 6 % for the rest, but for looking up, where the glare round a
 * high sun makes it 25 % (tools/light-table/solver.test.ts measures it).
 */
export const COLUMNS = LIGHT_TABLE.columns
/** Column order of a looked-up row. */
export const COLUMN = { ed: 0, eu: 1, e0: 2, eSide: 3, lh: 4, lZen: 5, lNad: 6 } as const

const TAU = LIGHT_TABLE.tau
/** Beam axis as the angle from vertical: what a vertical face gets from a beam is nearly straight in it. */
const BEAM_MU = LIGHT_TABLE.beamMu
const BEAM_ANGLE = BEAM_MU.map(Math.acos)
const SOURCES = BEAM_ANGLE.length + 1
const VALUES = Float64Array.from(LIGHT_TABLE.rows.trim().split(/\s+/), Number)
/** Albedo axis as sqrt(1 - albedo), descending; the albedo runs up the table. */
const S_AXIS = LIGHT_TABLE.omega.map(o => Math.sqrt(1 - o))
const SHARES = LIGHT_TABLE.g.map(backscatterShare)
/** Water itself can lift the backscatter share past the table's particles; beyond this the straight line is held. */
const MAX_SHARE = 0.045

const rowAt = (g: number, omega: number, source: number, tau: number) =>
  (((g * S_AXIS.length + omega) * SOURCES + source) * TAU.length + tau) * COLUMNS

/** Index below x on an axis that rises or falls, and the fraction to the next point; clamped to the ends. */
function locate(axis: readonly number[], x: number, falling: boolean): [number, number] {
  let i = 0
  while (i < axis.length - 2 && (falling ? axis[i + 1]! > x : axis[i + 1]! < x)) i++
  const t = (x - axis[i]!) / (axis[i + 1]! - axis[i]!)
  return [i, Math.min(1, Math.max(0, t))]
}

export interface Spot {
  omega: number
  tau: number
  share: number
}

/**
 * Add `weight` times the light of one source at a spot to `out` (absolute values, per unit of light let in).
 * @param beamMu cosine of the refracted beam, or null for an even sky
 */
export function addLight(out: Float64Array, spot: Spot, beamMu: number | null, weight: number): void {
  const [io, to] = locate(S_AXIS, Math.sqrt(1 - Math.min(0.995, spot.omega)), true)
  const [it, tt0] = locate(TAU, spot.tau, false)
  const past = Math.max(0, spot.tau - TAU[TAU.length - 1]!)
  const share = Math.min(MAX_SHARE, Math.max(SHARES[1]!, spot.share))
  const tg = (share - SHARES[1]!) / (SHARES[0]! - SHARES[1]!)
  const [ib, tb] = beamMu === null ? [SOURCES - 1, 0] : locate(BEAM_ANGLE, Math.acos(beamMu), false)
  const sec = beamMu === null ? 0 : (1 / beamMu - 1 / BEAM_MU[ib]!) / (1 / BEAM_MU[ib + 1]! - 1 / BEAM_MU[ib]!)
  const tSec = Math.min(1, Math.max(0, sec))
  let lnEd = 0
  let end = 0
  let start = 0
  for (let c = 0; c < COLUMNS; c++) row[c] = 0
  for (let g = 0; g < 2; g++) {
    const wg = g === 0 ? tg : 1 - tg
    for (let o = 0; o < 2; o++) {
      const wo = wg * (o ? to : 1 - to)
      for (let b = 0; b < (beamMu === null ? 1 : 2); b++) {
        const wb = wo * (beamMu === null ? 1 : b ? tb : 1 - tb)
        const wSec = wo * (beamMu === null ? 1 : b ? tSec : 1 - tSec)
        for (let d = 0; d < 2; d++) {
          const along = d ? tt0 : 1 - tt0
          const w = wb * along
          const at = rowAt(g, io + o, ib + b, it + d)
          lnEd += wSec * along * VALUES[at]!
          for (let c = 1; c < COLUMNS; c++) row[c]! += w * VALUES[at + c]!
        }
        if (past > 0) {
          start += wSec * VALUES[rowAt(g, io + o, ib + b, TAU.length - 2)]!
          end += wSec * VALUES[rowAt(g, io + o, ib + b, TAU.length - 1)]!
        }
      }
    }
  }
  // Below the table the light goes on falling at the rate it has there.
  if (past > 0) lnEd += (past * (end - start)) / (TAU[TAU.length - 1]! - TAU[TAU.length - 2]!)
  const ed = weight * Math.exp(lnEd)
  out[0]! += ed
  for (let c = 1; c < COLUMNS; c++) out[c]! += ed * Math.max(0, row[c]!)
}

const row = new Float64Array(COLUMNS)
