import type { Layer } from './types'

/** Small repeatable scatter for drawings; not for anything that counts. */
export function scatter(seed: number): () => number {
  let s = seed
  return () => (s = (s * 16807) % 2147483647) / 2147483647
}

interface Strand {
  d: string
  at: number
}
const cache = new Map<Layer, Strand[]>()

/**
 * Curves of a strands layer; `at` 0-1 says which share of the colours a strand falls to, spread evenly over the fan.
 */
function strandsOf(layer: Layer & { kind: 'strands' }): Strand[] {
  let out = cache.get(layer)
  if (out) return out
  const r = scatter(layer.seed)
  const { x, y, len, spread, n, droop, root } = layer
  out = Array.from({ length: n }, (_, i) => {
    const t = i / (n - 1) - 0.5
    const l = len * (0.8 + r() * 0.3)
    const ey = y + t * spread + droop + (r() - 0.5) * 7
    const sy = y + t * root
    const points = [
      [x + l * 0.3, sy + t * spread * 0.62],
      [x + l * 0.68, ey - 7 * (r() - 0.35)],
      [x + l, ey],
    ]
    return {
      d: `M${x} ${sy.toFixed(1)}C${points.map(p => p.map(v => v.toFixed(1)).join(' ')).join(' ')}`,
      at: (i * 0.618034) % 1,
    }
  })
  cache.set(layer, out)
  return out
}

/** Paths of a strands layer for a list of colour shares (of 1; what they leave goes to the base, which comes first). */
export function bundles(layer: Layer & { kind: 'strands' }, covers: readonly number[]): string[] {
  const edges = covers.reduce<number[]>((sum, c) => [...sum, (sum.at(-1) ?? 0) + c], [])
  const out = new Array<string>(covers.length + 1).fill('')
  for (const s of strandsOf(layer)) {
    const k = edges.findIndex(e => s.at < e)
    out[k + 1] += s.d
  }
  return out
}

/** Specks within a box as one path: flake, small turned rectangles. */
export function specks(
  count: number,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
  seed: number,
): string {
  const r = scatter(seed)
  let d = ''
  for (let i = 0; i < count; i++) {
    const x = x0 + r() * (x1 - x0)
    const y = y0 + r() * (y1 - y0)
    const w = 0.9 + r() * 1.2
    const turn = (r() * Math.PI) / 2
    const [cx, cy, sx, sy] = [
      1.7 * w * Math.cos(turn),
      1.7 * w * Math.sin(turn),
      -w * Math.sin(turn),
      w * Math.cos(turn),
    ]
    d += `M${x.toFixed(1)} ${y.toFixed(1)}l${cx.toFixed(1)} ${cy.toFixed(1)}
      l${sx.toFixed(1)} ${sy.toFixed(1)}l${(-cx).toFixed(1)} ${(-cy).toFixed(1)}z`
  }
  return d
}

/** Blotches within a box as one path of turned ellipses. */
export function blotches(
  count: number,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
  seed: number,
): string {
  const r = scatter(seed)
  let d = ''
  for (let i = 0; i < count; i++) {
    const [x, y, q, turn] = [x0 + r() * (x1 - x0), y0 + r() * (y1 - y0), 2 + r() * 5, r() * 60 - 30]
    const [rx, ry, a] = [q * 1.3, q * 0.7, (turn * Math.PI) / 180]
    const [dx, dy] = [2 * rx * Math.cos(a), 2 * rx * Math.sin(a)]
    d += `M${(x - dx / 2).toFixed(1)} ${(y - dy / 2).toFixed(1)}
      a${rx.toFixed(1)} ${ry.toFixed(1)} ${turn.toFixed(0)} 1 0 ${dx.toFixed(1)} ${dy.toFixed(1)}
      a${rx.toFixed(1)} ${ry.toFixed(1)} ${turn.toFixed(0)} 1 0 ${(-dx).toFixed(1)} ${(-dy).toFixed(1)}`
  }
  return d
}
