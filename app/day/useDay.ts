import { useTimeoutFn } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Lean } from '#core/ranking/judge'
import type { OwnLure } from '#core/box/own'
import type { Pin } from '#core/day/pins'
import type { DayRequest } from '#core/day/request'
import type { StepScores } from '#core/day/scores'
import { engineWorker } from '~/common/engineWorker'
import { newestOnly } from '~/common/newestOnly'
import { workerClient } from '~/common/workerClient'
import type { DayShown, PlanShown } from './work'

/** Steps of a lane ranked between two looks at whether something newer was asked. */
const AT_ONCE = 8
/** Workers that rank at once: as many as there are cores, but few, for each holds the light table. */
const WORKERS = Math.min(3, globalThis.navigator?.hardwareConcurrency ?? 2)
/** The lanes wait until the finger rests this long, ms; the light follows it at once. */
const REST_MS = 120

const dayClient = () =>
  workerClient(
    () => engineWorker('day'),
    async () => (await import('./work')).dayApi,
  )

export interface DayQuestion {
  request: DayRequest
  depthsM: number[]
  acrossHeightM: number | null
  pins: readonly Pin[]
  /** Lures of the box in colours of one's own. */
  own: readonly OwnLure[]
  /** How far the angler's log shifts the weights. */
  lean: Lean
}

/** What of a request decides its scores: the pack, the cost of a change and the shortest spell do not. */
function scoresKey(
  { packMost: _p, changeCost: _c, minSpellMin: _m, bank, ...r }: DayRequest,
  own: readonly OwnLure[],
  lean: Lean,
) {
  const shaded = r.lures.some(l => l.place === 'shade')
  return JSON.stringify([r, shaded ? bank : null, own, lean])
}

/**
 * The day worked out for whatever is asked, in a worker of its own: the light at once, then the lanes step by step, the
 * newest question first; the plan again wherever only the pack or the cost of a change moved.
 */
export function useDay(ask: () => DayQuestion) {
  const light = shallowRef<DayShown | null>(null)
  const plan = shallowRef<PlanShown | null>(null)
  /** Steps ranked by lane, as they come. */
  const scored = shallowRef<(StepScores | null)[][]>([])
  const progress = ref(1)
  const failed = ref(false)
  const cancelled = ref(false)
  const clients = Array.from({ length: WORKERS }, dayClient)
  const { api } = clients[0]!
  const plans = newestOnly()
  let drawing: Promise<void> | null = null
  let again = false
  let known = { key: '', scores: [] as (StepScores | null)[][] }

  /** Draw the light; what is asked while it is being drawn is drawn next, and whoever asked waits for that. */
  function draw(): Promise<void> {
    again = true
    return (drawing ??= drawAll().finally(() => {
      drawing = null
    }))
  }
  async function drawAll(): Promise<void> {
    while (again) {
      again = false
      try {
        const { request, depthsM, acrossHeightM } = ask()
        light.value = await api.light({ request, depthsM, acrossHeightM })
        failed.value = false
      } catch {
        failed.value = true
      }
    }
  }

  async function rankLanes(): Promise<void> {
    const stale = plans.begin()
    const { request, pins, own, lean } = ask()
    const key = scoresKey(request, own, lean)
    cancelled.value = false
    try {
      if (known.key !== key) {
        progress.value = 0
        const steps = light.value?.steps.length ?? 0
        const scores = request.lures.map(() => new Array<StepScores | null>(steps).fill(null))
        // Hour by hour, so that the lures of an hour, which share its light, come one after the other.
        const chunks = Array.from({ length: Math.ceil(steps / AT_ONCE) }, (_, i) => i * AT_ONCE).flatMap(from =>
          scores.map((_, lane) => ({ lane, from })),
        )
        let [next, done] = [0, 0]
        const byOne = async ({ api: one }: (typeof clients)[number]) => {
          while (next < chunks.length && !stale()) {
            const { lane, from } = chunks[next++]!
            const some = await one.scores({ request, own, lean, lane, from, to: from + AT_ONCE })
            some.forEach((s, i) => (scores[lane]![from + i] = s))
            if (!stale()) progress.value = ++done / chunks.length
          }
        }
        await Promise.all(clients.map(byOne))
        if (stale()) return
        known = { key, scores }
      }
      const planned = await api.plan({ request, own, lean, scores: known.scores, pins })
      if (stale()) return
      scored.value = known.scores
      plan.value = planned
      failed.value = false
    } catch {
      if (!stale()) failed.value = true
    } finally {
      if (!stale()) progress.value = 1
    }
  }
  let gone = false
  // Begun anew at every start, and dropped when its place is left: nobody would end the workers it made.
  const { start: rankSoon } = useTimeoutFn(
    async () => {
      await draw()
      if (!gone) await rankLanes()
    },
    REST_MS,
    { immediate: false },
  )

  function cancel(): void {
    plans.drop()
    cancelled.value = true
    progress.value = 1
  }

  watch(
    ask,
    () => {
      void draw()
      rankSoon()
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    gone = true
    plans.drop()
    for (const { end } of clients) end()
  })
  return {
    light,
    plan,
    scored,
    progress,
    failed,
    cancelled,
    cancel,
    rankLanes,
  }
}
