import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { LureId } from '#core/lure/types'
import { handFor } from '~/screen/worker'
import { workerHand } from '~/screen/workerHand'
import type { RigAsk, RigOrder } from './work'

const makeWorker = () => handFor<RigAsk, RigOrder>('rig')

/** The rankings of the lures on the rods, each worked out once for what is asked now. */
export function useRigOrders(
  asks: () => readonly RigAsk[],
  makeHand: () => ReturnType<typeof makeWorker> = makeWorker,
) {
  const orders = shallowRef<Partial<Record<LureId, RigOrder>>>({})
  const failed = ref(false)
  const { work, end } = workerHand(makeHand, async (ask: RigAsk) => (await import('./work')).workRig(ask))
  const known = new Map<string, RigOrder>()
  let newest = 0

  async function ask(): Promise<void> {
    const mine = ++newest
    failed.value = false
    try {
      for (const one of asks()) {
        const key = JSON.stringify(one)
        const order = known.get(key) ?? (await work(one))
        if (mine !== newest) return
        known.set(key, order)
        orders.value = { ...orders.value, [order.lure]: order }
      }
    } catch {
      if (mine === newest) failed.value = true
    }
  }
  watch(asks, () => void ask(), { immediate: true })
  onScopeDispose(() => {
    newest++
    end()
  })
  return { orders, failed }
}
