import { useGeolocation } from '@vueuse/core'
import { defineStore } from 'pinia'
import { onScopeDispose, ref, watch } from 'vue'
import type { Place } from '#shared/schema/record'
import { useInstrumentsStore } from '~/instruments/store'
import { useDeviceStorage } from '~/settings/deviceStorage'

/** Digits kept of a degree: about a metre. */
const DIGITS = 5
const rounded = (degrees: number) => Number(degrees.toFixed(DIGITS))

/** Where the angler is, for taps: the boat's positioning, else the device's; only where the angler lets it be kept. */
export const useWhereaboutsStore = defineStore('whereabouts', () => {
  const kept = useDeviceStorage('piscator.places', false)
  const instruments = useInstrumentsStore()
  const { coords, error, resume, pause } = useGeolocation({ immediate: false, enableHighAccuracy: true })
  const lookers = ref(0)
  watch([kept, lookers], ([on, n]) => (on && n ? resume() : pause()))

  function place(): Place | undefined {
    if (!kept.value) return undefined
    const { latitude, longitude } = instruments.board?.told ?? {}
    const fresh = !instruments.lost && instruments.standing('latitude') === 'fresh'
    if (fresh && latitude && longitude) {
      return { latitude: rounded(latitude.value), longitude: rounded(longitude.value) }
    }
    const { latitude: lat, longitude: lon } = coords.value
    return Number.isFinite(lat) ? { latitude: rounded(lat), longitude: rounded(lon) } : undefined
  }
  /** Listen for as long as whatever calls this is on the screen. */
  function look(): void {
    instruments.look()
    lookers.value++
    onScopeDispose(() => lookers.value--)
  }
  return { kept, error, place, look }
})
