import { useDebounceFn, useLocalStorage } from '@vueuse/core'
import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { readingFromQuery, readingQuery } from './readingUrl'
import { useReadingStore } from './store'

/**
 * The scene lives in the address, so that a link shares it and a reload brings it back; the last one is also
 * remembered on the device for a visit without a link.
 */
export function useReadingLink(): void {
  const store = useReadingStore()
  const route = useRoute()
  const router = useRouter()
  const last = useLocalStorage<Record<string, string>>('piscator.scene', {})
  // Once a visit: whoever comes from another place brings the reading along.
  const opened = store.changes ? null : (readingFromQuery(route.query) ?? readingFromQuery(last.value))
  if (opened) store.open(opened)
  const save = useDebounceFn(() => {
    const query = readingQuery(store.reading)
    last.value = query
    void router.replace({ query })
  }, 250)
  watch(() => store.changes, save)
}
