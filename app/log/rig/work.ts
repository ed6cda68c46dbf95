import { type OwnLure, ownFinishes } from '#core/box/own'
import type { Lean } from '#core/ranking/judge'
import type { RodOut } from '#core/ranking/answer'
import { rank, restOfAnswer } from '#core/ranking/recommend'
import type { Request } from '#core/request/request'
import { looksOf } from '#core/sight/likeness'
import { withLight } from '~/common/withLight'

/** What the rods are rigged by: the ranking of one lure now. */
export interface RigAsk {
  request: Request
  own: readonly OwnLure[]
  lean: Lean
}
export interface RigOrder {
  lure: Request['lure']
  /** Every finish, best first; scores of 100. */
  order: { finishId: string; points: number }[]
  /** Groups that the fish cannot tell apart. */
  looks: string[][]
  rotation: RodOut[]
  /** One sentence on the line, and cautions. */
  line: string
  cautions: string[]
}

function order({ request, own, lean }: RigAsk): RigOrder {
  const worked = rank(request, ownFinishes(own), lean)
  const { rotation, advisories } = restOfAnswer(worked)
  const said = (kind: string) => advisories.filter(a => a.kind === kind).map(a => a.text)
  return {
    lure: request.lure,
    order: worked.ranked.map(j => ({ finishId: j.finish.id, points: Math.round(100 * j.score) })),
    looks: looksOf(worked.ranked).map(group => group.map(m => m.finish.id)),
    rotation,
    line: said('line')[0] ?? '',
    cautions: said('safety'),
  }
}

/** What the rods' worker offers: every finish of a lure in its order. */
export const rigApi = { order: withLight(order) }
