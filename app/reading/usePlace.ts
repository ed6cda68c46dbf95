import { sameClockIn } from './clock'
import { useReadingStore } from './store'
import { zoneAt } from './zone'

/** Move the reading to another place: the date and hour stay what the clock there shows. */
export function usePlace() {
  const store = useReadingStore()
  async function moveTo(latitude: number, longitude: number): Promise<void> {
    const { timeMs, zone: from } = store.reading
    const zone = await zoneAt(latitude, longitude)
    store.set({ latitude, longitude, zone, timeMs: sameClockIn(timeMs, from, zone), waterId: null, spotId: null })
  }
  return { moveTo }
}
