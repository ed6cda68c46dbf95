import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { LureId } from '#core/lure/types'
import { engineWorker } from '~/common/engineWorker'
import { newestOnly } from '~/common/newestOnly'
import { workerClient } from '~/common/workerClient'
import type { RigAsk, RigOrder } from './work'

const rigClient = () =>
  workerClient(
    () => engineWorker('rig'),
    async () => (await import('./work')).rigApi,
  )

/** The rankings of the lures on the rods, each worked out once for what is asked now. */
export function useRigOrders(asks: () => readonly RigAsk[], makeClient = rigClient) {
  const orders = shallowRef<Partial<Record<LureId, RigOrder>>>({})
  const failed = ref(false)
  const { api, end } = makeClient()
  const { begin, drop } = newestOnly()
  const known = new Map<string, RigOrder>()

  async function ask(): Promise<void> {
    const stale = begin()
    failed.value = false
    try {
      for (const one of asks()) {
        const key = JSON.stringify(one)
        const order = known.get(key) ?? (await api.order(one))
        if (stale()) return
        known.set(key, order)
        orders.value = { ...orders.value, [order.lure]: order }
      }
    } catch {
      if (!stale()) failed.value = true
    }
  }
  watch(asks, () => void ask(), { immediate: true })
  onScopeDispose(() => {
    drop()
    end()
  })
  return { orders, failed }
}
