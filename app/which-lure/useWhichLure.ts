import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { LuresAnswer } from '#core/which-lure/answer'
import type { PairLine } from '#core/which-lure/pairLines'
import type { LuresRequest } from '#core/which-lure/request'
import { newestOnly } from '~/common/newestOnly'
import { luresClient } from './luresClient'

/** Which lure here, worked out anew whenever what is asked changes; the answer before stays until the next is there. */
export function useWhichLure(request: () => LuresRequest, makeClient = luresClient) {
  const answer = shallowRef<LuresAnswer | null>(null)
  const lines = shallowRef<PairLine[]>([])
  const working = ref(false)
  const failed = ref(false)
  const { api, end } = makeClient()
  const { begin, drop } = newestOnly()

  async function ask(): Promise<void> {
    const stale = begin()
    const asked = request()
    working.value = true
    failed.value = false
    try {
      const here = await api.here(asked)
      if (stale()) return
      answer.value = here
      const turning = await api.lines(asked)
      if (!stale()) lines.value = turning
    } catch {
      if (!stale()) failed.value = true
    }
    if (!stale()) working.value = false
  }
  watch(request, () => void ask(), { immediate: true })
  onScopeDispose(() => {
    drop()
    end()
  })
  return { answer, lines, working, failed, ask }
}
