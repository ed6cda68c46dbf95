import type { Part } from '#core/paintwork/parts'

/**
 * A lure drawn from data: box 240 x 120, head to the left, back upwards. Layers are painted in order; each takes its
 * colour from the part it names, so one component draws every lure in every finish.
 */
export type Layer =
  /**
   * A body whose back, flank, belly, chin, head and tail are bands of one outline. `box` is x0 y0 x1 y1, `mid` the
   * height of the side line.
   */
  | { kind: 'body'; d: string; box: readonly [number, number, number, number]; mid: number; rings?: boolean }
  /** A part with an outline of its own. */
  | { kind: 'shape'; part: Part; d: string }
  /** Strands of skirt, legs, hair, tentacles or feather. */
  | {
      kind: 'strands'
      part: Part
      x: number
      y: number
      len: number
      spread: number
      n: number
      droop: number
      root: number
      seed: number
    }
  | { kind: 'treble'; x: number; y: number; s: number; rot: number }
  | { kind: 'hook'; d: string }
  /** Wire, line tie and other ink. */
  | { kind: 'wire'; d: string }
  | { kind: 'ring'; x: number; y: number; r: number }
  /** Fine lines only seen in the hand. */
  | { kind: 'detail'; d: string }
  | { kind: 'eye'; x: number; y: number; r: number }

export interface Figure {
  layers: readonly Layer[]
  /** Where a leader line may touch each part. */
  at: Partial<Record<Part, readonly [number, number]>>
}
