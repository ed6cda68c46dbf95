import { LURE_IDS, type LureId } from '#core/lure/types'
import { gradesOf } from '#core/request/grades'
import { resolve } from '#core/request/resolve'
import { advisoriesOf } from '#core/rules/advisories'
import { holds } from '#core/rules/custom'
import { CUSTOMS } from '#core/rules/customs/all'
import type { Moment } from '#core/schools/school'
import { buildScene } from '#core/sight/scene'
import { SCENES } from './scenes'

/** A moment as rules look at it: they never compare finishes. */
function momentOf(name: string, lure: LureId): Moment {
  const conditions = resolve({ ...SCENES[name]!, lure })
  const scene = buildScene(conditions.scene)
  return { conditions, scene, grades: gradesOf(conditions, scene.sky), field: null as never }
}

/**
 * Customs that hold, with how strongly to two decimals, and codes of the advice given: "top-noon-bone 1.00, … |
 * sound.silent …".
 */
export function rulesOf(name: string): Record<string, string> {
  return Object.fromEntries(
    LURE_IDS.map(lure => {
      const moment = momentOf(name, lure)
      const held = CUSTOMS.map(c => ({ id: c.id, k: holds(c.when, moment) })).filter(c => c.k > 0)
      const customs = held.map(c => `${c.id} ${c.k.toFixed(2)}`).join(', ')
      const advice = advisoriesOf(moment).map(a => a.sentence.code)
      return [lure, `${customs} | ${advice.join(' ')}`]
    }),
  )
}
