import { wrap } from 'comlink'
import { onScopeDispose, shallowRef, watch } from 'vue'
import type { TwoTargetReading } from '#core/reading/twoTargets'
import type { TwoLures } from './twoLures'
import type { TwoLuresWorker } from './twoLures.worker'

/** What two lures tell of the water, worked out in a worker of its own, or on the page where workers are refused. */
export function useTwoLures(lures: () => TwoLures) {
  const reading = shallowRef<TwoTargetReading | null>(null)
  const failed = shallowRef(false)
  let worker: Worker | null = null
  let asked = 0

  const onPage = async (ask: TwoLures) => (await import('./twoLures')).workTwoLures(ask)
  function hand(): (ask: TwoLures) => Promise<TwoTargetReading> {
    try {
      worker ??= new Worker(new URL('./twoLures.worker.ts', import.meta.url), { type: 'module' })
    } catch {
      return onPage
    }
    const broken = new Promise<never>((_, reject) =>
      worker!.addEventListener('error', () => reject(new Error('broken'))),
    )
    const remote = wrap<TwoLuresWorker>(worker)
    return ask => Promise.race([remote.work(ask), broken]).catch(() => onPage(ask))
  }

  watch(
    lures,
    async ask => {
      const mine = ++asked
      try {
        const got = await hand()(ask)
        if (mine === asked) reading.value = got
        failed.value = false
      } catch {
        failed.value = true
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => worker?.terminate())
  return { reading, failed }
}
