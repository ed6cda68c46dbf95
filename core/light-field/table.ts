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
const MAGIC = 0x50_4c_54_33

type Axes = Omit<LightTable, 'values'>
interface Header extends Axes {
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
export const blockSize = (t: Axes) =>
  (t.beamDeg.length * BEAM_COLUMNS + t.diffuse.length * DIFFUSE_COLUMNS) * t.tau.length

/** Where each run of values along the depth begins, and how far apart they lie. */
function* runs(t: Axes): Generator<[from: number, stride: number]> {
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

/** Steps that have a neighbour so far before them: along the albedo, along the beams, along the share. */
function* neighbours(t: Axes): Generator<[from: number, to: number, apart: number]> {
  const block = blockSize(t)
  const share = t.omega.length * block
  const beam = BEAM_COLUMNS * t.tau.length
  const all = t.shares.length * share
  for (let at = 0; at < all; at += share) yield [at + block, at + share, block]
  for (let at = 0; at < all; at += block) yield [at + beam, at + t.beamDeg.length * beam, beam]
  yield [share, all, share]
}

/** Whole numbers in bytes of seven bits, the lowest first; small ones of either sign in one (as protocol buffers). */
function* bytesOf(numbers: Int32Array): Generator<number> {
  for (const n of numbers) {
    let rest = ((n << 1) ^ (n >> 31)) >>> 0
    for (; rest > 127; rest >>>= 7) yield (rest & 127) | 128
    yield rest
  }
}

/**
 * Pack a table: magic, length of the header, the header as JSON in plain ASCII, then steps of the logarithms, each
 * run along the depth on its own and as it differs from its neighbours in the other axes: what is left is next to
 * nothing, and packs to half.
 */
export function packTable(table: LightTable, provenance: string): Uint8Array {
  const { values, ...axes } = table
  const depths = table.tau.length
  const steps = new Int32Array(values.length)
  let out = 0
  for (const [from, stride] of runs(table)) {
    let last = 0
    for (let d = 0; d < depths; d++) {
      const at = Math.round(values[from + d * stride]! / LOG_STEP)
      steps[out++] = at - last
      last = at
    }
  }
  for (const [from, to, apart] of neighbours(table)) for (let i = to - 1; i >= from; i--) steps[i]! -= steps[i - apart]!
  const body = Uint8Array.from(bytesOf(steps))
  const header: Header = { ...axes, provenance, checksum: checksum(body) }
  const json = JSON.stringify(header)
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
  const body = bytes.subarray(8 + length)
  if (checksum(body) !== sum) throw new RangeError('the light table is damaged')
  const steps = new Int32Array(axes.shares.length * axes.omega.length * blockSize(axes))
  let at = 0
  for (let i = 0; i < steps.length; i++) {
    let n = 0
    for (let bits = 0, byte = 128; byte > 127; bits += 7) n |= ((byte = body[at++]!) & 127) << bits
    steps[i] = (n >>> 1) ^ -(n & 1)
  }
  for (const [from, to, apart] of [...neighbours(axes)].reverse())
    for (let i = from; i < to; i++) steps[i]! += steps[i - apart]!
  const values = new Float32Array(steps.length)
  const depths = axes.tau.length
  let next = 0
  for (const [from, stride] of runs(axes)) {
    let log = 0
    for (let d = 0; d < depths; d++) values[from + d * stride] = (log += steps[next++]!) * LOG_STEP
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
