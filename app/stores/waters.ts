import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { Scene } from '../utils/scene'
import { useSceneStore } from './scene'

export interface WaterOut {
  id: string, name: string, kind: string, latitude: number, longitude: number
  salinity: Scene['salinity'], usualTint: Scene['tint'], usualVisibilityM: number, prey: Scene['prey'], note: string
}

/** Saved waters: choosing one sets the place, its usual reading and what lives there. */
export const useWatersStore = defineStore('waters', () => {
  const list = ref<WaterOut[]>([])
  const state = ref<'loading' | 'here' | 'away'>('loading')
  const scene = useSceneStore()

  async function load(): Promise<void> {
    try {
      const response = await fetch('/api/v1/waters')
      if (!response.ok) throw new Error(String(response.status))
      list.value = await response.json() as WaterOut[]
      state.value = 'here'
    }
    catch {
      state.value = 'away'
    }
  }

  function choose(id: string): void {
    const w = list.value.find(x => x.id === id)
    if (!w) {
      scene.set({ waterId: null, prey: [] })
      return
    }
    scene.set({
      waterId: w.id, latitude: w.latitude, longitude: w.longitude, salinity: w.salinity, tint: w.usualTint, visibilityM: w.usualVisibilityM, prey: w.prey,
      offsetMin: Math.round(w.longitude / 15) * 60,
    })
  }

  const current = computed(() => list.value.find(w => w.id === scene.scene.waterId) ?? null)
  return { list, state, load, choose, current }
})
