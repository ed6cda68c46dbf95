import type { Reading } from '#core/request/readings'

/**
 * Samples of light worked at in all the casts together: each takes some 6 ms, and what a 49th tells beside 48 is less
 * than a cloud's flicker hides. Ours.
 */
const MOST_SAMPLES = 48
/** A fall needs two ends. */
const LEAST_OF_ONE = 2

/** A cast of which some samples alone are worked at: which reading it is, how many, and of how many. */
export interface Thinned {
  index: number
  kept: number
  of: number
}

/** Every so many of a list: its first and its last, and evenly between. */
function evenly<T>(list: readonly T[], count: number): T[] {
  return Array.from({ length: count }, (_, i) => list[Math.round((i * (list.length - 1)) / (count - 1))]!)
}

/**
 * Readings with long casts of a light meter thinned to what matters: the shallowest and the deepest sample, and evenly
 * in their order of depth between. Casts that are short leave their room to the long ones.
 */
export function thinned(readings: readonly Reading[]): { readings: Reading[]; thinned: Thinned[] } {
  const sizes = readings.map(r => (r.kind === 'light' ? r.samples.length : 0))
  let room = MOST_SAMPLES
  let casts = sizes.filter(n => n > 0).length
  const kept = new Map<number, number>()
  for (const index of [...sizes.keys()].filter(i => sizes[i]! > 0).sort((a, b) => sizes[a]! - sizes[b]!)) {
    const most = Math.max(LEAST_OF_ONE, Math.floor(room / casts--))
    kept.set(index, Math.min(sizes[index]!, most))
    room -= kept.get(index)!
  }
  const out = readings.map((r, index): Reading => {
    if (r.kind !== 'light' || kept.get(index) === r.samples.length) return r
    const byDepth = [...r.samples].sort((a, b) => a.depthM - b.depthM)
    return { ...r, samples: evenly(byDepth, kept.get(index)!) }
  })
  return {
    readings: out,
    thinned: [...kept].filter(([i, n]) => n < sizes[i]!).map(([index, n]) => ({ index, kept: n, of: sizes[index]! })),
  }
}
