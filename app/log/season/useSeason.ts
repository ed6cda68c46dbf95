import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { LoggedTrip } from '#core/season-learning/log'
import type { SeasonAnswer } from '#core/season-learning/season'
import type { UnitSystem } from '#core/units'
import { engineWorker } from '~/common/engineWorker'
import { newestOnly } from '~/common/newestOnly'
import { workerClient } from '~/common/workerClient'
import type { RankingProgress } from './seasonWork'

/** Rankings between two looks at whether something newer was asked: well under the 200 ms a stop may take. */
const AT_ONCE = 8

const seasonClient = () =>
  workerClient(
    () => engineWorker('season'),
    async () => (await import('./seasonWork')).seasonApi,
  )

/** What the log says, worked out in a worker, in parts: how far it has come, and a way to stop it. */
export function useSeason(trips: () => readonly LoggedTrip[], units: () => UnitSystem, makeClient = seasonClient) {
  const answer = shallowRef<SeasonAnswer | null>(null)
  const progress = shallowRef<RankingProgress | null>(null)
  const failed = ref(false)
  const stopped = ref(false)
  const { api, end } = makeClient()
  const { begin, drop } = newestOnly()

  async function read(): Promise<void> {
    const stale = begin()
    const asked = trips()
    stopped.value = false
    failed.value = false
    if (!asked.some(t => t.stints.length)) {
      answer.value = null
      progress.value = null
      return
    }
    try {
      for (;;) {
        const got = await api.season({ trips: asked, units: units(), most: AT_ONCE })
        if (stale()) return
        if (!('done' in got)) {
          answer.value = got
          break
        }
        progress.value = got
      }
      progress.value = null
    } catch {
      if (!stale()) failed.value = true
    }
  }
  /** The log's share of a pool, to be given away as a file: no place, time or finish is in it. */
  const poolShare = () => api.share(trips())
  function stop(): void {
    drop()
    stopped.value = true
    progress.value = null
  }
  watch([trips, units], () => void read(), { immediate: true })
  onScopeDispose(() => {
    drop()
    end()
  })
  return { answer, progress, failed, stopped, stop, read, poolShare }
}
