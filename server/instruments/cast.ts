import type { LightSample } from '#shared/instruments'

/** Samples of one lowering that are given on, and the least depth between two of them, m. */
const MOST = 40
const APART_M = 0.05
/** A lowering begins above this depth, m. */
const SURFACE_M = 0.3

/**
 * A light meter let down on a cord and drawn up again: its last lowering is kept, sample by sample, each deeper than
 * the one before.
 */
export function castKeeper() {
  let kept: LightSample[] | null = null
  /** The lowering under way; nothing while the meter is drawn up. */
  let going: LightSample[] = []
  return {
    add(s: LightSample): void {
      const last = going.at(-1)
      if (last && s.depthM >= last.depthM + APART_M) {
        if (going.length < MOST) going = [...going, s]
        // Two depths are the least that tells anything.
        kept = going
      } else if (s.depthM <= SURFACE_M) going = [s]
      else if (last && s.depthM < last.depthM - APART_M) going = []
    },
    now: (): LightSample[] | null => kept,
  }
}
