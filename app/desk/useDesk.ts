import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Reading } from '#core/request/readings'
import type { Request } from '#core/request/request'
import { handFor } from '~/screen/worker'
import { workerHand } from '~/screen/workerHand'
import { surenessOf } from './sureness'
import type { FirstIn } from '#core/ranking/byReadings'
import type { DeskAnswer, DeskAsk, DeskResult } from './work'

/** Waters ranked between two looks at whether something newer was asked. */
const AT_ONCE = 6

const makeWorker = () => handFor<DeskAsk, DeskResult>('desk')

/**
 * What the readings tell of the water, and how far the pick hangs on it: worked out in a worker of its own, the newest
 * question first, a few waters at a time.
 * @param ask the readings, and the request whose water they tell of
 */
export function useDesk(ask: () => { readings: readonly Reading[]; request: Request; pick: string | null }) {
  const told = shallowRef<DeskAnswer | null>(null)
  const firsts = shallowRef<FirstIn[]>([])
  const failed = ref(false)
  const busy = ref(false)
  const { work, end } = workerHand(makeWorker, async (q: DeskAsk) => (await import('./work')).workDesk(q))
  let newest = 0

  watch(
    ask,
    async ({ readings, request }) => {
      const mine = ++newest
      const stale = () => mine !== newest
      if (!readings.length) {
        told.value = null
        firsts.value = []
        return
      }
      busy.value = true
      try {
        const { salinity = 'fresh' } = request.water
        const units = request.units ?? 'metric'
        const got = (await work({ kind: 'read', readings, salt: salinity === 'salt', units })) as DeskAnswer
        if (stale()) return
        told.value = got
        failed.value = false
        firsts.value = []
        for (let i = 0; i < got.allowed.length && !stale(); i += AT_ONCE) {
          const waters = got.allowed.slice(i, i + AT_ONCE)
          const some = (await work({ kind: 'firsts', request, waters })) as FirstIn[]
          if (!stale()) firsts.value = [...firsts.value, ...some]
        }
      } catch {
        if (!stale()) failed.value = true
      } finally {
        if (!stale()) busy.value = false
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    newest++
    end()
  })
  const progress = computed(() => (told.value ? firsts.value.length / told.value.allowed.length : 0))
  const sureness = computed(() => {
    const { pick } = ask()
    return pick && firsts.value.length ? surenessOf(pick, firsts.value) : null
  })
  return { told, failed, busy, progress, sureness }
}
