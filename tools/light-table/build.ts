import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { TABLE_BEAM_MU, TABLE_G, TABLE_OMEGA, TABLE_TAU } from './grid'
import { type LightAt, type Source, solver } from './solver'

/** Sources in the order of the table: the beams, then the even sky. */
const SOURCES: Source[] = [...TABLE_BEAM_MU.map(mu => ({ kind: 'beam' as const, mu })), { kind: 'diffuse' }]

const short = (v: number) => String(Number(v.toPrecision(3)))

/** One row of the table: ln Ed, then the other quantities as shares of Ed. */
export function tableRow(l: LightAt): string {
  return [Math.log(l.ed).toFixed(3), ...[l.eu, l.e0, l.eSide, l.lh, l.lZen, l.lNad].map(v => short(v / l.ed))].join(' ')
}

/** The whole committed file as text; the same to the last digit at every run. */
export function tableFile(): string {
  const rows: string[] = []
  for (const g of TABLE_G) {
    for (const omega of TABLE_OMEGA) {
      const solve = solver(g, omega)
      for (const source of SOURCES) {
        const { at } = solve(source)
        for (const tau of TABLE_TAU) rows.push(tableRow(at(tau)))
      }
    }
  }
  return `/**
 * Light under water against optical depth, from the radiative transfer solver in tools/light-table
 * (\`npm run table\` rebuilds this file, the same to the last digit). Rows run over asymmetry g, albedo, source
 * (five beams, then even sky) and optical depth, the last fastest. Columns: ln Ed, then Eu, scalar E0, vertical-face
 * irradiance, level, upward-looking and downward-looking radiance (per steradian), each as a share of Ed.
 * Unit source: an irradiance of 1 let in by the surface. Three significant figures.
 */
export const LIGHT_TABLE = {
  g: [${TABLE_G.join(', ')}],
  omega: [${TABLE_OMEGA.join(', ')}],
  tau: [${TABLE_TAU.join(', ')}],
  beamMu: [${TABLE_BEAM_MU.join(', ')}],
  columns: 7,
  rows: \`
${rows.join('\n')}
\`,
}
`
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const target = new URL('../../core/data/lightTable.ts', import.meta.url)
  writeFileSync(target, tableFile())
  console.log(`wrote ${fileURLToPath(target)}`)
}
