import { coatOptics, parseCoat } from '#core/finish/coat'
import type { Scene } from '#core/sight/scene'
import { BANDS } from '#core/spectrum/grid'

export interface Line { words: string, coat: string, mm: number }

/** Lines in common use: a thin round braid in its colours, and clear monofilament or fluorocarbon. Widths for about 6 kg. */
export const LINES = {
  'green-braid': { words: 'green braid', coat: 'grass', mm: 0.24 },
  'yellow-braid': { words: 'yellow braid', coat: 'yellow:fluorescent', mm: 0.24 },
  'red-braid': { words: 'red braid', coat: 'red', mm: 0.24 },
  'leader': { words: 'clear leader', coat: 'clear', mm: 0.33 },
} as const satisfies Record<string, Line>
export type LineId = keyof typeof LINES

/** The nearest and farthest distances searched, m. */
const NEAR_M = 0.01
const STEPS = 40

/**
 * How far off a line shows beside the lure, level, m. A line is long but thinner than the eye resolves: it keeps w/(w + r α) of its
 * contrast, where a spot would keep the square of that; lightness only, since colour needs breadth.
 */
export function lineSightM(scene: Scene, id: LineId): number {
  const { coat, mm } = LINES[id]
  const o = coatOptics(parseCoat(coat))
  const view = scene.stage.views.level
  const byCone = view.seen.cone <= view.seen.rod
  const receptor = byCone ? scene.eye.cones[scene.eye.cones.length - 1]! : scene.eye.rod
  const threshold = Math.min(view.seen.cone, view.seen.rod)
  let glow = 0
  if (o.glow) for (let i = 0; i < BANDS; i++) glow += o.glow.efficiency * o.glow.absorb[i]! * scene.field.eSide[i]! / Math.PI
  const farthest = view.rangesM[view.rangesM.length - 3]!
  for (let k = STEPS; k >= 0; k--) {
    const r = NEAR_M * (farthest / NEAR_M) ** (k / STEPS)
    let difference = 0
    let behind = 0
    for (let i = 0; i < BANDS; i++) {
      const fade = Math.exp(-view.loss[i]! * r)
      const radiance = o.reflect[i]! * scene.field.eSide[i]! / Math.PI + o.transmit[i]! * view.near[i]! + (o.glow ? glow * o.glow.emit[i]! : 0)
      difference += receptor[i]! * (radiance - view.near[i]!) * fade
      behind += receptor[i]! * (view.far[i]! + (view.near[i]! - view.far[i]!) * fade)
    }
    const width = mm / 1000
    if (Math.abs(difference / behind) * width / (width + r * scene.eye.acuityRad) >= threshold) return r
  }
  return NEAR_M
}
