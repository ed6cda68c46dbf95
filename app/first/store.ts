import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, watch } from 'vue'
import type { Reading } from '#core/request/readings'
import type { LureId } from '#core/lure/types'
import type { TintId } from '#core/water/tints'
import { engineWorker } from '~/common/engineWorker'
import { newestOnly } from '~/common/newestOnly'
import { workerClient } from '~/common/workerClient'
import { useReadingStore } from '~/reading/store'
import { useDeviceStorage, useTabStorage } from '~/settings/deviceStorage'
import { useSettingsStore } from '~/settings/store'

/** What a newcomer is asked, as far as it is told. */
interface Told {
  open: boolean
  tint: TintId | null
  /** Where a white lure is lost, m. */
  whiteM: number | null
  lure: LureId | null
}

/** How far down a white lure may be let, m. */
export const WHITE_M = [0.05, 5] as const

/**
 * The first minute: three questions, in any order, before the first answer. What is told goes through the same reading
 * of the water as any other, and what is open lasts as long as the tab.
 */
export const useFirstStore = defineStore('first', () => {
  const reading = useReadingStore()
  const settings = useSettingsStore()
  const begun = useDeviceStorage('piscator.begun', false)
  const told = useTabStorage<Told>('piscator.first', { open: false, tint: null, whiteM: null, lure: null })
  /** Where a disc may vanish by what was told, nine times in ten, m. */
  const range = ref<{ low: number; high: number } | null>(null)
  const { api, end } = workerClient(
    () => engineWorker('desk'),
    async () => (await import('~/desk/work')).deskApi,
  )
  const { begin: ask, drop } = newestOnly()
  onScopeDispose(() => {
    drop()
    end()
  })

  /** Ask a newcomer; whoever was here before is asked no more. */
  function begin(): void {
    if (!begun.value) told.value = { ...told.value, open: true }
  }
  function finish(): void {
    begun.value = true
    told.value = { ...told.value, open: false }
    end()
  }
  function tell(some: Partial<Omit<Told, 'open'>>): void {
    told.value = { ...told.value, ...some }
    if (some.tint) reading.set({ tint: some.tint })
    if (some.lure) reading.setLure(some.lure)
  }

  const readings = computed<Reading[]>(() => [
    ...(told.value.tint ? [{ kind: 'look' as const, tint: told.value.tint }] : []),
    ...(told.value.whiteM ? [{ kind: 'target' as const, target: 'white', depthM: told.value.whiteM }] : []),
  ])
  watch(readings, async of => {
    const stale = ask()
    if (!told.value.whiteM) return
    const salt = reading.reading.salinity === 'salt'
    const read = await api.read({ readings: of, salt, units: settings.units }).catch(() => null)
    if (stale()) return
    // Where it cannot be weighed just now, a white lure is about as good as a disc.
    const { best, low, high } = read?.answer.visibilityM ?? { best: told.value.whiteM, low: 0, high: 0 }
    range.value = high ? { low, high } : null
    reading.set({ visibilityM: best })
  })
  const missing = computed(() => [told.value.tint, told.value.whiteM, told.value.lure].filter(v => v === null).length)
  return { told, range, missing, isOpen: computed(() => told.value.open), begin, finish, tell }
})
