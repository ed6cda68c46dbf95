import { computed, toRaw } from 'vue'
import { hasOwnCoats } from '#core/box/own'
import type { LureId } from '#core/lure/types'
import { ownOf, useBoxStore } from '~/box/store'
import { useTaughtStore } from '~/records/taught'
import { requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import type { RigAsk } from './work'

/** The water as it is set, asked about a lure; another lure than Water's runs where it usually does. */
export function useRigAsk(): (lure: LureId) => RigAsk {
  const reading = useReadingStore()
  const settings = useSettingsStore()
  const box = useBoxStore()
  const taught = useTaughtStore()
  const own = computed(() => box.carried.map(ownOf).filter(hasOwnCoats))
  return lure => {
    const r = toRaw(reading.reading)
    const request = requestOf({ ...r, lure, ...(lure === r.lure ? {} : { depthM: null }) }, settings.units)
    return { request, own: own.value.filter(o => o.lure === lure), lean: taught.lean }
  }
}
