import type { Layer } from './types'

/** Small repeatable scatter for drawings; not for anything that counts. */
export function scatter(seed: number): () => number {
  let s = seed
  return () => (s = (s * 16807) % 2147483647) / 2147483647
}

export interface Strand { d: string, width: number, at: number }

const cache = new Map<Layer, Strand[]>()

/** Curves of a strands layer; `at` 0-1 says which share of the colours a strand falls to, spread evenly over the fan. */
export function strandsOf(layer: Layer & { kind: 'strands' }): Strand[] {
  let out = cache.get(layer)
  if (out) return out
  const r = scatter(layer.seed)
  const { x, y, len, spread, n, droop, root } = layer
  out = Array.from({ length: n }, (_, i) => {
    const t = i / (n - 1) - 0.5
    const l = len * (0.8 + r() * 0.3)
    const ey = y + t * spread + droop + (r() - 0.5) * 7
    const sy = y + t * root
    const d = `M${x} ${sy.toFixed(1)}C${(x + l * 0.3).toFixed(1)} ${(sy + t * spread * 0.62).toFixed(1)} ${(x + l * 0.68).toFixed(1)} ${(ey - 7 * (r() - 0.35)).toFixed(1)} ${(x + l).toFixed(1)} ${ey.toFixed(1)}`
    return { d, width: 2.5 + r() * 1.2, at: (i * 0.618034) % 1 }
  })
  cache.set(layer, out)
  return out
}

/** Specks within a box: flake, as small turned rectangles. */
export function specks(count: number, [x0, y0, x1, y1]: readonly [number, number, number, number], seed: number): { x: number, y: number, w: number, turn: number }[] {
  const r = scatter(seed)
  return Array.from({ length: count }, () => ({ x: x0 + r() * (x1 - x0), y: y0 + r() * (y1 - y0), w: 0.9 + r() * 1.2, turn: Math.floor(r() * 90) }))
}
