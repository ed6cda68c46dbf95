import { createSharedComposable, useTimeoutFn } from '@vueuse/core'
import { type Ref, ref, watch } from 'vue'
import type { Finish } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { figureImage, isDrawn, settle } from './image'
import { useSettingsStore } from '~/settings/store'
import { dressOf } from './dress'

/**
 * A picture for a component to show. It is drawn before the component renders, never while it does: a figure rendered
 * in the middle of another's rendering would be taken for a part of it.
 */
export function usePicture(draw: () => string): Readonly<Ref<string>> {
  const src = ref('')
  watch(
    draw,
    url => {
      src.value = url
    },
    { immediate: true },
  )
  return src
}

/** Idle time that means nothing is moving on the screen, ms: more than is left over in a frame. */
const LONG_IDLE_MS = 20
/** How long a list is looked at before all its pictures are made, ms: most lures are only passed by on the way. */
const REST_MS = 1500

/** Figures as pictures in the inks of the theme, which a picture cannot inherit. */
export const useFigurePictures = createSharedComposable(() => {
  const settings = useSettingsStore()
  const inks = ref({ ink: '', page: '' })
  watch(
    () => settings.theme,
    () => {
      // As they are drawn: the reader's own colours have no other name than what they come to.
      const { color, backgroundColor } = getComputedStyle(document.documentElement)
      inks.value = { ink: color, page: backgroundColor }
    },
    { immediate: true, flush: 'post' },
  )

  /** Silhouette of a lure; on the theme's chosen ground when it is the one chosen. */
  function silhouetteOf(lure: LureId, chosen: boolean): string {
    const ink = chosen && settings.theme !== 'night' ? inks.value.page : inks.value.ink
    return figureImage(`${lure} ${ink}`, () => ({ lure }), ink)
  }

  /** Picture of a finish in the hand, its outline `line` figure units wide. */
  function pictureOf(finish: Finish, line: number): string {
    const { lure, mark } = finish
    const drawing = () => ({ lure, dress: dressOf(finish), mark, red: settings.theme === 'night', line })
    return figureImage(keyOf(finish, line), drawing, inks.value.ink)
  }
  const keyOf = ({ id }: Finish, line: number) => `${id} ${line} ${inks.value.ink}`
  /** Whether that picture is drawn already, and costs next to nothing. */
  const hasPicture = (finish: Finish, line: number): boolean => isDrawn(keyOf(finish, line))

  let waiting: [Finish, number][] = []
  let going = false
  const idle =
    window.requestIdleCallback ??
    ((go: (d: { timeRemaining: () => number }) => void) => setTimeout(go, 60, { timeRemaining: () => LONG_IDLE_MS }))
  async function next(deadline: { timeRemaining: () => number }) {
    if (deadline.timeRemaining() < LONG_IDLE_MS) return idle(next)
    const picture = waiting.shift()
    going = picture !== undefined
    if (!picture) return
    pictureOf(...picture)
    await settle(keyOf(...picture))
    idle(next)
  }
  const { start: startAtRest } = useTimeoutFn(
    (pictures: [Finish, number][]) => {
      waiting = pictures
      if (!going) idle(next)
      going = true
    },
    REST_MS,
    { immediate: false },
  )
  /**
   * Make the pictures of these finishes one by one, as bitmaps, when there is nothing else to do, so that none has to
   * be made under a finger. What was asked for before is passed by.
   */
  function warm(finishes: Finish[], line: number): void {
    waiting = []
    startAtRest(finishes.map(finish => [finish, line]))
  }
  return { pictureOf, hasPicture, silhouetteOf, warm, inks }
})
