import {
  type InjectionKey,
  type ShallowRef,
  inject,
  nextTick,
  onScopeDispose,
  provide,
  ref,
  shallowRef,
  watch,
} from 'vue'
import type { Draft, ScreenAsk, ScreenModel } from './model'
import { stillFrames } from './stillFrames'
import { engineWorker } from '~/common/engineWorker'
import { workerClient } from '~/common/workerClient'

/** The answer is said to be on its way when it takes longer than this, ms. */
const SLOW_MS = 250

/** How often an answer that could not be worked out is asked for again, ms. */
const AGAIN_MS = 3000

/** Time for rows of the list in one frame while a finger is on a control, ms; what does not fit waits for the next. */
const ROWS_MS = 1

/** A list on its way from one answer to the next: so many of the rows in sight, from the top, show the new one. */
export interface ListShown {
  answer: ScreenModel
  before: ScreenModel
  fresh: number
}
/** Rows of the list that are in sight. */
export interface InSight {
  first: number
  count: number
}

/**
 * The answers as the parts of the screen show them; each part reads its own, so that a new one redraws that part
 * alone.
 */
export interface Answers {
  /** For the colours of the water. */
  water: Readonly<ShallowRef<ScreenModel | null>>
  screen: Readonly<ShallowRef<ScreenModel | null>>
  /** What the answer on the screen was asked: whatever is kept is kept with its own question. */
  asked: Readonly<ShallowRef<Asked | null>>
  list: Readonly<ShallowRef<ListShown | null>>
  rods: Readonly<ShallowRef<ScreenModel | null>>
  plate: Readonly<ShallowRef<ScreenModel | null>>
  inSight: ShallowRef<InSight>
}
/** What an answer was asked, and for which water. */
export interface Asked {
  request: ScreenAsk['request']
  waterId: string | null
}
/** What is asked; `draft` while a finger is on a control. */
type Question = Omit<ScreenAsk, 'draftRows'> & { draft: boolean; waterId: string | null }
const KEY: InjectionKey<Answers> = Symbol('answers')

/** The answers where there is a screen that has them: a form may stand in another place too. */
export const useAnswersIfAny = (): Answers | null => inject(KEY, null)

export function useAnswers(): Answers {
  const answers = inject(KEY)
  if (!answers) throw new Error('useAnswers outside a screen')
  return answers
}

/** Who works the screen out: a worker while one is to be had, else the page. */
const workerOrPage = () =>
  workerClient(
    () => engineWorker('screen'),
    async () => (await import('./work')).screenApi,
  )

/**
 * An answer with a draft's rows in it. What else is the same to the fish is drawn anew only once the finger rests:
 * small figures that come and go under it would take the frames that follow it.
 */
function drafted(old: ScreenModel, draft: Draft, first: number): ScreenModel {
  const same = new Map(old.rows.map(r => [r.finishId, r.same]))
  const rows = draft.rows.map(r => ({ ...r, same: same.get(r.finishId) ?? [] }))
  return { ...old, ...draft, rows: old.rows.toSpliced(first, rows.length, ...rows).slice(0, draft.looks) }
}

/**
 * Keep a screen worked out for whatever is asked, in a worker. While one answer is being made and shown, only the
 * latest next question is remembered: a drag never queues up, stale results are dropped, and the last state is always
 * the one shown. An answer reaches the water first, then what is in it, then the list, row by row over a few frames
 * while a finger is on a control, then the rods, and the plate once it rests: no one frame has to draw them all.
 */
export function useScreen(ask: () => Question, makeClient = workerOrPage) {
  const water = shallowRef<ScreenModel | null>(null)
  const screen = shallowRef<ScreenModel | null>(null)
  const asked = shallowRef<Asked | null>(null)
  const list = shallowRef<ListShown | null>(null)
  const rods = shallowRef<ScreenModel | null>(null)
  const plate = shallowRef<ScreenModel | null>(null)
  const inSight = shallowRef<InSight>({ first: 0, count: 10 })
  const slow = ref(false)
  const failed = ref(false)
  let busy = false
  let next: Question | null = null
  let stop = () => {}
  let retry: ReturnType<typeof setTimeout> | undefined
  const { moved, next: frame } = stillFrames()

  const { api, end } = makeClient()

  async function run({ draft, waterId, ...q }: Question): Promise<void> {
    if (busy) {
      next = { ...q, draft, waterId }
      return
    }
    busy = true
    clearTimeout(retry)
    const timer = setTimeout(() => {
      slow.value = true
    }, SLOW_MS)
    try {
      const old = screen.value
      const { first, count } = inSight.value
      // The first answer of a lure is always whole; a draft then takes the rest from the answer before it.
      const draftOf = draft && old?.lure === q.request.lure ? old : null
      const stopped = new Promise<null>(resolve => {
        stop = () => resolve(null)
      })
      const got = await Promise.race([api.screen({ ...q, draftRows: draftOf && [first, first + count] }), stopped])
      clearTimeout(timer)
      slow.value = false
      if (!got) return
      const answer = draftOf ? drafted(draftOf, got, first) : (got as ScreenModel)
      // What came is unpacked in this frame and shown in the next.
      if (draftOf) await frame()
      water.value = answer
      if (draftOf) await frame()
      screen.value = answer
      asked.value = { request: q.request, waterId }
      await frame()
      const before = list.value?.answer ?? answer
      for (let fresh = 1, began = performance.now(); draftOf && fresh < inSight.value.count; fresh++) {
        list.value = { answer, before, fresh }
        await nextTick()
        if (performance.now() - began < ROWS_MS) continue
        await frame()
        began = performance.now()
      }
      if (draftOf) await frame()
      list.value = { answer, before, fresh: Infinity }
      await frame()
      rods.value = answer
      await frame()
      // The plate is read, not watched: while a finger is on a control it keeps the answer it has.
      if (!draft) plate.value = answer
      failed.value = false
    } catch {
      failed.value = true
      again({ ...q, draft, waterId })
    } finally {
      clearTimeout(timer)
      slow.value = false
      busy = false
      const latest = next
      next = null
      if (latest) void run(latest)
    }
  }

  /**
   * Neither a worker nor the page could work it out, so its code is not to be had just now: ask once more in a while.
   */
  function again(q: Question): void {
    clearTimeout(retry)
    retry = setTimeout(() => void run(q), AGAIN_MS)
  }

  /** Give up what is being worked out; the answer on the screen stays. The next change starts a new worker. */
  function cancel(): void {
    end()
    next = null
    stop()
  }

  watch(
    ask,
    q => {
      moved()
      void run(q)
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    clearTimeout(retry)
    end()
  })
  const answers = { water, screen, asked, list, rods, plate, inSight }
  provide(KEY, answers)
  return { ...answers, slow, failed, cancel }
}
