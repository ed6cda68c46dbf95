import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { engineWorker } from '~/common/engineWorker'
import { workerClient } from '~/common/workerClient'

/** The bench's worker, ended with the page. */
export function useBenchApi() {
  const { api, end } = workerClient(
    () => engineWorker('bench'),
    async () => (await import('./work')).benchApi,
  )
  onScopeDispose(end)
  return api
}
export type BenchApi = ReturnType<typeof useBenchApi>

/** What one part of the bench shows for whatever is asked, the newest question standing; nothing where none is. */
export function useAnswerTo<Ask, Answer>(work: (ask: Ask) => Promise<Answer>, ask: () => Ask | null) {
  const answer = shallowRef<Answer | null>(null)
  const failed = ref(false)
  let busy = false
  let again = false
  async function run(): Promise<void> {
    again = true
    if (busy) return
    busy = true
    while (again) {
      again = false
      const q = ask()
      try {
        const got = q && (await work(q))
        // What is older than the newest question is not shown.
        if (!again) answer.value = got
        failed.value = false
      } catch {
        failed.value = true
      }
    }
    busy = false
  }
  watch(ask, () => void run(), { immediate: true })
  return { answer, failed, run }
}
