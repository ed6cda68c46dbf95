import type { Finish } from '#core/lure/finish'
import type { Side } from '#core/lure/types'
import { blurM, lightnessMeter, resolved } from '#core/sight/contrast'
import { lightOfPart, wayOf } from '#core/sight/look'
import { standsOff } from '#core/sight/radiance'
import type { Scene } from '#core/sight/scene'
import { BANDS } from '#core/spectrum/grid'

/**
 * Lightness contrast of a finish against the water over distance: the strongest part's (Weber, negative is darker),
 * and the threshold, which may change with the distance where the fish is deeper or shallower than the lure.
 */
export interface ContrastCurve {
  rangesM: number[]
  contrast: number[]
  threshold: number[]
}

export function contrastCurve(scene: Scene, side: Side, finish: Finish, rangesM: readonly number[]): ContrastCurve {
  const way = wayOf(scene.stage, side)
  const { view } = way
  const measure = lightnessMeter(view)
  const parts = finish.parts
    .filter(p => p.share > 0 && lightOfPart(way, p.part).shows > 0)
    .map(p => {
      const delta = new Float64Array(BANDS)
      standsOff(delta, p.optics, lightOfPart(way, p.part), view.near)
      return { delta, areaM2: p.areaM2 * lightOfPart(way, p.part).shows }
    })
  const seen = rangesM.map(r => {
    const each = parts.map(({ delta, areaM2 }) => {
      const { contrast, adapted } = measure(delta, r)
      return { contrast: contrast * resolved(areaM2, blurM(scene.eye, adapted, r) ** 2), threshold: adapted.light }
    })
    return each.reduce((a, b) => (Math.abs(b.contrast) > Math.abs(a.contrast) ? b : a))
  })
  return {
    rangesM: [...rangesM],
    contrast: seen.map(s => s.contrast),
    threshold: seen.map(s => s.threshold),
  }
}
