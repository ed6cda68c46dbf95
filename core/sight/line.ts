import { coatOptics, parseCoat } from '#core/paintwork/coat'
import { blurM, lightnessMeter } from '#core/sight/contrast'
import { wayOf } from '#core/sight/look'
import { standsOff } from '#core/sight/radiance'
import type { Scene } from '#core/sight/scene'
import { RANGE_STEPS } from '#core/sight/view'
import { BANDS } from '#core/spectrum/grid'

export interface Line {
  words: string
  coat: string
  mm: number
}

/**
 * Lines in common use: a thin round braid in its colours, and clear monofilament or fluorocarbon. Widths for about 6
 * kg.
 */
export const LINES = {
  'green-braid': { words: 'green braid', coat: 'grass', mm: 0.24 },
  'yellow-braid': { words: 'yellow braid', coat: 'yellow:fluorescent', mm: 0.24 },
  'red-braid': { words: 'red braid', coat: 'red', mm: 0.24 },
  'leader': { words: 'clear leader', coat: 'clear', mm: 0.33 },
} as const satisfies Record<string, Line>
export type LineId = keyof typeof LINES

/** The nearest distance searched, m, and steps from there to the farthest of the view, even in the logarithm. */
const NEAR_M = 0.01
const STEPS = 40

/**
 * How far off a line shows beside the lure, level, m. A line is long but thinner than the eye resolves: it keeps w/(w
 * + r α) of its contrast, where a spot would keep the square of that; lightness only, since colour needs breadth.
 */
export function lineSightM(scene: Scene, id: LineId): number {
  const { coat, mm } = LINES[id]
  const { view } = wayOf(scene.stage, 'level')
  const measure = lightnessMeter(view)
  const delta = new Float64Array(BANDS)
  // No line is a mirror: what it might show of one does not matter.
  standsOff(delta, coatOptics(parseCoat(coat)), { irradiance: scene.field.eSide.mean, image: view.near }, view.near)
  const width = mm / 1000
  const farthestM = view.rangesM[RANGE_STEPS - 1]!
  /** Logarithm of how many times the threshold it stands out at a distance. */
  const stands = (r: number) => {
    const { contrast, adapted } = measure(delta, r)
    const kept = width / (width + blurM(scene.eye, adapted, r))
    return Math.log(Math.max(1e-9, (Math.abs(contrast) * kept) / adapted.light))
  }
  const at = (k: number) => NEAR_M * (farthestM / NEAR_M) ** (k / STEPS)
  let beyond = stands(farthestM)
  if (beyond >= 0) return farthestM
  for (let k = STEPS - 1; k >= 0; k--) {
    const here = stands(at(k))
    // Between the two it goes nearly straight by the logarithm of the distance.
    if (here >= 0) return at(k + here / (here - beyond))
    beyond = here
  }
  return NEAR_M
}
