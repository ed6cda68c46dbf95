/**
 * The light table: light under water from the radiative transfer solver in tools/light-table (`npm run table` makes
 * it), per unit of irradiance let in. It is data of its own, read by whoever runs the core and given to
 * `useLightTable` once.
 */
export interface LightTable {
  /** Backscatter share of each phase function, rising. */
  shares: readonly number[]
  /** Single-scattering albedo, rising. */
  omega: readonly number[]
  /** Optical depth, rising. */
  tau: readonly number[]
  /** Angle of each beam from vertical under water, degrees, rising. */
  beamDeg: readonly number[]
  /** What comes from all over, after the beams. */
  diffuse: readonly string[]
  /**
   * Logarithms over share, albedo, source, depth and column, the last fastest: of Ed, and of the rest as shares of Ed
   * (those of `PER_ALBEDO` over the albedo as well).
   */
  values: Float32Array
}

/** Columns of a beam; a source from all over has the first seven. */
export const COLUMN = {
  ed: 0,
  eu: 1,
  e0: 2,
  eSide: 3,
  lh: 4,
  lZen: 5,
  lNad: 6,
  eSideToward: 7,
  eSideAcross: 8,
  eSideAway: 9,
  lhToward: 10,
  lhAcross: 11,
  lhAway: 12,
} as const
export type Column = keyof typeof COLUMN
export const BEAM_COLUMNS = 13
export const DIFFUSE_COLUMNS = 7

const { eu, lh, lZen, lNad, eSideAcross, eSideAway, lhToward, lhAcross, lhAway } = COLUMN
/** Columns that are scattered light alone, so that they go to nothing with the albedo. */
export const PER_ALBEDO = {
  beam: [eu, lh, lZen, lNad, eSideAcross, eSideAway, lhToward, lhAcross, lhAway] as number[],
  diffuse: [eu, lh, lNad] as number[],
}

/** Logarithms are kept in steps of this, 0.1 % at most from the solver's. */
export const LOG_STEP = 0.002
const MAGIC = 0x50_4c_54_32

interface Header extends Omit<LightTable, 'values'> {
  provenance: string
  checksum: number
}

/** FNV-1a over bytes, 32 bits. */
export function checksum(bytes: Uint8Array): number {
  let h = 0x811c9dc5
  // By index: an iterator over half a million bytes is felt when a page opens.
  for (let i = 0; i < bytes.length; i++) h = Math.imul(h ^ bytes[i]!, 0x01000193)
  return h >>> 0
}

/** Number of values of one (share, albedo) block. */
export const blockSize = (t: Omit<LightTable, 'values'>) =>
  (t.beamDeg.length * BEAM_COLUMNS + t.diffuse.length * DIFFUSE_COLUMNS) * t.tau.length

/** Where each run of values along the depth begins, and how far apart they lie. */
function* runs(t: Omit<LightTable, 'values'>): Generator<[from: number, stride: number]> {
  const depths = t.tau.length
  const blocks = t.shares.length * t.omega.length
  let from = 0
  for (let block = 0; block < blocks; block++) {
    for (let source = 0; source < t.beamDeg.length + t.diffuse.length; source++) {
      const columns = source < t.beamDeg.length ? BEAM_COLUMNS : DIFFUSE_COLUMNS
      for (let c = 0; c < columns; c++) yield [from + c, columns]
      from += columns * depths
    }
  }
}

/**
 * Pack a table: magic, length of the header, the header as JSON in plain ASCII, then steps of the logarithms, each
 * run along the depth on its own, since neighbours there differ least.
 */
export function packTable(table: LightTable, provenance: string): Uint8Array {
  const { values, ...axes } = table
  const depths = table.tau.length
  const steps = new Int16Array(values.length)
  let out = 0
  for (const [from, stride] of runs(table)) {
    let last = 0
    for (let d = 0; d < depths; d++) {
      const at = Math.round(values[from + d * stride]! / LOG_STEP)
      steps[out++] = at - last
      last = at
    }
  }
  const body = new Uint8Array(steps.buffer)
  const header: Header = { ...axes, provenance, checksum: checksum(body) }
  let json = JSON.stringify(header)
  json += ' '.repeat((2 - (json.length % 2)) % 2)
  const bytes = new Uint8Array(8 + json.length + body.length)
  const view = new DataView(bytes.buffer)
  view.setUint32(0, MAGIC)
  view.setUint32(4, json.length)
  bytes.set(
    Uint8Array.from(json, c => c.charCodeAt(0)),
    8,
  )
  bytes.set(body, 8 + json.length)
  return bytes
}

/**
 * Read a packed table.
 * @throws RangeError where the bytes are not a light table, or not as they were made
 */
export function unpackTable(bytes: Uint8Array): LightTable {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (bytes.length < 8 || view.getUint32(0) !== MAGIC) throw new RangeError('not a light table')
  const length = view.getUint32(4)
  const { checksum: sum, ...axes } = JSON.parse(String.fromCharCode(...bytes.subarray(8, 8 + length))) as Header
  // A copy, so that it is aligned: what was handed in may be a window on something larger.
  const body = new Uint8Array(bytes.subarray(8 + length))
  const count = axes.shares.length * axes.omega.length * blockSize(axes)
  if (body.length !== 2 * count || checksum(body) !== sum) throw new RangeError('the light table is damaged')
  const steps = new Int16Array(body.buffer)
  const values = new Float32Array(count)
  const depths = axes.tau.length
  let next = 0
  for (const [from, stride] of runs(axes)) {
    let at = 0
    for (let d = 0; d < depths; d++) values[from + d * stride] = (at += steps[next++]!) * LOG_STEP
  }
  return { ...axes, values }
}

let inUse: LightTable | null = null

/** Give the core its light table, once, before any light is asked for. */
export function useLightTable(bytes: Uint8Array): void {
  inUse = unpackTable(bytes)
}

/** The table in use. @throws Error where none has been given */
export function lightTable(): LightTable {
  if (!inUse) throw new Error('the light table has not been given: see useLightTable')
  return inUse
}
export const hasLightTable = () => inUse !== null
