import { luresHere } from '#core/which-lure/answer'
import { pairLinesOf } from '#core/which-lure/pairLines'
import { withLight } from '~/common/withLight'

/** What the worker that tells which lure offers: the lures here, and where the pairs turn. */
export const luresApi = { here: withLight(luresHere), lines: withLight(pairLinesOf) }
