import { computed } from 'vue'
import type { Effect } from '#core/season-learning/effect'
import type { LureId } from '#core/lure/types'
import { useFinish } from '~/box/useFinish'
import { useRecordsStore } from '~/records/store'
import { useUnits } from '~/settings/useUnits'
import { LURE_SHORT, cap } from '~/words/options'

/** What an effect is of, as the angler calls it. */
export function useEffectNames() {
  const records = useRecordsStore()
  const { finishName } = useFinish()
  const { lengthText } = useUnits()
  const spots = computed(() => new Map(records.list('spot').map(s => [s.id, s.body.name])))
  const waters = computed(() => new Map(records.list('water').map(w => [w.id, w.body.name])))
  const bands = computed<Readonly<Record<string, string>>>(() => ({
    'under-0.6': `Disc under ${lengthText(0.6)}`,
    '0.6-2': `Disc ${lengthText(0.6)} to ${lengthText(2)}`,
    'over-2': `Disc over ${lengthText(2)}`,
  }))
  const lureName = (id: string) => cap(LURE_SHORT[id as LureId] ?? id)
  function nameOf({ level, id, within }: Effect): string {
    if (level === 'finish') return finishName(id)
    if (level === 'lure') return lureName(id)
    if (level === 'spot')
      return [spots.value.get(id), waters.value.get(within ?? '')].filter(Boolean).join(', ') || 'A spot'
    if (level === 'clarity') return bands.value[id] ?? id
    return level === 'light' ? 'Low light' : cap(id)
  }
  /** What an effect is held among: its lure, or whatever else is of its kind. */
  const groupNameOf = ({ level, within }: Effect): string => (level === 'finish' ? lureName(within ?? '') : level)
  return { nameOf, groupNameOf }
}
