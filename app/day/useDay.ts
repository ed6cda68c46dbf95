import { useTimeoutFn } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Lean } from '#core/ranking/judge'
import type { OwnLure } from '#core/box/own'
import type { Pin } from '#core/day/pins'
import type { DayRequest } from '#core/day/request'
import type { StepScores } from '#core/day/scores'
import { handFor } from '~/screen/worker'
import { workerHand } from '~/screen/workerHand'
import type { DayAsk, DayResult, DayShown, PlanShown } from './work'

/** Steps of a lane ranked between two looks at whether something newer was asked. */
const AT_ONCE = 8
/** Workers that rank at once: as many as there are cores, but few, for each holds the light table. */
const HANDS = Math.min(3, globalThis.navigator?.hardwareConcurrency ?? 2)
/** The lanes wait until the hand rests this long, ms; the light follows it at once. */
const REST_MS = 120

const makeWorker = () => handFor<DayAsk, DayResult>('day')

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
  const hands = Array.from({ length: HANDS }, () =>
    workerHand(makeWorker, async (q: DayAsk) => (await import('./work')).workDay(q)),
  )
  const { work } = hands[0]!
  let newest = 0
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
        light.value = (await work({ kind: 'light', ...ask() })) as DayShown
        failed.value = false
      } catch {
        failed.value = true
      }
    }
  }

  async function rankLanes(): Promise<void> {
    const mine = ++newest
    const stale = () => mine !== newest
    const { request, pins, own, lean } = ask()
    const key = scoresKey(request, own, lean)
    cancelled.value = false
    try {
      if (known.key !== key) {
        progress.value = 0
        const steps = light.value?.steps.length ?? 0
        const scores = request.lures.map(() => new Array<StepScores | null>(steps).fill(null))
        // Hour by hour, so that the lures of an hour, which share its light, come one after the other.
        const portions = Array.from({ length: Math.ceil(steps / AT_ONCE) }, (_, i) => i * AT_ONCE).flatMap(from =>
          scores.map((_, lane) => ({ lane, from })),
        )
        let [next, done] = [0, 0]
        const byHand = async (hand: (typeof hands)[number]) => {
          while (next < portions.length && !stale()) {
            const { lane, from } = portions[next++]!
            const some = await hand.work({ kind: 'scores', request, own, lean, lane, from, to: from + AT_ONCE })
            ;(some as (StepScores | null)[]).forEach((s, i) => (scores[lane]![from + i] = s))
            if (!stale()) progress.value = ++done / portions.length
          }
        }
        await Promise.all(hands.map(byHand))
        if (stale()) return
        known = { key, scores }
      }
      const planned = (await work({ kind: 'plan', request, own, lean, scores: known.scores, pins })) as PlanShown
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
    newest++
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
    newest++
    for (const hand of hands) hand.end()
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
