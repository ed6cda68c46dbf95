import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { LoggedTrip } from '#core/season-learning/log'
import type { PoolShare } from '#core/season-learning/pool'
import type { SeasonAnswer } from '#core/season-learning/season'
import type { UnitSystem } from '#core/units'
import { handFor } from '~/screen/worker'
import { workerHand } from '~/screen/workerHand'
import type { Ranked, SeasonAsk, SeasonResult } from './seasonWork'

/** Rankings between two looks at whether something newer was asked: well under the 200 ms a stop may take. */
const AT_ONCE = 8

const makeWorker = () => handFor<SeasonAsk, SeasonResult>('season')

/** What the log says, worked out in a worker, in parts: how far it has come, and a way to stop it. */
export function useSeason(
  trips: () => readonly LoggedTrip[],
  units: () => UnitSystem,
  makeHand: () => ReturnType<typeof makeWorker> = makeWorker,
) {
  const answer = shallowRef<SeasonAnswer | null>(null)
  const progress = shallowRef<Ranked | null>(null)
  const failed = ref(false)
  const stopped = ref(false)
  const { work, end } = workerHand(makeHand, async (ask: SeasonAsk) => (await import('./seasonWork')).workSeason(ask))
  let newest = 0

  async function read(): Promise<void> {
    const mine = ++newest
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
        const told = (await work({ kind: 'season', trips: asked, units: units(), most: AT_ONCE })) as
          Ranked | SeasonAnswer
        if (mine !== newest) return
        if (!('done' in told)) {
          answer.value = told
          break
        }
        progress.value = told
      }
      progress.value = null
    } catch {
      if (mine === newest) failed.value = true
    }
  }
  /** The log's share of a pool, to be given away as a file: no place, time or finish is in it. */
  const poolShare = () => work({ kind: 'pool', trips: trips() }) as Promise<PoolShare>
  function stop(): void {
    newest++
    stopped.value = true
    progress.value = null
  }
  watch([trips, units], () => void read(), { immediate: true })
  onScopeDispose(() => {
    newest++
    end()
  })
  return { answer, progress, failed, stopped, stop, read, poolShare }
}
