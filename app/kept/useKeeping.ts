import { computed } from 'vue'
import { requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useAnswers } from '~/screen/useScreen'
import { useSettingsStore } from '~/settings/store'
import { useCallsStore } from './store'

/** Keep the chosen finish with the reading it was chosen for, and take that back. */
export function useKeeping(screen = useAnswers().screen) {
  const calls = useCallsStore()
  const store = useReadingStore()
  const settings = useSettingsStore()
  const selected = computed(() => screen.value?.call.finish ?? null)

  function keep(): void {
    if (!selected.value) return
    const { limit: _limit, units: _units, ...asked } = requestOf(store.reading, settings.units)
    calls.keep(asked, selected.value, store.reading.waterId, settings.exactPlace)
  }
  return { selected, keep, justKept: computed(() => calls.last), takeBack: calls.takeBack }
}
