import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { LureId } from '#core/lure/types'
import type { Watcher } from '#core/picture/underWater'
import type { UnitSystem } from '#core/units'

export const THEMES = ['noon', 'dusk', 'night'] as const
export type Theme = (typeof THEMES)[number]

/** What the plate shows at first: how far, why, and who agrees. */
const FIRST_UNFOLDED = ['decides', 'range', 'why', 'schools'] as const

/** How the angler likes it, remembered on the device. */
export const useSettingsStore = defineStore('settings', () => {
  const units = useLocalStorage<UnitSystem>('piscator.units', 'us')
  const theme = useLocalStorage<Theme>('piscator.theme', 'noon')
  /** Which watcher the as-seen pictures are drawn for. */
  const watcher = useLocalStorage<Watcher>('piscator.watcher', 'diver')
  /** First-visit lines that have been dismissed for good. */
  const learnt = useLocalStorage<string[]>('piscator.learnt', [])
  /** Kept calls hold the exact place, not one rounded to about a kilometre. */
  const exactPlace = useLocalStorage('piscator.exact-place', false)
  /** Rankings and plans keep to what is in the box. */
  const onlyOwned = useLocalStorage('piscator.only-owned', false)
  /** Waters a kit is chosen for; all where none is named. */
  const kitWaters = useLocalStorage<string[]>('piscator.kit-waters', [])
  /** Finishes that are in every kit, and in none. */
  const kitKeep = useLocalStorage<string[]>('piscator.kit-keep', [])
  const kitDrop = useLocalStorage<string[]>('piscator.kit-drop', [])
  /** What a kit is chosen for: the waters through the year, or the kept calls. */
  const kitFor = useLocalStorage<'waters' | 'calls'>('piscator.kit-for', 'waters')
  /** Lures at hand in the picker, the one used last first. */
  const rack = useLocalStorage<LureId[]>('piscator.rack', [])
  /** Sections of the plate that are folded open. */
  const unfolded = useLocalStorage<string[]>('piscator.unfolded', [...FIRST_UNFOLDED])
  return { units, theme, watcher, learnt, exactPlace, onlyOwned, kitWaters, kitKeep, kitDrop, kitFor, rack, unfolded }
})
