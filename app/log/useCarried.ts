import { useDebounceFn } from '@vueuse/core'
import { computed, watch } from 'vue'
import type { Request } from '#core/request/request'
import { atTime, requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { changedWords } from './carried'
import { useLogStore } from './store'
import { conditionsNoted } from './trip'

/** A change is noted once it has stood for so long, ms: a slider under a finger is not yet one. */
const STOOD_MS = 15_000

/**
 * Conditions carried along with the trip under way: what is read in Water, by hand or by an instrument that is
 * followed, and noted on the timeline as it changes.
 */
export function useCarried() {
  const log = useLogStore()
  const reading = useReadingStore()
  const settings = useSettingsStore()
  /** The conditions as they are read, now. */
  const now = (): Request => atTime(requestOf(reading.reading, settings.units), Date.now())
  const changed = computed(() =>
    log.current
      ? changedWords(
          conditionsNoted(log.current.body, log.taps),
          requestOf(reading.reading, settings.units),
          settings.units,
        )
      : [],
  )
  async function note(): Promise<void> {
    if (changed.value.length) await log.tap('conditions', { asked: now() })
  }
  watch(changed, useDebounceFn(note, STOOD_MS))
  return { changed, note }
}
