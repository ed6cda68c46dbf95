import { useDayStore } from './store'
import { useReadingStore } from '~/reading/store'
import { useWatersStore } from '~/waters/store'

/** Fish a spot: the picture takes its bottom, depth and trees over it, the day its banks. */
export function useSpot() {
  const reading = useReadingStore()
  const waters = useWatersStore()
  const day = useDayStore()
  function choose(id: string | null): void {
    const spot = waters.spots.find(s => s.id === id)
    if (!spot) return reading.set({ spotId: null })
    const { waterId, background, depthM, canopy, bank, latitude, longitude, stands } = spot.body
    if (reading.reading.waterId !== waterId) waters.choose(waterId)
    const place = latitude === null || longitude === null ? {} : { latitude, longitude }
    const cover = { cover: stands?.kind ?? null, density: stands?.density ?? 'scattered', topM: stands?.topM ?? null }
    reading.set({ spotId: spot.id, background, waterM: depthM, canopy, ...cover, ...place })
    if (bank) day.change({ bank })
  }
  return { choose }
}
