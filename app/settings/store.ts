import { defineStore } from 'pinia'
import type { LureId } from '#core/lure/types'
import type { Watcher } from '#core/picture/underWater'
import { UNIT_SYSTEMS, type UnitSystem } from '#core/units'
import { useDeviceStorage } from './deviceStorage'

export const THEMES = ['noon', 'dusk', 'night'] as const
export type Theme = (typeof THEMES)[number]

/** What the plate shows at first: how far, why, and who agrees. */
const FIRST_UNFOLDED = ['decides', 'range', 'why', 'schools'] as const

/** A setting on the device. One of another kind, or not among those there are, was left by something else: none. */
function remembered<T extends string | boolean | readonly string[]>(name: string, first: T, among?: readonly T[]) {
  const stored = useDeviceStorage<T>(`piscator.${name}`, first)
  const kind = (v: unknown) => (Array.isArray(v) ? 'list' : typeof v)
  const { value } = stored
  if (kind(value) !== kind(first) || (among && !among.includes(value))) stored.value = first
  return stored
}

/** How the angler likes it, remembered on the device. */
export const useSettingsStore = defineStore('settings', () => {
  const units = remembered<UnitSystem>('units', 'us', UNIT_SYSTEMS)
  const theme = remembered<Theme>('theme', 'noon', THEMES)
  /** Which watcher the as-seen pictures are drawn for. */
  const watcher = remembered<Watcher>('watcher', 'diver')
  /** Single letters do what the key map says; off for who speaks to the device, or whose hand slips. */
  const singleKeys = remembered<boolean>('single-keys', true)
  /** First-visit lines that have been dismissed for good. */
  const learnt = remembered<string[]>('learnt', [])
  /** Kept calls hold the exact place, not one rounded to about a kilometre. */
  const exactPlace = remembered<boolean>('exact-place', false)
  /** Rankings and plans keep to what is in the box. */
  const onlyOwned = remembered<boolean>('only-owned', false)
  /** Rankings and plans lean on what the log has taught. */
  const leanOnLog = remembered<boolean>('lean-on-log', false)
  /** Waters a kit is chosen for; all where none is named. */
  const kitWaters = remembered<string[]>('kit-waters', [])
  /** Finishes that are in every kit, and in none. */
  const kitKeep = remembered<string[]>('kit-keep', [])
  const kitDrop = remembered<string[]>('kit-drop', [])
  /** What a kit is chosen for: the waters through the year, or the kept calls. */
  const kitFor = remembered<'waters' | 'calls'>('kit-for', 'waters', ['waters', 'calls'])
  /** Lures at hand in the picker, the one used last first. */
  const rack = remembered<LureId[]>('rack', [])
  /** Sections of the plate that are folded open. */
  const unfolded = remembered<string[]>('unfolded', [...FIRST_UNFOLDED])
  return {
    units,
    theme,
    watcher,
    singleKeys,
    learnt,
    exactPlace,
    onlyOwned,
    leanOnLog,
    kitWaters,
    kitKeep,
    kitDrop,
    kitFor,
    rack,
    unfolded,
  }
})
