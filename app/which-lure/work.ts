import { type LuresAnswer, luresHere } from '#core/which-lure/answer'
import { type PairLine, pairLinesOf } from '#core/which-lure/pairLines'
import type { LuresRequest } from '#core/which-lure/request'
import { withLightTable } from '~/screen/lightTable'

/** Which lure here, or where the pairs turn. */
export interface LuresAsk {
  kind: 'here' | 'lines'
  request: LuresRequest
}
export type LuresResult = LuresAnswer | PairLine[]

/** The work of the page that tells which lure, in a worker or, where none is to be had, on the page. */
export async function workLures({ kind, request }: LuresAsk): Promise<LuresResult> {
  await withLightTable()
  return kind === 'here' ? luresHere(request) : pairLinesOf(request)
}
