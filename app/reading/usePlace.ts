import { ref } from 'vue'
import { sameClockIn } from './clock'
import { useReadingStore } from './store'
import { zoneAt } from './zone'

/** A place so old is still here; longer than this nobody waits for one, ms. */
const [HERE_MS, WAIT_MS] = [300_000, 20_000] as const

/** Move the reading to another place: the date and hour stay what the clock there shows. */
export function usePlace() {
  const store = useReadingStore()
  async function moveTo(latitude: number, longitude: number): Promise<void> {
    const { timeMs, zone: from } = store.reading
    const zone = await zoneAt(latitude, longitude)
    store.set({
      latitude,
      longitude,
      zone,
      timeMs: sameClockIn(timeMs, from, zone),
      waterId: null,
      spotId: null,
      placeGuessed: false,
    })
  }
  const asking = ref(false)
  /** The device would not say where it is. */
  const refused = ref(false)
  /** Move to where the device is, asked for once. */
  function here(): void {
    asking.value = true
    refused.value = false
    const done = (failed: boolean) => {
      asking.value = false
      refused.value = failed
    }
    if (!('geolocation' in navigator)) return done(true)
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        const places = (v: number) => Math.round(v * 1000) / 1000
        void moveTo(places(coords.latitude), places(coords.longitude)).then(() => done(false))
      },
      () => done(true),
      { maximumAge: HERE_MS, timeout: WAIT_MS },
    )
  }
  return { moveTo, here, asking, refused }
}
