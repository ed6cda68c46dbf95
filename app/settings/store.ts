import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { UnitSystem } from '#core/units'

export const THEMES = ['noon', 'dusk', 'night'] as const
export type Theme = (typeof THEMES)[number]

/** How the angler likes it, remembered on the device. */
export const useSettingsStore = defineStore('settings', () => {
  const units = useLocalStorage<UnitSystem>('piscator.units', 'us')
  const theme = useLocalStorage<Theme>('piscator.theme', 'noon')
  /** Which watcher the as-seen pictures are drawn for. */
  const watcher = useLocalStorage<'diver' | 'fish'>('piscator.watcher', 'diver')
  /** First-visit lines that have been dismissed for good. */
  const learnt = useLocalStorage<string[]>('piscator.learnt', [])
  /** Kept calls hold the exact place, not one rounded to about a kilometre. */
  const exactPlace = useLocalStorage('piscator.exact-place', false)
  return { units, theme, watcher, learnt, exactPlace }
})
