import { useManualRefHistory } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, reactive, ref, toRaw } from 'vue'
import { coverKind } from '#core/cover/cover'
import { LURES, lureType } from '#core/lure/types'
import { usualDepthM } from '#core/request/resolve'
import { type ScreenReading, type ReadingKey, firstReading, offBottom, withinLimits } from './reading'

/** Most undo steps kept. */
const STEPS = 100
/** Changes of the same control within this time are one step, ms. */
const ONE_STEP_MS = 900

/** The reading on the screen, every change of which can be undone. */
export const useReadingStore = defineStore('reading', () => {
  // One object changed in place: what reads the wind is not drawn anew when the disc moves.
  const reading = reactive<ScreenReading>(firstReading())
  const copy = (): ScreenReading => ({ ...toRaw(reading) })
  /** Counts the changes, for those who follow all of them. */
  const changes = ref(0)
  function change(to: Partial<ScreenReading>): void {
    Object.assign(reading, to)
    changes.value++
  }
  const history = useManualRefHistory(ref(reading), {
    capacity: STEPS,
    clone: r => ({ ...toRaw(r) }),
    setSource: (_, v) => change(v),
  })
  let lastKey = ''
  let lastAt = -Infinity

  /** Change some fields. Numbers are held within the contract's limits; a drag counts as one step. */
  function set(patch: Partial<ScreenReading>, at = performance.now()): void {
    const before = toRaw(reading)
    const next = offBottom(withinLimits(patch), before)
    if ((Object.keys(next) as ReadingKey[]).every(k => next[k] === before[k])) return
    const key = Object.keys(patch).sort().join()
    const goesOn = key === lastKey && at - lastAt <= ONE_STEP_MS
    lastKey = key
    lastAt = at
    change(next)
    if (goesOn) history.last.value = { snapshot: copy(), timestamp: at }
    else history.commit()
  }

  /** Another lure keeps the water and the light; depth and side go to what is usual for it. */
  function setLure(lure: ScreenReading['lure']): void {
    const from = lureType(reading.lure)
    const to = LURES[lure]
    const side = to.surface ? 'below' : from.surface ? 'level' : reading.side
    set({ lure, depthM: null, side })
  }

  /** Other cover brings what stands behind a lure in it and what is over it; both may be set otherwise after. */
  function setCover(cover: ScreenReading['cover']): void {
    const { background, canopy } = coverKind(cover ?? 'open')
    const shaded = reading.cover !== null && coverKind(reading.cover).canopy === reading.canopy
    const over = canopy ? { canopy } : shaded ? { canopy: 'open' as const } : {}
    set({ cover, topM: null, ...(cover === null ? {} : { background }), ...over })
  }

  /** The next change of any control is a step of its own. */
  function step(back: () => void): void {
    back()
    lastKey = ''
  }

  /** Start from a reading that came from a link or a saved draft; nothing to undo. */
  function open(r: ScreenReading): void {
    change(r)
    history.clear()
    history.last.value = { snapshot: copy(), timestamp: 0 }
    lastKey = ''
  }

  const depthM = computed(() => reading.depthM ?? usualDepthM(reading.lure, reading.waterM, reading.visibilityM))
  return {
    reading,
    changes,
    depthM,
    set,
    setLure,
    setCover,
    undo: () => step(history.undo),
    redo: () => step(history.redo),
    open,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
  }
})
