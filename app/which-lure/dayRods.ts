import { type LureId, lureType } from '#core/lure/types'
import type { LuresAnswer } from '#core/which-lure/answer'
import type { LuresRequest } from '#core/which-lure/request'
import { atTime } from '~/reading/reading'
import { luresClient } from './luresClient'
import { ownedFirst } from './rows'

/** Lures taken of each hour, and of all together. */
const [OF_EACH, IN_ALL] = [2, 4] as const

/** The first lures of some hours, each once; owned ones before others. */
export function rodsFrom(answers: readonly LuresAnswer[], owned: ReadonlySet<LureId>): LureId[] {
  const out: LureId[] = []
  for (const { here } of answers) {
    const fresh = ownedFirst(here, owned).filter(h => !out.includes(h.lure))
    out.push(...fresh.slice(0, OF_EACH).map(h => h.lure))
  }
  return out.slice(0, IN_ALL)
}

/** The rods for a day on this water: what is best at its ends and in the middle of it. */
export async function dayRods(
  request: LuresRequest,
  hoursMs: readonly number[],
  owned: ReadonlySet<LureId>,
): Promise<LureId[]> {
  const { api, end } = luresClient()
  try {
    const answers: LuresAnswer[] = []
    for (const ms of hoursMs) answers.push(await api.here(atTime(request, ms)))
    return rodsFrom(answers, owned)
  } finally {
    end()
  }
}

/** Surface lures are fished in the bank's shade where there is one. */
export const placeOf = (lure: LureId, shade: boolean) =>
  shade && lureType(lure).surface ? ('shade' as const) : ('open' as const)
