import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { handFor } from '~/screen/worker'
import { workerHand } from '~/screen/workerHand'
import type { BenchAsk, BenchResult } from './work'

const makeWorker = () => handFor<BenchAsk, BenchResult>('bench')

/** Who works for the bench's parts, ended with the page. */
export function useBenchHand() {
  const { work, end } = workerHand(makeWorker, async (q: BenchAsk) => (await import('./work')).workBench(q))
  onScopeDispose(end)
  return work
}
export type BenchWork = ReturnType<typeof useBenchHand>

/** What one part of the bench shows for whatever is asked, the newest question standing; nothing where none is. */
export function useAnswerTo<R extends BenchResult>(work: BenchWork, ask: () => BenchAsk | null) {
  const told = shallowRef<R | null>(null)
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
        const got = q && ((await work(JSON.parse(JSON.stringify(q)) as BenchAsk)) as R)
        // What is older than the newest question is not shown.
        if (!again) told.value = got
        failed.value = false
      } catch {
        failed.value = true
      }
    }
    busy = false
  }
  watch(ask, () => void run(), { immediate: true })
  return { told, failed, run }
}
