import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Reading } from '#core/request/readings'
import type { Request } from '#core/request/request'
import { engineWorker } from '~/common/engineWorker'
import { newestOnly } from '~/common/newestOnly'
import { workerClient } from '~/common/workerClient'
import { surenessOf } from './sureness'
import type { FirstIn } from '#core/ranking/byReadings'
import type { DeskAnswer } from './work'

/** Waters ranked between two looks at whether something newer was asked. */
const AT_ONCE = 6

/**
 * What the readings tell of the water, and how far the pick hangs on it: worked out in a worker of its own, the newest
 * question first, a few waters at a time.
 * @param ask the readings, and the request whose water they tell of
 */
export function useDesk(ask: () => { readings: readonly Reading[]; request: Request; pick: string | null }) {
  const answer = shallowRef<DeskAnswer | null>(null)
  const firsts = shallowRef<FirstIn[]>([])
  const failed = ref(false)
  const busy = ref(false)
  const { api, end } = workerClient(
    () => engineWorker('desk'),
    async () => (await import('./work')).deskApi,
  )
  const { begin, drop } = newestOnly()

  watch(
    ask,
    async ({ readings, request }) => {
      const stale = begin()
      if (!readings.length) {
        answer.value = null
        firsts.value = []
        return
      }
      busy.value = true
      try {
        const { salinity = 'fresh' } = request.water
        const units = request.units ?? 'metric'
        const got = await api.read({ readings, salt: salinity === 'salt', units })
        if (stale()) return
        answer.value = got
        failed.value = false
        firsts.value = []
        for (let i = 0; i < got.allowed.length && !stale(); i += AT_ONCE) {
          const waters = got.allowed.slice(i, i + AT_ONCE)
          const some = await api.firsts({ request, waters })
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
    drop()
    end()
  })
  const progress = computed(() => (answer.value ? firsts.value.length / answer.value.allowed.length : 0))
  const sureness = computed(() => {
    const { pick } = ask()
    return pick && firsts.value.length ? surenessOf(pick, firsts.value) : null
  })
  return { answer, failed, busy, progress, sureness }
}
