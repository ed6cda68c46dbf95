import { useDebounceFn, useLocalStorage } from '@vueuse/core'
import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSceneStore } from '../stores/scene'
import { sceneFromQuery, sceneQuery } from '../utils/sceneUrl'

/**
 * The scene lives in the address, so that a link shares it and a reload brings it back; the last one is also remembered on the device for a
 * visit without a link.
 */
export function useSceneLink(): void {
  const store = useSceneStore()
  const route = useRoute()
  const router = useRouter()
  const last = useLocalStorage<Record<string, string>>('piscator.scene', {})
  const opened = sceneFromQuery(route.query) ?? sceneFromQuery(last.value)
  if (opened) store.open(opened)
  const save = useDebounceFn(() => {
    const query = sceneQuery(store.scene)
    last.value = query
    void router.replace({ query })
  }, 250)
  watch(() => store.changes, save)
}
