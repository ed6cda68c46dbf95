import { computed, reactive } from 'vue'
import { useRecordsStore } from '~/records/store'
import { counted } from '~/words/numbers'

/** What is kept, in a few figures. */
export function useHeld() {
  const records = useRecordsStore()
  const counts = computed(() => ({
    taps: records.list('tap').length,
    days: records.list('trip').length,
    lures: records.list('lure').length,
  }))
  const words = computed(() => {
    const { days, lures, taps } = counts.value
    return `${counted(days, 'day')}, ${counted(lures, 'lure')}, ${counted(taps, 'tap')}`
  })
  /** About how large the file of it is, bytes. */
  const bytes = computed(() => records.everything().reduce((sum, e) => sum + 160 + JSON.stringify(e.body).length, 120))
  return reactive({ counts, words, bytes })
}
