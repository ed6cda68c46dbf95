import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { LuresAnswer } from '#core/which-lure/answer'
import type { PairLine } from '#core/which-lure/pairLines'
import type { LuresRequest } from '#core/which-lure/request'
import { handFor } from '~/screen/worker'
import { workerHand } from '~/screen/workerHand'
import type { LuresAsk, LuresResult } from './work'

const makeWorker = () => handFor<LuresAsk, LuresResult>('lures')

/** Which lure here, worked out anew whenever what is asked changes; the answer before stays until the next is there. */
export function useWhichLure(request: () => LuresRequest, makeHand: () => ReturnType<typeof makeWorker> = makeWorker) {
  const answer = shallowRef<LuresAnswer | null>(null)
  const lines = shallowRef<PairLine[]>([])
  const working = ref(false)
  const failed = ref(false)
  const { work, end } = workerHand(makeHand, async (ask: LuresAsk) => (await import('./work')).workLures(ask))
  let newest = 0

  async function ask(): Promise<void> {
    const mine = ++newest
    const asked = request()
    working.value = true
    failed.value = false
    try {
      const here = (await work({ kind: 'here', request: asked })) as LuresAnswer
      if (mine !== newest) return
      answer.value = here
      const turning = (await work({ kind: 'lines', request: asked })) as PairLine[]
      if (mine === newest) lines.value = turning
    } catch {
      if (mine === newest) failed.value = true
    }
    if (mine === newest) working.value = false
  }
  watch(request, () => void ask(), { immediate: true })
  onScopeDispose(() => {
    newest++
    end()
  })
  return { answer, lines, working, failed, ask }
}
