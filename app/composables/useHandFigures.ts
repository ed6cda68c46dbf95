import { createSharedComposable } from '@vueuse/core'
import { ref, watch } from 'vue'
import type { Finish } from '#core/finish/finish'
import { figureImage } from '../figures/image'
import { useSettingsStore } from '../stores/settings'
import { dressOf } from '../utils/dress'

/** Finishes in the hand as pictures in the ink of the theme, which a picture cannot inherit. */
export const useHandFigures = createSharedComposable(() => {
  const settings = useSettingsStore()
  const ink = ref('')
  watch(() => settings.theme, () => { ink.value = getComputedStyle(document.documentElement).getPropertyValue('--ink').trim() }, { immediate: true, flush: 'post' })

  /** Picture of a finish, its outline `line` figure units wide. */
  function pictureOf(finish: Finish, line: number): string {
    const { id, lure, mark } = finish
    return figureImage(`${id} ${line} ${ink.value}`, { lure, dress: dressOf(finish), mark, red: settings.theme === 'night', line }, ink.value)
  }

  let waiting: Finish[] = []
  const idle = window.requestIdleCallback ?? ((go: () => void) => setTimeout(go, 60))
  /** Make the pictures of these finishes one by one when there is nothing else to do, so that none has to be made under a finger. */
  function warm(finishes: Finish[], line: number): void {
    const begun = waiting.length > 0
    waiting = [...finishes]
    const next = () => {
      const finish = waiting.shift()
      if (!finish) return
      pictureOf(finish, line)
      idle(next)
    }
    if (!begun) idle(next)
  }
  return { pictureOf, warm, ink }
})
