/** A map of things by how far apart they are. */
export interface ThingMap {
  points: [x: number, y: number][]
  /** Kruskal's stress-1 of the map: 0 keeps every distance; 0.1 is fair, 0.2 poor (Kruskal 1964, Psychometrika 29). */
  stress: number
}

const ROUNDS = 300
const POWER_ROUNDS = 120
/** A round that lowers the stress by less than this share ends it. */
const SETTLED = 1e-7

/** The leading direction of a symmetric matrix with its value, by power iteration from a fixed start. */
function leading(m: readonly (readonly number[])[]): { value: number; vector: number[] } {
  let v = m.map((_, i) => 1 + ((i * 7919) % 101) / 101)
  let value = 0
  for (let k = 0; k < POWER_ROUNDS; k++) {
    const next = m.map(row => row.reduce((s, x, j) => s + x * v[j]!, 0))
    value = Math.hypot(...next)
    if (value === 0) return { value: 0, vector: v.map(() => 0) }
    v = next.map(x => x / value)
  }
  return { value, vector: v }
}

/** Classical scaling: the two leading directions of the doubly centred squares (Torgerson 1952). */
function begin(apart: readonly (readonly number[])[]): [number, number][] {
  const n = apart.length
  const squares = apart.map(row => row.map(d => d * d))
  const rows = squares.map(row => row.reduce((s, d) => s + d, 0) / n)
  const all = rows.reduce((s, d) => s + d, 0) / n
  const centred = squares.map((row, i) => row.map((d, j) => -0.5 * (d - rows[i]! - rows[j]! + all)))
  const first = leading(centred)
  const rest = centred.map((row, i) => row.map((d, j) => d - first.value * first.vector[i]! * first.vector[j]!))
  const second = leading(rest)
  return centred.map((_, i) => [
    Math.sqrt(Math.max(0, first.value)) * first.vector[i]!,
    Math.sqrt(Math.max(0, second.value)) * second.vector[i]!,
  ])
}

const between = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]) =>
  Math.hypot(ax - bx, ay - by)

function stressOf(points: readonly [number, number][], apart: readonly (readonly number[])[]): number {
  let off = 0
  let all = 0
  for (let i = 0; i < points.length; i++)
    for (let j = 0; j < i; j++) {
      off += (between(points[i]!, points[j]!) - apart[i]![j]!) ** 2
      all += apart[i]![j]! ** 2
    }
  return all > 0 ? Math.sqrt(off / all) : 0
}

/**
 * Lay things out so that distances on the map are as near as can be to how far apart they are: classical scaling, then
 * majorisation, each round of which lowers the stress (SMACOF; de Leeuw & Mair 2009, J. Stat. Softw. 31(3)).
 * @param apart symmetric, 0 on the diagonal
 */
export function mapOf(apart: readonly (readonly number[])[]): ThingMap {
  const n = apart.length
  if (n < 2) return { points: apart.map(() => [0, 0]), stress: 0 }
  let points = begin(apart)
  let stress = stressOf(points, apart)
  for (let round = 0; round < ROUNDS; round++) {
    const next = points.map((p, i): [number, number] => {
      let [x, y] = [0, 0]
      points.forEach((q, j) => {
        const d = between(p, q)
        const k = d > 1e-12 ? apart[i]![j]! / d : 0
        x += k * (p[0] - q[0])
        y += k * (p[1] - q[1])
      })
      return [x / n, y / n]
    })
    const now = stressOf(next, apart)
    if (now > stress * (1 - SETTLED)) break
    points = next
    stress = now
  }
  return { points, stress }
}
