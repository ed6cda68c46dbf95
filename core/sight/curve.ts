import type { Finish } from '#core/lure/finish'
import type { Side } from '#core/lure/types'
import { lightnessMeter, lightnessThreshold, resolved } from '#core/sight/contrast'
import { lightOfPart } from '#core/sight/look'
import { radianceOf } from '#core/sight/radiance'
import type { Scene } from '#core/sight/scene'
import { BANDS } from '#core/spectrum/grid'

/**
 * Lightness contrast of a finish against the water over distance: the strongest part's (Weber, negative is darker),
 * and the threshold.
 */
export interface ContrastCurve {
  rangesM: number[]
  contrast: number[]
  threshold: number
}

export function contrastCurve(scene: Scene, side: Side, finish: Finish, rangesM: readonly number[]): ContrastCurve {
  const view = scene.stage.views[side]
  const measure = lightnessMeter(view)
  const parts = finish.parts
    .filter(p => p.share > 0 && lightOfPart(scene.stage, side, p.part).shows > 0)
    .map(p => {
      const delta = new Float64Array(BANDS)
      radianceOf(delta, p.optics, lightOfPart(scene.stage, side, p.part), view.near)
      for (let i = 0; i < BANDS; i++) delta[i]! -= view.near[i]!
      return { delta, size2: (p.mm / 1000) ** 2 }
    })
  const contrast = rangesM.map(r => {
    const blur2 = (r * scene.eye.acuityRad) ** 2
    const each = parts.map(({ delta, size2 }) => measure(delta, r) * resolved(size2, blur2))
    return each.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0)
  })
  return { rangesM: [...rangesM], contrast, threshold: lightnessThreshold(view) }
}
