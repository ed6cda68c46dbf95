import { type Remote, wrap } from 'comlink'
import { type InjectionKey, type ShallowRef, inject, onScopeDispose, provide, ref, shallowRef, watch } from 'vue'
import type { RankingWorker } from '../workers/ranking.worker'
import type { Draft, ScreenAsk, ScreenModel } from '../workers/screen'

/** The answer is said to be on its way when it takes longer than this, ms. */
const SLOW_MS = 250

/** The next frame has been drawn: not its beginning, or two parts would land in one frame after all. */
const frame = () => new Promise<void>(resolve => requestAnimationFrame(() => setTimeout(resolve)))

/** Frames over which a list follows a finger, some of its rows in each. */
const LIST_FRAMES = 4

/** A list on its way from one answer to the next: this share of the rows in sight, from the top, shows the new one. */
export interface ListShown { answer: ScreenModel, before: ScreenModel, share: number }

/** The answers as the parts of the screen show them; each part reads its own, so that a new one redraws that part alone. */
export interface Answers { screen: Readonly<ShallowRef<ScreenModel | null>>, list: Readonly<ShallowRef<ListShown | null>>, plate: Readonly<ShallowRef<ScreenModel | null>> }
const KEY: InjectionKey<Answers> = Symbol('answers')

export function useAnswers(): Answers {
  const answers = inject(KEY)
  if (!answers) throw new Error('useAnswers outside a screen')
  return answers
}

/**
 * Keep a screen worked out for whatever is asked, in a worker. While one answer is being made and shown, only the latest next question is
 * remembered: a drag never queues up, stale results are dropped, and the last state is always the one shown. An answer reaches the
 * picture first, then the list, row by row over a few frames while a finger is on a control, and the plate once it rests: no one frame has
 * to draw them all.
 */
export function useScreen(ask: () => ScreenAsk) {
  const screen = shallowRef<ScreenModel | null>(null)
  const list = shallowRef<ListShown | null>(null)
  const plate = shallowRef<ScreenModel | null>(null)
  const slow = ref(false)
  const failed = ref(false)
  let worker: Worker | null = null
  let remote: Remote<RankingWorker> | null = null
  let busy = false
  let next: ScreenAsk | null = null

  async function work(q: ScreenAsk): Promise<ScreenModel | Draft> {
    if (!remote && !failed.value) {
      worker = new Worker(new URL('../workers/ranking.worker.ts', import.meta.url), { type: 'module' })
      worker.onerror = () => { failed.value = true }
      remote = wrap<RankingWorker>(worker)
    }
    if (remote && !failed.value) return remote.work(q)
    // No worker to be had: the page itself works it out, slower but the same.
    return (await import('../workers/screen')).workScreen(q)
  }

  async function run(q: ScreenAsk): Promise<void> {
    if (busy) {
      next = q
      return
    }
    busy = true
    const timer = setTimeout(() => { slow.value = true }, SLOW_MS)
    try {
      // The first answer is always whole; a draft then takes the rest from the answer before it.
      const got = await work({ ...q, draft: q.draft && screen.value !== null })
      const answer = { ...screen.value, ...got } as ScreenModel
      screen.value = answer
      await frame()
      const before = list.value?.answer ?? answer
      for (let k = 1; q.draft && k < LIST_FRAMES; k++) {
        list.value = { answer, before, share: k / LIST_FRAMES }
        await frame()
      }
      list.value = { answer, before, share: 1 }
      await frame()
      // The plate is read, not watched: while a finger is on a control it keeps the answer it has.
      if (!q.draft) plate.value = answer
    }
    finally {
      clearTimeout(timer)
      slow.value = false
      busy = false
      const latest = next
      next = null
      if (latest) void run(latest)
    }
  }

  watch(ask, q => void run(q), { immediate: true })
  onScopeDispose(() => worker?.terminate())
  const answers = { screen, list, plate }
  provide(KEY, answers)
  return { ...answers, slow }
}
