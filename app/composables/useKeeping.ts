import { computed } from 'vue'
import { useCallsStore } from '../stores/calls'
import { useSceneStore } from '../stores/scene'
import { useSettingsStore } from '../stores/settings'
import { requestOf } from '../utils/scene'
import { useAnswers } from './useScreen'

/** Keep the chosen finish with the scene it was chosen for, and take that back. */
export function useKeeping(screen = useAnswers().screen) {
  const calls = useCallsStore()
  const store = useSceneStore()
  const settings = useSettingsStore()
  const selected = computed(() => screen.value?.call.finish ?? null)

  function keep(): void {
    if (!selected.value) return
    const { limit: _limit, units: _units, ...asked } = requestOf(store.scene, settings.units)
    calls.keep(asked, selected.value, store.scene.waterId)
  }
  return { selected, keep, justKept: computed(() => calls.last), takeBack: calls.takeBack }
}
