import { useDebounceFn } from '@vueuse/core'
import { onScopeDispose, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { MINUTE_MS } from '#core/units'
import { firstReading } from './reading'
import { readingFromQuery, readingQuery } from './readingUrl'
import { useReadingStore } from './store'
import { placeIn, zoneHere } from './zone'
import { useDeviceStorage, useTabStorage } from '~/settings/deviceStorage'

/** The moment, to the minute. */
export const nowMinute = (): number => Math.floor(Date.now() / MINUTE_MS) * MINUTE_MS

/**
 * The scene lives in the address, so that a link shares it and a reload brings it back. The last one is remembered on
 * the device: a visit without a link opens on its water, now. Other tabs of this device show the same.
 * @param onFirst called where nothing was linked or remembered: somebody is here for the first time
 */
export function useReadingLink({ onFirst = () => {} } = {}): void {
  const store = useReadingStore()
  const route = useRoute()
  const router = useRouter()
  const last = useDeviceStorage<Record<string, string>>('piscator.scene', {})
  /** This tab was here before: a reload changes nothing of what was set. */
  const visiting = useTabStorage('piscator.visiting', false)
  const keep = () => {
    const query = readingQuery(store.reading)
    if (JSON.stringify(query) !== JSON.stringify(last.value)) last.value = query
  }
  const keepSoon = useDebounceFn(keep, 250)
  // Once a visit: whoever comes from another place brings the reading along.
  if (!store.changes) {
    const linked = readingFromQuery(route.query, nowMinute())
    const remembered = readingFromQuery(last.value, nowMinute())
    if (linked) store.open(linked)
    else if (remembered) store.open(visiting.value ? remembered : { ...remembered, timeMs: nowMinute() })
    else {
      void openGuessed(store)
      onFirst()
    }
    if (linked) keep()
    visiting.value = true
  }
  // Whoever is on the way to another place is not called back for an address.
  const { path } = route
  let bound = path
  const offs = [
    router.beforeEach(to => void (bound = to.path)),
    router.afterEach(() => void (bound = router.currentRoute.value.path)),
  ]
  onScopeDispose(() => offs.forEach(off => off()))
  const address = useDebounceFn(() => {
    if (bound === path) void router.replace({ query: readingQuery(store.reading) })
  }, 250)
  watch(
    () => store.changes,
    () => {
      keepSoon()
      void address()
    },
  )
  // Brought along from another place, or come to by the place's own name, it goes into the address here too.
  if (store.changes) void address()
  watch(
    () => route.query,
    query => void (Object.keys(query).length || address()),
  )
  watch(last, query => {
    const told = readingFromQuery(query, nowMinute())
    if (told && JSON.stringify(query) !== JSON.stringify(readingQuery(store.reading))) store.set(told)
  })
}

/** A first visit: now, somewhere by this clock, a temperature nobody measured. Each is shown as the guess it is. */
async function openGuessed(store: ReturnType<typeof useReadingStore>): Promise<void> {
  const zone = zoneHere()
  const guess = { zone, timeMs: nowMinute(), temperatureC: null, depthM: null, placeGuessed: true }
  store.open({ ...firstReading(), ...guess })
  const place = await placeIn(zone).catch(() => null)
  if (place && store.reading.placeGuessed) store.open({ ...store.reading, ...place })
}
