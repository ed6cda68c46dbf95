import { numbers } from '#core/numeric/numbers'
import { BEAM_COLUMNS, COLUMN, DIFFUSE_COLUMNS, type LightTable, PER_ALBEDO, lightTable } from '#core/light-field/table'

/** What lights the water, by irradiance let in: a beam (its cosine under water), skies, or a bed from below. */
export interface Sources {
  beam?: { mu: number; weight: number }
  even?: number
  overcast?: number
  clear?: number
  bed?: number
}

/** How water scatters, whatever its thickness: albedo, and the share of what is scattered that goes backwards. */
export interface Scatter {
  omega: number
  share: number
}

/** Place on an axis: index below, and the fraction to the next point, clamped to the ends. */
function locate(axis: readonly number[], x: number): [number, number] {
  let i = 0
  while (i < axis.length - 2 && axis[i + 1]! <= x) i++
  return [i, Math.min(1, Math.max(0, (x - axis[i]!) / (axis[i + 1]! - axis[i]!)))]
}

/** So many numbers that are not known yet. */
const unknown = (count: number): number[] => numbers(count, Number.NaN)

/** The table with its axes in the measures it is straight in. */
interface Axes {
  table: LightTable
  /** -sqrt(1 - albedo): the decay is nearly straight in it. */
  albedo: number[]
  lnShare: number[]
  /** Secant of the beam: the path that Ed has. */
  secant: number[]
  blockSize: number
}
let axes: Axes | null = null
function tableAxes(): Axes {
  const table = lightTable()
  if (axes?.table !== table) {
    axes = {
      table,
      albedo: table.omega.map(o => -Math.sqrt(1 - o)),
      lnShare: table.shares.map(Math.log),
      secant: table.beamDeg.map(d => 1 / Math.cos((d * Math.PI) / 180)),
      blockSize: table.values.length / table.shares.length / table.omega.length,
    }
  }
  return axes
}

/** Columns that a beam adds to straight along its own bearing: straight in its angle, not in the logarithm. */
const STRAIGHT_IN_ANGLE = [COLUMN.eSide, COLUMN.eSideToward] as number[]
const perAlbedo = (columns: number, list: number[]) => Array.from({ length: columns }, (_, c) => list.includes(c))
const BEAM_PER_ALBEDO = perAlbedo(BEAM_COLUMNS, PER_ALBEDO.beam)
const DIFFUSE_PER_ALBEDO = perAlbedo(DIFFUSE_COLUMNS, PER_ALBEDO.diffuse)
const IN_ANGLE = Array.from({ length: BEAM_COLUMNS }, (_, c) => STRAIGHT_IN_ANGLE.includes(c))
/** What a source from all over has no bearing for is its mean. */
const MEAN_OF = Array.from({ length: BEAM_COLUMNS }, (_, c) =>
  c < DIFFUSE_COLUMNS ? c : c < COLUMN.lhToward ? COLUMN.eSide : COLUMN.lh,
)

/**
 * Light of a mixture of sources in water of one albedo and backscatter share, at any optical depth, from the light
 * table: logarithms, straight between grid points in optical depth, in sqrt(1 - albedo), in the logarithm of the
 * backscatter share and in the beam's angle (its secant for Ed; what a face turned to the sun gets is straight in the
 * angle itself). Nodes of the depth are worked out when first asked for. Errors against the solver are measured in
 * tools/light-table/table.test.ts and stated in docs/science/light.md.
 */
export class LightProfile {
  /** Logarithms of each column at each depth's node, NaN where it was not asked for yet. */
  private readonly nodes: (number[] | undefined)[] = []
  /** Ed of each source at each depth's node, the beam's first; NaN where not known yet. */
  private readonly edAt: number[]
  private readonly table: LightTable
  /** The four blocks of the table round the water, and their weights; Ed has its own. */
  private readonly b0: number
  private readonly b1: number
  private readonly b2: number
  private readonly b3: number
  private readonly w0: number
  private readonly w1: number
  private readonly w2: number
  private readonly w3: number
  private readonly forEd: readonly [number, number, number, number]
  private readonly lnOmega: number
  /** The sources there are: where they begin in a block, and their weights; of a beam the two angles round it. */
  private readonly beam: { one: number; two: number; inAngle: number; inSecant: number; weight: number } | null
  private readonly diffuse: { at: number; weight: number }[] = []

  constructor({ omega, share }: Scatter, sources: Sources) {
    const { table, albedo, lnShare, secant, blockSize } = tableAxes()
    this.table = table
    const depths = table.tau.length
    const held = Math.min(table.omega[table.omega.length - 1]!, omega)
    this.lnOmega = Math.log(Math.max(1e-9, held))
    const [o, to] = locate(albedo, -Math.sqrt(1 - held))
    const [s, straight] = locate(table.shares, share)
    const [, inLog] = locate(lnShare, Math.log(Math.max(1e-9, share)))
    this.b0 = (s * table.omega.length + o) * blockSize
    this.b1 = this.b0 + blockSize
    this.b2 = this.b0 + table.omega.length * blockSize
    this.b3 = this.b2 + blockSize
    const weights = (ts: number) => [(1 - ts) * (1 - to), (1 - ts) * to, ts * (1 - to), ts * to] as const
    // The logarithm of Ed is straight in the backscatter share, the others in its logarithm.
    this.forEd = weights(straight)
    ;[this.w0, this.w1, this.w2, this.w3] = weights(inLog)
    this.beam = null
    if (sources.beam && sources.beam.weight > 0) {
      const { mu, weight } = sources.beam
      const [index, inAngle] = locate(table.beamDeg, (Math.acos(Math.min(1, mu)) * 180) / Math.PI)
      const between = (1 / mu - secant[index]!) / (secant[index + 1]! - secant[index]!)
      const one = index * BEAM_COLUMNS * depths
      const two = one + BEAM_COLUMNS * depths
      this.beam = { one, two, inAngle, inSecant: Math.min(1, Math.max(0, between)), weight }
    }
    for (let k = 0; k < table.diffuse.length; k++) {
      const weight = sources[table.diffuse[k] as 'even' | 'overcast' | 'clear' | 'bed'] ?? 0
      const at = (table.beamDeg.length * BEAM_COLUMNS + k * DIFFUSE_COLUMNS) * depths
      if (weight > 0) this.diffuse.push({ at, weight })
    }
    this.edAt = unknown(depths * (1 + this.diffuse.length))
  }

  /**
   * Logarithm of one column of a source at a depth's node: of Ed, or of another as a share of it.
   * @param offset of the source in a block
   */
  private entry(offset: number, columns: number, depth: number, column: number): number {
    const { values } = this.table
    const { b0, b1, b2, b3 } = this
    const i = offset + depth * columns + column
    if (column === 0) {
      const w = this.forEd
      return w[0] * values[b0 + i]! + w[1] * values[b1 + i]! + w[2] * values[b2 + i]! + w[3] * values[b3 + i]!
    }
    const scattered = columns === BEAM_COLUMNS ? BEAM_PER_ALBEDO : DIFFUSE_PER_ALBEDO
    return (
      this.w0 * values[b0 + i]! +
      this.w1 * values[b1 + i]! +
      this.w2 * values[b2 + i]! +
      this.w3 * values[b3 + i]! +
      (scattered[column] ? this.lnOmega : 0)
    )
  }

  /** Ed of each source at a depth's node, which every other column is a share of: where they are in `edAt`. */
  private edOf(depth: number): number {
    const { beam, diffuse, edAt } = this
    const at = depth * (1 + diffuse.length)
    if (!Number.isNaN(edAt[at]!)) return at
    edAt[at] = 0
    if (beam) {
      const { one, two, inSecant: t, weight } = beam
      const ed = (1 - t) * this.entry(one, BEAM_COLUMNS, depth, 0) + t * this.entry(two, BEAM_COLUMNS, depth, 0)
      edAt[at] = weight * Math.exp(ed)
    }
    for (let k = 0; k < diffuse.length; k++) {
      const source = diffuse[k]!
      edAt[at + 1 + k] = source.weight * Math.exp(this.entry(source.at, DIFFUSE_COLUMNS, depth, 0))
    }
    return at
  }

  /** One column at a depth's node, as its logarithm: along the depth light falls off by it. */
  private node(depth: number, column: number): number {
    const { beam, diffuse, edAt } = this
    const at = this.edOf(depth)
    let sum = edAt[at]!
    if (beam && column !== 0) {
      const t = beam.inAngle
      const one = this.entry(beam.one, BEAM_COLUMNS, depth, column)
      const two = this.entry(beam.two, BEAM_COLUMNS, depth, column)
      sum *= IN_ANGLE[column] ? (1 - t) * Math.exp(one) + t * Math.exp(two) : Math.exp((1 - t) * one + t * two)
    }
    const mean = MEAN_OF[column]!
    for (let k = 0; k < diffuse.length; k++) {
      const ed = edAt[at + 1 + k]!
      sum += mean === 0 ? ed : ed * Math.exp(this.entry(diffuse[k]!.at, DIFFUSE_COLUMNS, depth, mean))
    }
    return Math.log(Math.max(1e-300, sum))
  }

  /** One column of the light at an optical depth, 0 or more; below the table the last slope goes on. */
  value(opticalDepth: number, column: number): number {
    const { tau } = this.table
    const [d] = locate(tau, opticalDepth)
    const nodes = (this.nodes[column] ??= unknown(tau.length))
    // Worked out when first asked for: few are asked for far from where the lure is.
    if (Number.isNaN(nodes[d]!)) nodes[d] = this.node(d, column)
    if (Number.isNaN(nodes[d + 1]!)) nodes[d + 1] = this.node(d + 1, column)
    const t = Math.max(0, (opticalDepth - tau[d]!) / (tau[d + 1]! - tau[d]!))
    return Math.exp((1 - t) * nodes[d]! + t * nodes[d + 1]!)
  }

  /** All of the light at an optical depth into `out`, by `COLUMN`. */
  at(opticalDepth: number, out: Float64Array): void {
    for (let c = 0; c < BEAM_COLUMNS; c++) out[c] = this.value(opticalDepth, c)
  }
}
