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

const one = new Float64Array(BEAM_COLUMNS)
const two = new Float64Array(BEAM_COLUMNS)

/**
 * Light of a mixture of sources in water of one albedo and backscatter share, at any optical depth, from the light
 * table: logarithms, straight between grid points in optical depth, in sqrt(1 - albedo), in the logarithm of the
 * backscatter share and in the beam's angle (its secant for Ed; what a face turned to the sun gets is straight in the
 * angle itself). Nodes of the depth are worked out when first asked for. Errors against the solver are measured in
 * tools/light-table/table.test.ts and stated in docs/science/light.md.
 */
export class LightProfile {
  private readonly nodes: Float64Array
  private readonly known: Uint8Array
  /** The four blocks of the table round the water, and their weights; Ed has its own. */
  private readonly b0: number
  private readonly b1: number
  private readonly b2: number
  private readonly b3: number
  private readonly w0: number
  private readonly w1: number
  private readonly w2: number
  private readonly w3: number
  private readonly forEd: readonly number[]
  private readonly lnOmega: number
  private readonly beam: { index: number; inAngle: number; inSecant: number; weight: number } | null

  constructor(
    { omega, share }: Scatter,
    private readonly sources: Sources,
  ) {
    const { table, albedo, lnShare, secant, blockSize } = tableAxes()
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
    this.nodes = new Float64Array(table.tau.length * BEAM_COLUMNS)
    this.known = new Uint8Array(table.tau.length)
    this.beam = null
    if (sources.beam && sources.beam.weight > 0) {
      const { mu, weight } = sources.beam
      const [index, inAngle] = locate(table.beamDeg, (Math.acos(Math.min(1, mu)) * 180) / Math.PI)
      const between = (1 / mu - secant[index]!) / (secant[index + 1]! - secant[index]!)
      this.beam = { index, inAngle, inSecant: Math.min(1, Math.max(0, between)), weight }
    }
  }

  /**
   * Logarithms of one source at a depth's node into `out`: of Ed, and of the rest as shares of it.
   * @param offset of the source in a block
   */
  private source(out: Float64Array, offset: number, columns: number, depth: number): void {
    const { values } = tableAxes().table
    const { b0, b1, b2, b3, w0, w1, w2, w3, forEd } = this
    const at = offset + depth * columns
    const scattered = columns === BEAM_COLUMNS ? BEAM_PER_ALBEDO : DIFFUSE_PER_ALBEDO
    out[0] =
      forEd[0]! * values[b0 + at]! +
      forEd[1]! * values[b1 + at]! +
      forEd[2]! * values[b2 + at]! +
      forEd[3]! * values[b3 + at]!
    for (let c = 1; c < columns; c++) {
      const i = at + c
      out[c] =
        w0 * values[b0 + i]! +
        w1 * values[b1 + i]! +
        w2 * values[b2 + i]! +
        w3 * values[b3 + i]! +
        (scattered[c] ? this.lnOmega : 0)
    }
  }

  private node(depth: number): void {
    const { table } = tableAxes()
    const { beamDeg, diffuse, tau } = table
    const at = depth * BEAM_COLUMNS
    const { nodes, beam } = this
    if (beam) {
      const size = BEAM_COLUMNS * tau.length
      this.source(one, beam.index * size, BEAM_COLUMNS, depth)
      this.source(two, (beam.index + 1) * size, BEAM_COLUMNS, depth)
      const { inAngle: t, inSecant, weight } = beam
      const ed = weight * Math.exp((1 - inSecant) * one[0]! + inSecant * two[0]!)
      nodes[at] = ed
      for (let c = 1; c < BEAM_COLUMNS; c++) {
        nodes[at + c] =
          ed *
          (IN_ANGLE[c]
            ? (1 - t) * Math.exp(one[c]!) + t * Math.exp(two[c]!)
            : Math.exp((1 - t) * one[c]! + t * two[c]!))
      }
    }
    for (let k = 0; k < diffuse.length; k++) {
      const weight = this.sources[diffuse[k] as 'even' | 'overcast' | 'clear' | 'bed'] ?? 0
      if (weight <= 0) continue
      this.source(one, (beamDeg.length * BEAM_COLUMNS + k * DIFFUSE_COLUMNS) * tau.length, DIFFUSE_COLUMNS, depth)
      const ed = weight * Math.exp(one[0]!)
      one[0] = ed
      for (let c = 1; c < DIFFUSE_COLUMNS; c++) one[c] = ed * Math.exp(one[c]!)
      for (let c = 0; c < BEAM_COLUMNS; c++) nodes[at + c]! += one[MEAN_OF[c]!]!
    }
    // Kept as logarithms: along the depth light falls off by them.
    for (let c = 0; c < BEAM_COLUMNS; c++) nodes[at + c] = Math.log(Math.max(1e-300, nodes[at + c]!))
    this.known[depth] = 1
  }

  /** One column of the light at an optical depth, 0 or more; below the table the last slope goes on. */
  value(opticalDepth: number, column: number): number {
    const { tau } = tableAxes().table
    const [d] = locate(tau, opticalDepth)
    if (!this.known[d]) this.node(d)
    if (!this.known[d + 1]) this.node(d + 1)
    const t = Math.max(0, (opticalDepth - tau[d]!) / (tau[d + 1]! - tau[d]!))
    const a = d * BEAM_COLUMNS + column
    return Math.exp((1 - t) * this.nodes[a]! + t * this.nodes[a + BEAM_COLUMNS]!)
  }

  /** All of the light at an optical depth into `out`, by `COLUMN`. */
  at(opticalDepth: number, out: Float64Array): void {
    for (let c = 0; c < BEAM_COLUMNS; c++) out[c] = this.value(opticalDepth, c)
  }
}
