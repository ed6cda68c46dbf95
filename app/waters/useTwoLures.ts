import { wrap } from 'comlink'
import { onScopeDispose, shallowRef, watch } from 'vue'
import type { TwoTargetReading } from '#core/reading/twoTargets'
import { handOf } from '~/screen/worker'
import { workerHand } from '~/screen/workerHand'
import type { TwoLures } from './twoLures'
import type { TwoLuresWorker } from './twoLures.worker'

/** A worker that tries waters. Throws where workers are refused. */
function makeWorker() {
  const worker = new Worker(new URL('./twoLures.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<TwoLuresWorker>(worker)
  return handOf<TwoLures, TwoTargetReading>(worker, ask => remote.work(ask))
}

/** What two lures tell of the water, worked out in a worker of its own, or on the page where workers are refused. */
export function useTwoLures(lures: () => TwoLures) {
  const reading = shallowRef<TwoTargetReading | null>(null)
  const failed = shallowRef(false)
  const { work, end } = workerHand(makeWorker, async ask => (await import('./twoLures')).workTwoLures(ask))
  let asked = 0

  watch(
    lures,
    async ask => {
      const mine = ++asked
      try {
        const got = await work(ask)
        if (mine === asked) reading.value = got
        failed.value = false
      } catch {
        failed.value = true
      }
    },
    { immediate: true },
  )
  onScopeDispose(end)
  return { reading, failed }
}
