import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import {
  BEAM_COLUMNS,
  DIFFUSE_COLUMNS,
  type LightTable,
  PER_ALBEDO,
  blockSize,
  packTable,
} from '#core/light-field/table'
import { TABLE_BEAM_DEG, TABLE_DIFFUSE, TABLE_OMEGA, TABLE_PHASES, TABLE_SOURCES, TABLE_TAU } from './grid'
import { type Phase, backOf } from './phase'
import { type LightAt, solver } from './solver'

export const TABLE_FILE = new URL('../../core/data/light.table', import.meta.url)
const PROVENANCE =
  'Discrete ordinates, 64 streams, 12 azimuth modes, refractive index 1.34: tools/light-table/solver.ts'
/** The albedo solved for where the axis says none: what is scattered is kept as a share of the albedo. */
const LEAST_OMEGA = 1e-3

const AXES: Omit<LightTable, 'values'> = {
  shares: TABLE_PHASES.map(backOf),
  omega: TABLE_OMEGA,
  tau: TABLE_TAU,
  beamDeg: TABLE_BEAM_DEG,
  diffuse: TABLE_DIFFUSE,
}

function columnsOf(l: LightAt, count: number): number[] {
  const { eSide, lh } = l
  return [
    l.ed,
    l.eu,
    l.e0,
    eSide.mean,
    lh.mean,
    l.lZen,
    l.lNad,
    eSide.toward,
    eSide.across,
    eSide.away,
    lh.toward,
    lh.across,
    lh.away,
  ].slice(0, count)
}

/** One block of the table: all sources, columns and depths at one phase function and albedo. */
export function tableBlock(phase: Phase, omega: number): Float32Array {
  const solved = Math.max(LEAST_OMEGA, omega)
  const solve = solver(phase, solved)
  const block = new Float32Array(blockSize(AXES))
  const depths = TABLE_TAU.length
  let at = 0
  for (const source of TABLE_SOURCES) {
    const beam = source.kind === 'beam'
    const columns = beam ? BEAM_COLUMNS : DIFFUSE_COLUMNS
    const perAlbedo = beam ? PER_ALBEDO.beam : PER_ALBEDO.diffuse
    const { at: light } = solve(source)
    TABLE_TAU.forEach((tau, d) => {
      const l = light(tau)
      columnsOf(l, columns).forEach((v, c) => {
        const share = c === 0 ? v : v / l.ed / (perAlbedo.includes(c) ? solved : 1)
        block[at + d * columns + c] = Math.log(Math.max(1e-12, share))
      })
    })
    at += columns * depths
  }
  return block
}

/** The whole committed file; the same to the last byte at every run. */
export function tableFile(progress: (done: number) => void = () => {}): Uint8Array {
  const size = blockSize(AXES)
  const values = new Float32Array(TABLE_PHASES.length * TABLE_OMEGA.length * size)
  TABLE_PHASES.forEach((phase, p) =>
    TABLE_OMEGA.forEach((omega, o) => {
      const block = p * TABLE_OMEGA.length + o
      values.set(tableBlock(phase, omega), block * size)
      progress((block + 1) / TABLE_PHASES.length / TABLE_OMEGA.length)
    }),
  )
  return packTable({ ...AXES, values }, PROVENANCE)
}

/** `npm run table` writes the file; with `-- check` it is made afresh and compared. */
if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const made = tableFile(done => process.stderr.write(`\r${Math.round(100 * done)} %`))
  process.stderr.write('\n')
  if (process.argv[2] === 'check') {
    const same = Buffer.from(made).equals(readFileSync(TABLE_FILE))
    console.log(same ? 'the committed table is what the solver makes' : 'the committed table DIFFERS')
    process.exit(same ? 0 : 1)
  }
  writeFileSync(TABLE_FILE, made)
  console.log(`wrote ${made.length} bytes`)
}
