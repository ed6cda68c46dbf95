import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { sameClockIn } from '~/reading/clock'
import type { Reading } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'

export interface WaterOut {
  id: string
  name: string
  kind: string
  latitude: number
  longitude: number
  /** IANA time zone of the place. */
  zone: string
  salinity: Reading['salinity']
  usualTint: Reading['tint']
  usualVisibilityM: number
  prey: Reading['prey']
  note: string
}

/** Saved waters: choosing one sets the place, its usual reading and what lives there. */
export const useWatersStore = defineStore('waters', () => {
  const list = ref<WaterOut[]>([])
  const state = ref<'loading' | 'here' | 'away'>('loading')
  const reading = useReadingStore()

  async function load(): Promise<void> {
    try {
      const response = await fetch('/api/v1/waters')
      if (!response.ok) throw new Error(String(response.status))
      list.value = (await response.json()) as WaterOut[]
      state.value = 'here'
    } catch {
      state.value = 'away'
    }
  }

  function choose(id: string): void {
    const w = list.value.find(x => x.id === id)
    if (!w) {
      reading.set({ waterId: null, prey: [] })
      return
    }
    reading.set({
      waterId: w.id,
      latitude: w.latitude,
      longitude: w.longitude,
      salinity: w.salinity,
      tint: w.usualTint,
      visibilityM: w.usualVisibilityM,
      prey: w.prey,
      zone: w.zone,
      timeMs: sameClockIn(reading.reading.timeMs, reading.reading.zone, w.zone),
    })
  }

  const current = computed(() => list.value.find(w => w.id === reading.reading.waterId) ?? null)
  return { list, state, load, choose, current }
})
